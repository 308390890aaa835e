import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { add, cents, dollars, subtract, type Cents } from '../money/cents.js';
import { NOTHING_SAID, followed } from '../testing/deposits.js';
import { classFromLookback, classOfYear, type ClassFacts, type ClassFound } from './deposit-class.js';
import { findFamily } from './family.js';
import { allowedShortfall, makeUpDate, shortfall } from './shortfall.js';

/**
 * Worked examples of publications, each with its paragraph. The print was not at hand: all are recalled, and the days of an
 * example are those of the year named, checked by the weekday the example gives.
 */
type Line = readonly [day: string, amount: string];
const follow = (depositClass: 'monthly' | 'semiweekly', ...lines: Line[]) => {
  // A turn by the next-day rule is looked for against a class that the year begins with.
  const facts: ClassFacts = {
    ...NOTHING_SAID,
    entered: () => dollars(depositClass === 'monthly' ? '0' : '50000.01'),
  };
  const { dues, classOn } = followed('US-941', facts, ...lines);
  return {
    due: (day: string): string => dues.get(date(day))?.due ?? '',
    on: (day: string) => classOn(date(day)).class,
  };
};
const RULES = findFamily('US-941')?.calendar?.rules.at(-1)?.value;
const fromLookback = (total: Cents): string | null =>
  RULES?.lookback ? classFromLookback(RULES, RULES.lookback, total).class : null;
const ofYear = (year: number, facts: ClassFacts): ClassFound | null => (RULES ? classOfYear(RULES, year, facts) : null);
const quarters = (...amounts: [string, string][]): ClassFacts => ({
  ...NOTHING_SAID,
  liabilities: amounts.map(([day, amount]) => ({ date: date(day), amount: dollars(amount) })),
  completeFrom: date('2020-01-01'),
});

describe('Publication 15, section 11, recalled', () => {
  it('"Lookback period": Rose Co. is monthly for 2025, since four quarters of 12,000 are not more than 50,000', () =>
    expect(
      ofYear(
        2025,
        quarters(['2023-09-29', '12000'], ['2023-12-29', '12000'], ['2024-03-29', '12000'], ['2024-06-28', '12000']),
      )?.class,
    ).toBe('monthly'));
  it('"Lookback period": and semiweekly for 2026, since 12,000, 12,000, 12,000 and 15,000 are', () =>
    expect(
      ofYear(
        2026,
        quarters(['2024-09-30', '12000'], ['2024-12-31', '12000'], ['2025-03-31', '12000'], ['2025-06-30', '15000']),
      )?.class,
    ).toBe('semiweekly'));
  it('"Adjustments and the lookback rule": 45,000 as first reported stays monthly, whatever Form 941-X adds', () =>
    expect(fromLookback(dollars('45000'))).toBe('monthly'));
  it('"Monthly deposit schedule": Spruce Co. pays each Friday of May, and deposits by June 15', () => {
    const { due } = follow('monthly', ['2026-05-01', '900'], ['2026-05-08', '900'], ['2026-05-29', '900']);
    expect(['2026-05-01', '2026-05-08', '2026-05-29'].map(due)).toEqual(['2026-06-15', '2026-06-15', '2026-06-15']);
  });
  it('"Semiweekly deposit schedule": Green, Inc. pays on the last day of a month, a Thursday: the Wednesday after', () =>
    expect(follow('semiweekly', ['2026-04-30', '5000']).due('2026-04-30')).toBe('2026-05-06'));
  it.each([
    ['2026-04-29', 'Wednesday', '2026-05-06'],
    ['2026-04-30', 'Thursday', '2026-05-06'],
    ['2026-05-01', 'Friday', '2026-05-06'],
    ['2026-05-02', 'Saturday', '2026-05-08'],
    ['2026-05-03', 'Sunday', '2026-05-08'],
    ['2026-05-04', 'Monday', '2026-05-08'],
    ['2026-05-05', 'Tuesday', '2026-05-08'],
  ])('table of the semiweekly schedule: %s, a %s, is due %s', (day, _, due) =>
    expect(follow('semiweekly', [day, '5000']).due(day)).toBe(due),
  );
  it('"Semiweekly deposit period spanning two quarters": Saturday, March 30, and Tuesday, April 2, 2024, are two deposits, both due Friday, April 5', () => {
    const { due } = follow('semiweekly', ['2024-03-30', '60000'], ['2024-04-02', '60000']);
    // Together they would be over 100,000; the quarter's end parts them, so neither is due the next day.
    expect([due('2024-03-30'), due('2024-04-02')]).toEqual(['2024-04-05', '2024-04-05']);
  });
  it('"Deposits due on business days only": a legal holiday on a Monday gives the Friday payday until Thursday', () =>
    // Monday, January 19, 2026: Birthday of Martin Luther King, Jr.
    expect(follow('semiweekly', ['2026-01-16', '5000']).due('2026-01-16')).toBe('2026-01-22'));
  it('"Deposits due on business days only": due on a Friday that is a legal holiday, the deposit is in time on the Monday', () =>
    // Friday, July 3, 2026: Independence Day is kept.
    expect(follow('semiweekly', ['2026-06-30', '5000']).due('2026-06-30')).toBe('2026-07-06'));
  it('"$100,000 next-day deposit rule": Fir Co., semiweekly, 110,000 on Monday are due on Tuesday, 30,000 of Tuesday on Friday', () => {
    const { due } = follow('semiweekly', ['2026-05-04', '110000'], ['2026-05-05', '30000']);
    expect([due('2026-05-04'), due('2026-05-05')]).toEqual(['2026-05-05', '2026-05-08']);
  });
  it('"$100,000 next-day deposit rule": Elm, Inc., new: 40,000 on Wednesday and 60,000 on Friday are 100,000, all of it due on Monday; semiweekly from then on', () => {
    const { due, on } = follow('monthly', ['2026-05-06', '40000'], ['2026-05-08', '60000']);
    expect([due('2026-05-06'), due('2026-05-08')]).toEqual(['2026-05-11', '2026-05-11']);
    expect([on('2026-05-08'), on('2026-05-09'), on('2026-12-31'), on('2027-12-31')]).toEqual([
      'monthly',
      'semiweekly',
      'semiweekly',
      'semiweekly',
    ]);
  });
  it.each([
    ['1000', '100.00'],
    ['5000', '100.00'],
    ['20000', '400.00'],
  ])(
    '"Accuracy of deposits rule": of %s a shortfall of %s is allowed (100 or 2%, whichever is more)',
    (required, most) => {
      expect(allowedShortfall(dollars(required))).toBe(dollars(most));
      const short = (amount: Cents) => shortfall(dollars(required), subtract(dollars(required), amount));
      expect([short(dollars(most)).isAllowed, short(add(dollars(most), cents(1))).isAllowed]).toEqual([true, false]);
    },
  );
  it('"Makeup date for deposit shortfall": monthly, with the return of the quarter', () =>
    expect(makeUpDate('monthly', date('2026-05-15'), date('2026-06-15'))).toBe('2026-07-31'));
  it('"Makeup date for deposit shortfall": semiweekly, a shortfall of June is made up on Wednesday, July 15, 2026', () =>
    expect(makeUpDate('semiweekly', date('2026-06-05'), date('2026-06-10'))).toBe('2026-07-15'));
  it('"Makeup date for deposit shortfall": due October 1 for a payday of September: the return comes before the Wednesday or Friday of November', () =>
    expect(makeUpDate('semiweekly', date('2026-09-25'), date('2026-10-01'))).toBe('2026-11-02'));
});

