import type { LocalDate } from '../calendar/local-date.js';
import { allocate } from '../money/allocate.js';
import { ZERO, add, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import type { PaycheckResult } from '../computation/result.js';
import { jobCosts, payByJob, spread, totalsByJob, type JobCost, type JobShare } from './jobs.js';
import { taxOf, type AgencyCode, type TaxCode } from '../tax-registry/registry.js';

/** One line that a posted payroll writes to the tax ledger. Employer taxes have no employee: they are on the total. */
export interface TaxPosting {
  readonly employeeId: string | null;
  readonly tax: TaxCode;
  readonly agency: AgencyCode;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
  readonly liabilityDate: LocalDate;
}

export type JournalAccount =
  | 'wages-expense'
  | 'employer-tax-expense'
  | 'employer-benefit-expense'
  | 'net-pay-payable'
  | 'deductions-payable'
  | 'taxes-payable'
  | 'benefits-payable'
  | 'cash'
  | 'funds-held'
  | 'service-fees';
export const ACCOUNT_LABELS: Readonly<Record<JournalAccount, string>> = {
  'wages-expense': 'Wages expense',
  'employer-tax-expense': 'Employer payroll tax expense',
  'employer-benefit-expense': 'Employer benefit expense',
  'benefits-payable': 'Employer benefits payable',
  'net-pay-payable': 'Net pay payable',
  'deductions-payable': 'Employee deductions payable',
  'taxes-payable': 'Payroll taxes payable',
  cash: 'Cash',
  'funds-held': 'Funds held by the payroll service',
  'service-fees': 'Payroll service fees',
};

/** Debits are positive, credits negative; an entry sums to exactly zero. */
export interface JournalLine {
  readonly account: JournalAccount;
  readonly detail: string;
  readonly amount: Cents;
}

export interface PostedPaycheck {
  readonly employeeId: string;
  readonly result: PaycheckResult;
  /** The person's shares of jobs; lines of pay may name one of their own. */
  readonly jobs?: readonly JobShare[];
}
export interface EmployerTaxTotal {
  readonly tax: TaxCode;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
  /** The parts of the total by paycheck, adding up to it. */
  readonly shares: readonly Cents[];
}

/**
 * Employer taxes of a payroll: rate × total taxable wages, rounded once for the payroll, half a cent up. The employee's
 * tax is rounded per person; the cents between the two are the fractions of cents of Form 941 line 7. A tax that is not
 * one rate on all (by hours, graduated, a fee) is the sum of the checks.
 */
export function employerTaxes(checks: readonly PostedPaycheck[]): EmployerTaxTotal[] {
  const codes = [
    ...new Set(
      checks.flatMap((check) =>
        check.result.taxes.filter((line) => line.payer === 'employer').map((line) => line.code),
      ),
    ),
  ];
  return codes.map((tax) => {
    const lines = checks.map((check) => check.result.taxes.find((line) => line.code === tax));
    const wagesByCheck = lines.map((line) => line?.wages ?? ZERO);
    const wages = sum(wagesByCheck);
    const rates = lines.flatMap((line) => (line ? [line.rate] : []));
    const rate = rates[0] ?? null;
    const isOneRate = rate !== null && rates.every((other) => other !== null && other.n * rate.d === rate.n * other.d);
    const amounts = lines.map((line) => line?.amount ?? ZERO);
    const amount = isOneRate ? round(times(wages, rate), 'half-up') : sum(amounts);
    return {
      tax,
      subject: sum(lines.map((line) => line?.subject ?? ZERO)),
      wages,
      amount,
      shares: isOneRate ? allocate(amount, wagesByCheck) : amounts,
    };
  });
}

/** Every ledger line of a payroll. A line is written for each tax that applies, even when its amount is zero. */
export function taxPostings(
  checks: readonly PostedPaycheck[],
  employer: readonly EmployerTaxTotal[],
  checkDate: LocalDate,
): TaxPosting[] {
  const ofEmployees = checks.flatMap((check) =>
    check.result.taxes
      .filter((line) => line.payer === 'employee')
      .map((line) => ({
        employeeId: check.employeeId,
        tax: line.code,
        agency: taxOf(line.code).agency,
        subject: line.subject,
        wages: line.wages,
        amount: line.amount,
        liabilityDate: checkDate,
      })),
  );
  const ofEmployer = employer.map((total) => ({
    employeeId: null,
    tax: total.tax,
    agency: taxOf(total.tax).agency,
    subject: total.subject,
    wages: total.wages,
    amount: total.amount,
    liabilityDate: checkDate,
  }));
  return [...ofEmployees, ...ofEmployer];
}

/** What each check of a payroll costs the client, by job. */
export const costsOfChecks = (
  checks: readonly PostedPaycheck[],
  employer: readonly EmployerTaxTotal[],
): readonly (readonly JobCost[])[] =>
  checks.map(({ result, jobs = [] }, index) =>
    jobCosts(result, jobs, sum(employer.map((total) => total.shares[index] ?? ZERO))),
  );

const forJob = (what: string, job: string): string => (job === '' ? what : `${what}, ${job}`);

/** What the employer pays besides, each benefit by job. */
function benefitExpenses(checks: readonly PostedPaycheck[]): JournalLine[] {
  const expenses = new Map<string, Cents>();
  for (const { result, jobs = [] } of checks) {
    if (result.employerPaid.length === 0) continue;
    const byJob = payByJob(result, jobs);
    for (const { label, amount } of result.employerPaid)
      spread(amount, byJob).forEach((part, index) => {
        const detail = forJob(label, byJob.jobs[index] ?? '');
        expenses.set(detail, add(expenses.get(detail) ?? ZERO, part));
      });
  }
  return [...expenses].map(([detail, amount]) => ({ account: 'employer-benefit-expense', detail, amount }));
}

/**
 * The journal entry of a payroll: wages, employer taxes and benefits against net pay, deductions, taxes and benefits
 * payable; the expenses by job where pay is booked to jobs.
 */
export function payrollJournal(
  checks: readonly PostedPaycheck[],
  employer: readonly EmployerTaxTotal[],
): JournalLine[] {
  const costs = totalsByJob(costsOfChecks(checks, employer).flat());
  const net = sum(checks.map((check) => check.result.net));
  const deductions = new Map<string, number>();
  const taxes = new Map<TaxCode, number>();
  const benefits = new Map<string, number>();
  for (const { result } of checks) {
    for (const line of result.deductions) deductions.set(line.label, (deductions.get(line.label) ?? 0) + line.amount);
    for (const line of result.garnishments)
      deductions.set(line.label, (deductions.get(line.label) ?? 0) + line.amount + line.fee);
    for (const line of result.employerPaid) benefits.set(line.label, (benefits.get(line.label) ?? 0) + line.amount);
    for (const line of result.taxes)
      if (line.payer === 'employee') taxes.set(line.code, (taxes.get(line.code) ?? 0) + line.amount);
  }
  for (const total of employer) taxes.set(total.tax, (taxes.get(total.tax) ?? 0) + total.amount);
  const credit = (amount: number) => (amount === 0 ? 0 : -amount) as Cents;
  const lines: JournalLine[] = [
    ...costs.map(({ job, gross }): JournalLine => ({
      account: 'wages-expense',
      detail: forJob('Gross pay', job),
      amount: gross,
    })),
    ...costs.map(({ job, employerTaxes: amount }): JournalLine => ({
      account: 'employer-tax-expense',
      detail: forJob('Employer taxes', job),
      amount,
    })),
    ...benefitExpenses(checks),
    { account: 'net-pay-payable', detail: 'Net pay', amount: credit(net) },
    ...[...deductions].map(([detail, amount]): JournalLine => ({
      account: 'deductions-payable',
      detail,
      amount: credit(amount),
    })),
    ...[...taxes].map(([code, amount]): JournalLine => ({
      account: 'taxes-payable',
      detail: taxOf(code).label,
      amount: credit(amount),
    })),
    ...[...benefits].map(([detail, amount]): JournalLine => ({
      account: 'benefits-payable',
      detail,
      amount: credit(amount),
    })),
  ];
  return lines.filter((line) => line.amount !== 0);
}

/** What is left when debits meet credits; zero for every entry that may be stored. */
export const journalDifference = (lines: readonly JournalLine[]): Cents => sum(lines.map((line) => line.amount));
