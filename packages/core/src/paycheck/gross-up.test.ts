import { describe, expect, it } from '@jest/globals';
import { readCase } from '../casefile/read-case.js';
import { runCase } from '../casefile/run-case.js';
import { findItem, type EarningItem } from '../items/registry.js';
import { cents, dollars } from '../money/cents.js';
import { make, problems } from '../testing/whole-checks.js';
import { computePaycheck } from './compute.js';
import { grossUp } from './gross-up.js';
import type { PaycheckInput } from '../computation/input.js';

describe('gross-up', () => {
  it.each([
    ['9999999999999.99', 'input.too-large'],
    ['99999999999.99', 'gross-up.out-of-range'],
    ['2000000000.00', 'gross-up.out-of-range'],
  ])('a net of %s is answered, not thrown', (net, code) =>
    expect(problems(runCase(make('NY', { earnings: [], grossUp: { item: 'bonus', net } })))).toContain(code),
  );
  it('finds large amounts over the supplemental million and every base', () => {
    const answer = runCase(make('TX', { earnings: [], grossUp: { item: 'bonus', net: '1000000.00' } }));
    expect([answer.net, problems(answer)]).toEqual(['1000000.00', []]);
  });
  it('inverts the net over all taxes of a state and a city', () => {
    const grossed = runCase(
      make(
        'NY',
        { earnings: [], grossUp: { item: 'bonus', net: '2500.00' } },
        { residence: { state: 'NY', locality: 'Yonkers' } },
      ),
    );
    expect(grossed.net).toBe('2500.00');
    const again = runCase(
      make(
        'NY',
        { earnings: [{ item: 'bonus', amount: grossed.grossUp?.amount }] },
        { residence: { state: 'NY', locality: 'Yonkers' } },
      ),
    );
    expect(again.net).toBe('2500.00');
  });
});

const SALARY = findItem('salary') as EarningItem;
function input(state: string, certificate: Record<string, unknown>): PaycheckInput {
  const read = readCase(make(state, { earnings: [] }, { certificates: { [state]: certificate } }));
  const filled = readCase(make(state, {}, { certificates: { [state]: certificate } })).input ?? read.input;
  if (!filled) throw new Error('a case that cannot be read');
  return { ...filled, earnings: [] };
}
const netOf = (given: PaycheckInput, amount: number): number =>
  computePaycheck({
    ...given,
    earnings: [
      { item: SALARY, own: null, hours: null, rate: null, amount: cents(amount), isOnRegularRate: false, job: null },
    ],
  }).net;

describe('the smallest gross of several that give a net', () => {
  // Every gross of a stretch is tried, so that the smallest is known without the search.
  const cases = [
    [
      'NC withholds whole dollars, so the net falls back by a dollar',
      'NC',
      { filingStatus: 'single', allowances: 0 },
      150_000,
      160_000,
    ],
    [
      'CA withholds nothing up to the low income exemption, then at once',
      'CA',
      { filingStatus: 'single', allowances: 0 },
      68_000,
      78_000,
    ],
    ['CT takes more at each step of its tables', 'CT', { code: 'B' }, 290_000, 300_000],
  ] as const;
  it.each(cases)('%s', (_, state, certificate, from, until) => {
    const given = input(state, certificate);
    const smallest = new Map<number, number>();
    for (let amount = from; amount < until; amount += 1) {
      const net = netOf(given, amount);
      if (!smallest.has(net)) smallest.set(net, amount);
    }
    // The first part of the stretch may have its smaller gross before it.
    const nets = [...smallest].filter(([, amount]) => amount > from + 3_000 && amount < until - 2_000);
    const seldom = nets.filter((__, index) => index % Math.ceil(nets.length / 12) === 0);
    expect(seldom.length).toBeGreaterThan(8);
    for (const [net, amount] of seldom)
      expect(grossUp(given, { item: SALARY, own: null }, cents(net)).amount).toBe(amount);
  });
  it('finds a gross many times the net where orders and taxes take the most of it', () => {
    const answer = runCase(
      make(
        'CA',
        { earnings: [], grossUp: { item: 'bonus', net: '20000.00' } },
        { garnishments: [{ kind: 'child-support', amount: '900000.00', inArrears: true }] },
      ),
    );
    expect(problems(answer)).not.toContain('gross-up.out-of-range');
    expect(dollars(answer.grossUp?.amount ?? '0') / dollars('20000.00')).toBeGreaterThan(4);
    expect(answer.net).toBe('20000.00');
  });
});