describe('26 CFR 31.6302-1(d), examples, recalled', () => {
  it('Example 1: an employer of 42,000 in its lookback period is a monthly depositor', () =>
    expect(fromLookback(dollars('42000'))).toBe('monthly'));
  it('Example 1: what a monthly depositor accumulates in January 1993 is due by February 16, since the 15th is a legal holiday', () =>
    expect(follow('monthly', ['1993-01-08', '3500']).due('1993-01-08')).toBe('1993-02-16'));
  it('Example 2: an employer of 88,000 is a semiweekly depositor; a Friday, January 8, 1993, is due by Wednesday, January 13', () => {
    expect(fromLookback(dollars('88000'))).toBe('semiweekly');
    expect(follow('semiweekly', ['1993-01-08', '4000']).due('1993-01-08')).toBe('1993-01-13');
  });
  it('Example 4: 110,000 on Monday, January 4, 1993, are due by Tuesday, January 5', () =>
    expect(follow('semiweekly', ['1993-01-04', '110000']).due('1993-01-04')).toBe('1993-01-05'));
  it('Example 5: 30,000 more on that Tuesday are an obligation of their own, by Friday, January 8', () =>
    expect(follow('semiweekly', ['1993-01-04', '110000'], ['1993-01-05', '30000']).due('1993-01-05')).toBe(
      '1993-01-08',
    ));
  it('Example 6: a legal holiday on Monday, January 18, 1993, gives a Friday payday until Thursday, January 21', () =>
    expect(follow('semiweekly', ['1993-01-15', '4000']).due('1993-01-15')).toBe('1993-01-21'));
});

describe('Publication 15, section 14, and the instructions for Form 940, recalled', () => {
  const due = (...lines: Line[]) => followed('US-940', NOTHING_SAID, ...lines).dues;
  it('500 or less for a quarter is carried to the next, and deposited when the sum is more', () => {
    const found = due(['2026-03-31', '500'], ['2026-06-30', '0.01']);
    expect(found.get(date('2026-03-31'))?.due).toBe('2026-07-31');
  });
  it.each([
    ['2026-03-31', '2026-04-30'],
    ['2026-06-30', '2026-07-31'],
    ['2026-09-30', '2026-11-02'],
    ['2026-12-31', '2027-02-01'],
  ])('the table "When to deposit": more than 500 by %s is due %s', (day, expected) =>
    expect(due([day, '500.01']).get(date(day))?.due).toBe(expected),
  );
});
