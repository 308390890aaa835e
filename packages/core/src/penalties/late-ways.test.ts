import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { dollars, toDollars } from '../money/cents.js';
import type { TaxCode } from '../tax-registry/registry.js';
import { DEPOSIT_FAMILIES, familyOf } from '../deposits/family.js';
import { lateEstimate } from './late-estimate.js';
import { lateWays } from './late-ways.js';

const FEDERAL = familyOf('US-FIT');

const ways = (due: string, today: string): string[] =>
  lateWays(FEDERAL, dollars('10000.00'), date(due), date(today)).map(
    ({ label, settles, daysLate, penalty }) => `${label} ${settles} ${daysLate} ${toDollars(penalty)}`,
  );

describe('each way', () => {
  it('says its tier and where it is published', () =>
    expect(
      lateWays(FEDERAL, dollars('10000.00'), date('2026-10-19'), date('2026-10-23')).map(({ rule }) => rule),
    ).toEqual([
      '2% of the deposit; 26 U.S.C. § 6656(b)(1), failure to deposit, recalled',
      '5% of the deposit; 26 U.S.C. § 6656(b)(1), failure to deposit, recalled',
    ]));
});

/** 2% for one to five days, 5% for six to fifteen, 10% beyond (26 U.S.C. § 6656(b)(1)). */
describe('a federal deposit that ACH cannot make any more', () => {
  it('is made in time by wire on its due date', () =>
    expect(ways('2026-10-22', '2026-10-22')).toEqual([
      'Same-day wire 2026-10-22 0 0.00',
      'ACH credit 2026-10-23 1 200.00',
    ]));
  it('goes by ACH where the wire saves nothing', () =>
    expect(ways('2026-10-20', '2026-10-22')).toEqual([
      'ACH credit 2026-10-23 3 200.00',
      'Same-day wire 2026-10-22 2 200.00',
    ]));
  it('goes by wire where a weekend would pass into the next tier', () =>
    expect(ways('2026-10-19', '2026-10-23')).toEqual([
      'Same-day wire 2026-10-23 4 200.00',
      'ACH credit 2026-10-26 7 500.00',
    ]));
  it('on a day without banks the wire lands on the next one, as ACH does a day later', () =>
    expect(ways('2026-10-23', '2026-10-24')).toEqual([
      'ACH credit 2026-10-26 3 200.00',
      'Same-day wire 2026-10-26 3 200.00',
    ]));
});

/** Shares of a state's statute as recalled: the arithmetic over them is what is held here, with 1,000.00 due on April 15. */
describe('what a state adds to a late deposit', () => {
  const added = (tax: TaxCode, settles: string): string | null => {
    const late = lateEstimate(familyOf(tax), dollars('1000.00'), date('2026-04-15'), date(settles));
    return late && `${toDollars(late.penalty)}: ${late.rule.split(';')[0]}`;
  };
  it.each<[TaxCode, string, string | null]>([
    ['CA-SIT', '2026-04-15', null],
    ['CA-SIT', '2026-04-16', '150.00: 15% of the deposit'],
    ['IL-SIT', '2026-05-15', '20.00: 2% of the deposit'],
    ['IL-SIT', '2026-05-16', '100.00: 10% of the deposit'],
    ['NY-SIT', '2026-05-15', '5.00: 0.5% for the first month'],
    ['NY-SIT', '2026-05-16', '10.00: 0.5% for the first month, 0.5% for each of 1 more'],
    ['MI-SIT', '2026-06-15', '50.00: 5% for the first 2 months'],
    ['MI-SIT', '2026-06-16', '100.00: 5% for the first 2 months, 5% for each of 1 more'],
    ['VA-SIT', '2026-12-15', '300.00: 30%, the most there is'],
    ['MN-SIT', '2026-05-15', '50.00: 5% for the first 30 days'],
    ['MN-SIT', '2026-05-16', '100.00: 5% for the first 30 days, 5% for each of 1 more'],
    ['CO-SIT', '2026-05-16', '60.00: 5.5% for the first month, 0.5% for each of 1 more'],
    ['UT-SIT', '2026-04-18', '20.00: 2% of the deposit'],
    ['TX-SUI', '2026-05-16', null],
  ])('%s settling %s: %s', (tax, settles, says) => expect(added(tax, settles)).toBe(says));
  it('is not less than the lowest that the statute knows', () =>
    expect(lateEstimate(familyOf('UT-SIT'), dollars('100.00'), date('2026-04-15'), date('2026-04-18'))).toMatchObject({
      penalty: 20_00,
      rule: expect.stringContaining('the lowest, 20.00'),
    }));
  it('a state knows one way here, and says what it costs', () =>
    expect(lateWays(familyOf('IL-SIT'), dollars('1000.00'), date('2026-10-15'), date('2026-10-22'))).toMatchObject([
      { label: 'ACH credit', daysLate: 8, penalty: 20_00 },
    ]));
  it('every share lies between nothing and all, and the most is not below the first', () => {
    for (const { code, calendar } of DEPOSIT_FAMILIES)
      for (const { value } of calendar?.late ?? []) {
        const shares =
          value.is === 'tiers' ? value.tiers.map(({ rate }) => rate) : [value.first, value.each, value.most];
        for (const { n, d } of shares) expect([code, n > 0 && n < d]).toEqual([code, true]);
        if (value.is === 'by-month')
          expect(value.first.n * value.most.d).toBeLessThanOrEqual(value.most.n * value.first.d);
      }
  });
});
