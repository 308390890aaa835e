import { describe, expect, it } from '@jest/globals';
import Big from 'big.js';
import fc from 'fast-check';
import { addDays, date, type LocalDate } from '../calendar/local-date.js';
import { cents, dollars, sum, toDollars } from '../money/cents.js';
import { showPercent } from '../money/rate.js';
import { familyOf } from '../deposits/family.js';
import { lateEstimate } from './late-estimate.js';
import { depositPenalty, type DepositMade, type DepositOwed } from './deposit-penalty.js';
import { interestOn, returnPenalty, type ReturnOwed } from './return-penalty.js';

const monthly = (ended: string, due: string, amount: string): DepositOwed => ({
  ended: date(ended),
  due: date(due),
  amount: dollars(amount),
  depositClass: 'monthly',
});
const paid = (day: string, amount: string): DepositMade => ({ date: date(day), amount: dollars(amount) });
const asked = (asOf: string, noticeOn: string | null = null) => ({
  asOf: date(asOf),
  noticeOn: noticeOn === null ? null : date(noticeOn),
});
const shown = (
  owed: readonly DepositOwed[],
  made: readonly DepositMade[],
  asOf: string,
  noticeOn: string | null = null,
) =>
  depositPenalty(owed, made, asked(asOf, noticeOn))?.parts.map(
    ({ due, amount, paid: day, rate, penalty }) =>
      `${due} ${toDollars(amount)} ${day ?? 'unpaid'} ${showPercent(rate)} ${toDollars(penalty)}`,
  );

describe('the penalty for a late deposit', () => {
  // Publication 15 (2026), section 11, "Order in which deposits are applied": Cedar, Inc., as recalled.
  it('applies a deposit to the most recent period first, as the published example does', () => {
    const owed = [monthly('2026-05-31', '2026-06-15', '1000.00'), monthly('2026-06-30', '2026-07-15', '1500.00')];
    expect(shown(owed, [paid('2026-07-15', '2000.00')], '2026-07-15')).toEqual([
      '2026-06-15 500.00 2026-07-15 10% 50.00',
      '2026-06-15 500.00 unpaid 10% 50.00',
      '2026-07-15 1500.00 2026-07-15 0% 0.00',
    ]);
  });
  it.each([
    ['2026-02-17', '0%'],
    ['2026-02-18', '2%'],
    ['2026-02-22', '2%'],
    ['2026-02-23', '5%'],
    ['2026-03-04', '5%'],
    ['2026-03-05', '10%'],
  ])('paid on %s is %s: five days, fifteen days, more', (day, share) => {
    const result = depositPenalty(
      [monthly('2026-01-31', '2026-02-17', '4000.00')],
      [paid(day, '4000.00')],
      asked('2026-12-31'),
    );
    expect(result?.parts.map(({ rate }) => showPercent(rate))).toEqual([share]);
  });
  it('is 15% of what is missing ten days after the first notice', () =>
    expect(
      shown(
        [monthly('2026-01-31', '2026-02-17', '4000.00')],
        [paid('2026-02-20', '1000.00')],
        '2026-06-01',
        '2026-05-01',
      ),
    ).toEqual(['2026-02-17 1000.00 2026-02-20 2% 20.00', '2026-02-17 3000.00 unpaid 15% 450.00']));
  it('forgives what is short by 100.00 or 2% and made up in time, and nothing beyond', () => {
    const owed = [monthly('2026-01-31', '2026-02-17', '4000.00')];
    expect(
      depositPenalty(owed, [paid('2026-02-17', '3900.00'), paid('2026-04-30', '100.00')], asked('2026-12-31'))?.penalty,
    ).toBe(0);
    expect(
      depositPenalty(owed, [paid('2026-02-17', '3899.99'), paid('2026-04-30', '100.01')], asked('2026-12-31'))?.penalty,
    ).toBe(1000);
    expect(
      depositPenalty(owed, [paid('2026-02-17', '3900.00'), paid('2026-05-01', '100.00')], asked('2026-12-31'))?.penalty,
    ).toBe(1000);
  });
  it('a deposit made ahead is applied to what is still to end; what is too much is left', () => {
    const owed = [monthly('2026-01-31', '2026-02-17', '1000.00'), monthly('2026-02-28', '2026-03-16', '500.00')];
    const result = depositPenalty(owed, [paid('2026-01-20', '1600.00')], asked('2026-12-31'));
    expect([result?.penalty, result?.unapplied]).toEqual([0, 10_000]);
  });
  it('never loses a cent: parts are what was owed, and what was deposited is applied or left', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 900_000 }), { minLength: 1, maxLength: 6 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 900_000 })), { maxLength: 8 }),
        (amounts, deposits) => {
          const owed = amounts.map((amount, index): DepositOwed => {
            const ended = addDays(date('2026-01-31'), 30 * index);
            return { ended, due: addDays(ended, 15), amount: cents(amount), depositClass: 'monthly' };
          });
          const made = deposits.map(([days, amount]) => ({
            date: addDays(date('2026-01-01'), days),
            amount: cents(amount),
          }));
          const result = depositPenalty(owed, made, asked('2027-12-31'));
          const parts = result?.parts ?? [];
          expect(sum(parts.map(({ amount }) => amount))).toBe(sum(owed.map(({ amount }) => amount)));
          expect(
            sum([
              ...parts.filter(({ paid: day }) => day !== null).map(({ amount }) => amount),
              result?.unapplied ?? cents(0),
            ]),
          ).toBe(sum(made.map(({ amount }) => amount)));
        },
      ),
    ));
  it('as an estimate is what it would be if it settles on a day', () => {
    expect(lateEstimate(familyOf('US-FIT'), dollars('4000.00'), date('2026-02-17'), date('2026-02-19'))?.penalty).toBe(
      8_000,
    );
    expect(lateEstimate(familyOf('US-FIT'), dollars('4000.00'), date('2026-02-17'), date('2026-02-17'))).toBeNull();
  });
});

