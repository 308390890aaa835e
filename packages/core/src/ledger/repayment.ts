import { ZERO, notBelowZero, smaller, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { rate, type Rate } from '../money/rate.js';
import type { TaxCode } from '../tax-registry/registry.js';
import type { PostedTax } from './opposite.js';

/** What one employee had of a tax in a calendar year: wages before the wage base, and taxable wages. */
export interface YearOfTax {
  readonly subject: Cents;
  readonly wages: Cents;
}

const OASDI = rate('0.062');
const HI = rate('0.0145');
/** Rates: IRC § 3101(a), (b)(1) and § 3111(a), (b). Additional Medicare Tax of an earlier year is the employee's own claim. */
const TAKEN_BACK: readonly (readonly [TaxCode, Rate])[] = [
  ['US-OASDI-EE', OASDI],
  ['US-OASDI-ER', OASDI],
  ['US-HI-EE', HI],
  ['US-HI-ER', HI],
];

/**
 * What is taken back of the taxes of a posted check when the employee gives back gross pay in a later year: social security
 * and Medicare of both sides. The wages stay wages for income tax (Publication 15, section 13, "Wage repayments"). Wages
 * over the wage base had no tax, and give none back. All amounts as positive cents; `repaid`: gross pay, before tax.
 */
export function repaidTaxes(
  posted: readonly PostedTax[],
  repaid: Cents,
  yearOf: (tax: TaxCode) => YearOfTax,
): PostedTax[] {
  return TAKEN_BACK.flatMap(([code, of]): PostedTax[] => {
    const own = posted.find(({ tax }) => tax === code);
    if (!own || own.wages <= 0) return [];
    const year = yearOf(code);
    const subject = smaller(repaid, own.subject);
    const left = smaller(year.wages, notBelowZero(subtract(year.subject, subject)));
    const wages = smaller(own.wages, subtract(year.wages, left));
    const amount = wages === own.wages ? own.amount : smaller(own.amount, round(times(wages, of), 'half-up'));
    return wages === ZERO && subject === ZERO ? [] : [{ tax: code, subject, wages, amount }];
  });
}
