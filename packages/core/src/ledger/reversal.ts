import { negate, ZERO, type Cents } from '../money/cents.js';
import { taxOf } from '../tax-registry/registry.js';
import type { LocalDate } from '../calendar/local-date.js';
import type { EmployerTaxTotal, PostedPaycheck, TaxPosting } from './postings.js';

/**
 * The ledger lines that take one paycheck of a payroll out again: each of the employee's own, and of the employer's taxes,
 * which were rounded on the total, the part that is this check's. What is left is the payroll without it, to the cent of
 * the shares. `index`: its place among the checks whose totals these are.
 */
export function reversalPostings(
  check: PostedPaycheck,
  index: number,
  employer: readonly EmployerTaxTotal[],
  checkDate: LocalDate,
): TaxPosting[] {
  const line = (
    employeeId: string | null,
    tax: TaxPosting['tax'],
    subject: Cents,
    wages: Cents,
    amount: Cents,
  ): TaxPosting => ({
    employeeId,
    tax,
    agency: taxOf(tax).agency,
    subject: negate(subject),
    wages: negate(wages),
    amount: negate(amount),
    liabilityDate: checkDate,
  });
  return [
    ...check.result.taxes
      .filter((tax) => tax.payer === 'employee')
      .map((tax) => line(check.employeeId, tax.code, tax.subject, tax.wages, tax.amount)),
    ...employer.flatMap((total) => {
      const own = check.result.taxes.find((tax) => tax.code === total.tax);
      return own ? [line(null, total.tax, own.subject, own.wages, total.shares[index] ?? ZERO)] : [];
    }),
  ];
}
