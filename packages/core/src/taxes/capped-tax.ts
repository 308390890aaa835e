import type { Dated } from '../jurisdictions/dated.js';
import { notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { round, showExact, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type ShownParameter, type Tape } from '../working/tape.js';

/** The part of `wages` still under `base`, when `toDate` was paid before. */
export const underBase = (wages: Cents, toDate: Cents, base: Cents): Cents =>
  smaller(wages, notBelowZero(subtract(base, toDate)));

/** The part of `wages` over `mark`, when `toDate` was paid before. */
export const overMark = (wages: Cents, toDate: Cents, mark: Cents): Cents =>
  subtract(wages, underBase(wages, toDate, mark));

export interface CappedTax {
  readonly subject: Cents;
  readonly taxed: Cents;
  readonly toDate: Cents;
  readonly rate: Rate;
  readonly rateRow: Dated<unknown> | null;
  /** Set when the wages stop at a base (or start at a mark). */
  readonly limit: { readonly label: string; readonly amount: Cents; readonly row: Dated<unknown> } | null;
}

/** rate × taxed wages, half a cent up (common practice, and Publication 15 section 11 for fractions of cents). */
export const cappedTax = (tax: CappedTax): Cents => round(times(tax.taxed, tax.rate), 'half-up');

/** Writes how the amount of `cappedTax` was made. */
export function writeCappedTax(figure: string, label: string, tax: CappedTax, amount: Cents, tape: Tape): void {
  tape.write(figure, { label: 'Wages in this check', value: showDollars(tax.subject) });
  if (tax.limit) {
    const parameter: ShownParameter = shownParameter(tax.limit.label, showDollars(tax.limit.amount), tax.limit.row);
    tape.write(figure, { label: 'Paid before in the year', value: showDollars(tax.toDate) });
    tape.write(figure, { label: tax.limit.label, value: showDollars(tax.limit.amount), parameter });
    tape.write(figure, {
      label: 'Wages taxed',
      value: showDollars(tax.taxed),
      how: tax.taxed < tax.subject ? 'the check crosses the limit, or is past it' : 'all of them',
    });
  }
  tape.write(figure, {
    label,
    value: showDollars(amount),
    how: `${showDollars(tax.taxed)} × ${showPercent(tax.rate)} = ${showExact(times(tax.taxed, tax.rate))}`,
    rounding: 'half a cent up',
    isResult: true,
    ...(tax.rateRow ? { parameter: shownParameter('Rate', showPercent(tax.rate), tax.rateRow) } : {}),
  });
}
