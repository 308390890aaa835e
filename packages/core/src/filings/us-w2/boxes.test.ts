import { describe, expect, it } from '@jest/globals';
import { runCase } from '../../casefile/run-case.js';
import { EARNING_ITEMS, PAY_ITEMS, findItem } from '../../items/registry.js';
import { dollars } from '../../money/cents.js';
import { make } from '../../testing/whole-checks.js';
import { isOffW2, w2PlaceOf } from './boxes.js';

const place = (code: string) => {
  const item = findItem(code);
  if (!item) throw new Error(code);
  return w2PlaceOf(item);
};

describe('where an item stands on Form W-2', () => {
  // General Instructions for Forms W-2 and W-3, recalled: the boxes of wages, codes of box 12.
  it.each<[string, string[], string[]]>([
    ['regular', ['1', '3', '5'], []],
    ['tips-reported', ['1', '7', '5'], []],
    ['tips-allocated', ['8'], []],
    ['nonqualified-plan', ['1', '11'], []],
    ['group-term-life', ['1', '3', '5', '12 C'], []],
    ['shareholder-health', ['1', '14'], []],
    ['401k', ['12 D'], ['1']],
    ['roth-401k', ['12 AA'], []],
    ['section-125-health', [], ['1', '3', '5']],
    ['dependent-care', ['10'], ['1', '3', '5']],
    ['employer-health', ['12 DD'], []],
    ['union-dues', [], []],
    ['match-401k', [], []],
  ])('%s', (code, fills, lowers) => expect(place(code)).toEqual({ fills, lowers }));

  it('of every earning agrees with the wages that a check with it has', () => {
    for (const item of EARNING_ITEMS) {
      const answer = runCase(
        make('TN', {
          earnings: [
            { item: 'salary', amount: '5000.00' },
            { item: item.code, amount: '100.00' },
          ],
        }),
      );
      const more = (tax: string): boolean =>
        dollars(answer.taxes.find((line) => line.code === tax)?.wages ?? '0') > 500_000;
      const { fills } = w2PlaceOf(item);
      expect([item.code, more('US-FIT'), more('US-HI-EE')]).toEqual([
        item.code,
        fills.includes('1'),
        fills.includes('5'),
      ]);
    }
  });
  it('tells what is on no box', () => {
    const off = PAY_ITEMS.filter(isOffW2).map((item) => item.code);
    expect(off).toEqual(expect.arrayContaining(['reimbursement', 'union-dues', 'after-tax', 'loan', 'match-401k']));
    for (const there of ['regular', '401k', 'section-125-health', 'employer-health']) expect(off).not.toContain(there);
  });
});
