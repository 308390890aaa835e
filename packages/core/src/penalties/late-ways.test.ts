import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { dollars, toDollars } from '../money/cents.js';
import { lateWays } from './late-ways.js';

const ways = (due: string, today: string): string[] =>
  lateWays(dollars('10000.00'), date(due), date(today)).map(
    ({ label, settles, daysLate, penalty }) => `${label} ${settles} ${daysLate} ${toDollars(penalty)}`,
  );

describe('each way', () => {
  it('says its tier and where it is published', () =>
    expect(lateWays(dollars('10000.00'), date('2026-10-19'), date('2026-10-23')).map(({ rule }) => rule)).toEqual([
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