const owed = (more: Partial<ReturnOwed> = {}): ReturnOwed => ({
  due: date('2026-04-30'),
  tax: dollars('10000.00'),
  paid: [],
  filedOn: date('2026-04-30'),
  asOf: date('2026-12-31'),
  ...more,
});
const additions = (more: Partial<ReturnOwed>): string => {
  const found = returnPenalty(owed(more));
  return found
    ? `${found.filing.months} ${toDollars(found.filing.penalty)}, ${found.payment.months} ${toDollars(found.payment.penalty)}`
    : '';
};

describe('additions to tax of a return', () => {
  it('are none in time', () => expect(additions({ paid: [paid('2026-04-30', '10000.00')] })).toBe('0 0.00, 0 0.00'));
  it('count a month or part of one from the day after the due date', () => {
    const on = (day: LocalDate) => additions({ filedOn: day, paid: [paid(day, '10000.00')] });
    // 5% less 0.5% for the month, and 0.5%.
    expect(on(date('2026-05-01'))).toBe('1 450.00, 1 50.00');
    expect(on(date('2026-05-31'))).toBe('1 450.00, 1 50.00');
    expect(on(date('2026-06-01'))).toBe('2 900.00, 2 100.00');
  });
  it('stop at a quarter of the tax each', () => {
    expect(additions({ filedOn: null, asOf: date('2026-12-31') })).toBe('5 2250.00, 8 400.00');
    expect(additions({ filedOn: date('2026-04-30'), asOf: date('2031-12-31') }).split(', ')[1]).toBe('68 2500.00');
  });
  it('of a payment follow what is unpaid at the beginning of each month', () =>
    expect(additions({ paid: [paid('2026-05-15', '6000.00'), paid('2026-07-10', '4000.00')] })).toBe(
      '0 0.00, 3 90.00',
    ));
  it('of a return are on what was unpaid on its due date', () =>
    expect(
      additions({ filedOn: date('2026-05-10'), paid: [paid('2026-04-30', '9000.00'), paid('2026-05-10', '1000.00')] }),
    ).toBe('1 45.00, 1 5.00'));
});

describe('interest', () => {
  const until = (asOf: string, due = '2025-04-30') => interestOn(owed({ due: date(due), asOf: date(asOf) }));
  // Against the formula with a general decimal library: daily compounding at 7% over a year of 365 days.
  it.each([
    ['2025-05-10', 10],
    ['2025-12-31', 245],
  ])('to %s is what the compound formula comes to', (asOf, days) => {
    Big.DP = 40;
    const factor = new Big(1).plus(new Big('0.07').div(365)).pow(days);
    const expected = new Big('10000.00').times(factor.minus(1)).round(2, Big.roundHalfUp);
    expect(new Big(toDollars(until(asOf).interest)).eq(expected)).toBe(true);
  });
  it('runs on what is left after a payment, and on the interest before', () => {
    const whole = until('2025-06-30').interest;
    const half = interestOn(
      owed({ due: date('2025-04-30'), asOf: date('2025-06-30'), paid: [paid('2025-05-31', '5000.00')] }),
    ).interest;
    expect(half).toBeLessThan(whole);
    expect(half).toBeGreaterThan(whole / 2);
  });
  it('of a quarter whose rate is not loaded is none, and named', () =>
    expect(until('2026-05-01', '2026-03-31')).toEqual({ interest: 0, missing: '2026-04-01' }));
});
