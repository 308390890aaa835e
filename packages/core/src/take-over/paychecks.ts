import type { LocalDate } from '../calendar/local-date.js';
import { ZERO, negate, sum, type Cents } from '../money/cents.js';
import type { TaxLine } from '../computation/result.js';
import type { TaxPosting } from '../ledger/postings.js';
import { taxOf, type TaxCode } from '../tax-registry/registry.js';
import type { Balance } from './read-balances.js';

/** The balances of one day (or of a quarter, dated on its last day) as one payroll that was paid elsewhere. */
export interface BroughtInPayroll {
  readonly from: LocalDate;
  readonly day: LocalDate;
  readonly balances: readonly Balance[];
}

export function broughtInPayrolls(balances: readonly Balance[]): BroughtInPayroll[] {
  const found = new Map<string, Balance[]>();
  for (const balance of balances) {
    const key = `${balance.from} ${balance.day}`;
    const own = found.get(key);
    if (own) own.push(balance);
    else found.set(key, [balance]);
  }
  return [...found.values()]
    .flatMap((own): BroughtInPayroll[] => (own[0] ? [{ from: own[0].from, day: own[0].day, balances: own }] : []))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** The tax lines of a balance as a paycheck keeps them. No rate: the amounts are facts, nothing is computed from them. */
export const taxLinesOf = (balance: Balance): TaxLine[] =>
  balance.taxes.map(({ tax, subject, wages, amount }) => ({
    code: tax,
    payer: taxOf(tax).payer,
    subject,
    wages,
    amount,
    rate: null,
  }));

/** Ledger lines of a brought-in payroll: per person for the employee's taxes, on the total for the employer's. */
export function broughtInPostings({ day, balances }: BroughtInPayroll): TaxPosting[] {
  const employer = new Map<TaxCode, { subject: Cents; wages: Cents; amount: Cents }>();
  const ofPeople = balances.flatMap((balance) =>
    balance.taxes.flatMap(({ tax, subject, wages, amount }): TaxPosting[] => {
      const { payer, agency } = taxOf(tax);
      if (payer === 'employee')
        return [{ employeeId: balance.employeeId, tax, agency, subject, wages, amount, liabilityDate: day }];
      const before = employer.get(tax) ?? { subject: ZERO, wages: ZERO, amount: ZERO };
      employer.set(tax, {
        subject: sum([before.subject, subject]),
        wages: sum([before.wages, wages]),
        amount: sum([before.amount, amount]),
      });
      return [];
    }),
  );
  const ofEmployer = [...employer].map(([tax, total]): TaxPosting => ({
    employeeId: null,
    tax,
    agency: taxOf(tax).agency,
    ...total,
    liabilityDate: day,
  }));
  return [...ofPeople, ...ofEmployer];
}

/** A balance with every amount the other way. */
export const reversed = (balance: Balance): Balance => ({
  ...balance,
  gross: negate(balance.gross),
  net: negate(balance.net),
  supplemental: negate(balance.supplemental),
  qualifiedOvertime: negate(balance.qualifiedOvertime),
  qualifiedTips: negate(balance.qualifiedTips),
  otherDeductions: negate(balance.otherDeductions),
  taxes: balance.taxes.map((line) => ({
    ...line,
    subject: negate(line.subject),
    wages: negate(line.wages),
    amount: negate(line.amount),
  })),
  deductions: balance.deductions.map((line) => ({ ...line, amount: negate(line.amount) })),
});
