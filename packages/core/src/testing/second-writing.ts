import { describe, expect, it } from '@jest/globals';
import Big from 'big.js';
import { runCase } from '../casefile/run-case.js';
import { at } from './whole-checks.js';

/**
 * A second writing of a state's withholding method: arithmetic on decimals, typed apart from the rules beside it and
 * without their words, so that a slip in either shows as a difference. Both are recalled: agreement of the two is no
 * verification against the print.
 */
export interface Paid {
  /** Wages of the period and of a year at that rate, in dollars. */
  readonly pay: Big;
  readonly annual: Big;
  readonly periods: number;
  readonly year: number;
  readonly date: string;
  /** An entry of the certificate as a number; nothing entered is zero. */
  readonly claimed: (field: string) => number;
  readonly is: (field: string, ...values: readonly (string | boolean)[]) => boolean;
  /** Federal income tax, and OASDI and HI, withheld in the check. */
  readonly federal: Big;
  readonly social: Big;
}
export type Certificate = Readonly<Record<string, string | number | boolean>>;
/** The withholding of one period, in dollars, before the last rounding. */
export type Writing = (paid: Paid) => Big;
type Row = readonly [over: number | string, rate: number | string];

export const big = (value: Big.BigSource): Big => new Big(value);
export const positive = (value: Big): Big => (value.lt(0) ? big(0) : value);
export const least = (a: Big, b: Big.BigSource): Big => (a.lt(b) ? a : big(b));
export const most = (a: Big, b: Big.BigSource): Big => (a.gt(b) ? a : big(b));
export const nearest = (value: Big, places = 0): Big => value.round(places, Big.roundHalfUp);
/** The tax of a graduated schedule, whose rows are printed with the tax so far to the cent. */
export function graduated(amount: Big, rows: readonly Row[]): Big {
  let printed = big(0);
  for (const [index, [over, rate]] of rows.entries()) {
    const next = rows[index + 1];
    if (!next || amount.lte(next[0])) return amount.gt(over) ? printed.plus(amount.minus(over).times(rate)) : printed;
    printed = printed.plus(nearest(big(next[0]).minus(over).times(rate), 2));
  }
  return printed;
}

Big.DP = 24;
const DATES = ['2025-03-14', '2025-09-12', '2026-06-12'] as const;
const FREQUENCIES = { weekly: 52, biweekly: 26, semimonthly: 24, monthly: 12 } as const;
/** A year's pay from almost nothing to far above every mark, each with cents of its own. */
const YEARLY = [
  900, 4200, 9100, 11999, 14800, 18400, 21050, 24990, 25010, 28333, 31500, 35600, 41000, 47777, 50000, 52400, 61300,
  74900, 88800, 99999, 104200, 126500, 151000, 180700, 216000, 259000, 301000, 420000, 610000, 1090000, 2300000,
];

/** Compares the rules of a state with their second writing, over the years, frequencies, certificates and wages. */
export function secondWriting(
  state: string,
  certificates: readonly Certificate[],
  writing: Writing,
  { to = 'cent' }: { readonly to?: 'cent' | 'dollar' } = {},
): void {
  describe(`${state}: the rules against their second writing`, () => {
    it.each(DATES.flatMap((date) => certificates.map((own) => [date, JSON.stringify(own), own] as const)))(
      '%s %s',
      (date, _, own) => {
        const differences: string[] = [];
        let checks = 0;
        for (const [payFrequency, periods] of Object.entries(FREQUENCIES))
          for (const [index, yearly] of YEARLY.entries()) {
            const pay = big(yearly)
              .div(periods)
              .plus(`0.${String((index * 37) % 100).padStart(2, '0')}`)
              .round(2);
            const answer = runCase({
              id: 'second-writing',
              checkDate: date,
              payFrequency,
              employee: {
                federal: { form: '2020', filingStatus: 'single' },
                residence: at(state),
                work: [at(state)],
                certificates: { [state]: own },
              },
              employer: { employees: 60, unemploymentRates: { [state]: '2.7' } },
              earnings: [{ item: 'salary', amount: String(pay) }],
            });
            const tax = (code: string): Big => big(answer.taxes.find((line) => line.code === code)?.amount ?? NaN);
            const expected = nearest(
              positive(
                writing({
                  pay,
                  annual: pay.times(periods),
                  periods,
                  year: Number(date.slice(0, 4)),
                  date,
                  claimed: (field) => Number(own[field] ?? 0),
                  is: (field, ...values) => values.includes(own[field] as string | boolean),
                  federal: tax('US-FIT'),
                  social: tax('US-OASDI-EE').plus(tax('US-HI-EE')).plus(tax('US-HI-ADD')),
                }),
              ),
              to === 'dollar' ? 0 : 2,
            );
            const computed = tax(`${state}-SIT`);
            checks += 1;
            if (!computed.eq(expected))
              differences.push(`${payFrequency} ${String(pay)}: ${String(computed)}, written ${String(expected)}`);
          }
        expect(differences).toEqual([]);
        expect(checks).toBe(YEARLY.length * 4);
      },
    );
  });
}
