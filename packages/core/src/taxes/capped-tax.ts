import type { Dated } from '../jurisdictions/dated.js';
import { notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { round, showExact, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type Tape, type WriteLine } from '../working/tape.js';
import type { Tax } from '../tax-registry/registry.js';

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

/** How the amount of `cappedTax` was made, for each of the taxes that are computed alike. */
export function writeCappedTax(
  taxes: readonly Tax[],
  tax: CappedTax,
  amount: Cents,
  /** What the wages are made of. */
  madeOf: () => string,
  tape: Tape,
): void {
  const write = (line: WriteLine): void => {
    for (const { code } of taxes) tape.write(code, line);
  };
  write(() => ({ label: 'Wages in this check', value: showDollars(tax.subject), how: madeOf() }));
  if (tax.limit) {
    const { label, amount: limit, row } = tax.limit;
    write(() => ({ label: 'Paid before in the year', value: showDollars(tax.toDate) }));
    write(() => ({ label, value: showDollars(limit), parameter: shownParameter(label, showDollars(limit), row) }));
    write(() => ({
      label: 'Wages taxed',
      value: showDollars(tax.taxed),
      how: tax.taxed < tax.subject ? 'the check crosses the limit, or is past it' : 'all of them',
    }));
  }
  for (const { code, label } of taxes)
    tape.write(code, () => {
      const percent = showPercent(tax.rate);
      return {
        label,
        value: showDollars(amount),
        how: `${showDollars(tax.taxed)} × ${percent} = ${showExact(times(tax.taxed, tax.rate))}${tax.rateRow ? '' : ', the rate of the client’s notice'}`,
        rounding: 'half a cent up',
        isResult: true,
        ...(tax.rateRow ? { parameter: shownParameter('Rate', percent, tax.rateRow) } : {}),
      };
    });
}
