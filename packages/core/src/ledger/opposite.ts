import type { DeductionLine, PaycheckResult } from '../computation/result.js';
import type { LocalDate } from '../calendar/local-date.js';
import { ZERO, add, negate, type Cents } from '../money/cents.js';
import { taxOf, type TaxCode } from '../tax-registry/registry.js';
import type { JobCost } from './jobs.js';
import type { EmployerTaxTotal, JournalLine, PostedPaycheck, TaxPosting } from './postings.js';

/** The lines of a posted paycheck, as they are kept with it. */
export type PostedLines = Pick<
  PaycheckResult,
  'earnings' | 'deductions' | 'garnishments' | 'leave' | 'employerPaid' | 'tracked' | 'taxes'
> & {
  readonly workersCompensation?: PaycheckResult['workersCompensation'];
  readonly jobs?: readonly JobCost[];
};
/** A tax of a posted paycheck; of an employer's tax, the check's part of what was rounded on the payroll's total. */
export interface PostedTax {
  readonly tax: TaxCode;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
}
export interface PostedTaxes {
  readonly employeeId: string;
  readonly taxes: readonly PostedTax[];
}

/** The taxes of a computed check as they are posted: of employer taxes its part of the payroll's total. `index`: its place. */
export const postedTaxes = (
  check: PostedPaycheck,
  index: number,
  employer: readonly EmployerTaxTotal[],
): PostedTaxes => ({
  employeeId: check.employeeId,
  taxes: check.result.taxes.map(({ code, payer, subject, wages, amount }) => ({
    tax: code,
    subject,
    wages,
    amount: payer === 'employer' ? (employer.find(({ tax }) => tax === code)?.shares[index] ?? amount) : amount,
  })),
});

const oppositeAmount = <Line extends { readonly amount: Cents }>(line: Line): Line => ({
  ...line,
  amount: negate(line.amount),
});

/** What was owed on by the line, or taken of what was owed before, is taken back with it. */
const oppositeDeduction = ({ computed: _computed, owed, arrears, ...line }: DeductionLine): DeductionLine => ({
  ...oppositeAmount(line),
  ...(owed === undefined ? {} : { owed: negate(owed) }),
  ...(arrears === undefined ? {} : { arrears: negate(arrears) }),
});

const oppositeHours = (hours: string): string =>
  hours.startsWith('-') ? hours.slice(1) : Number(hours) === 0 ? hours : `-${hours}`;

/** The same lines with the opposite amounts: both together are nothing. Rates stand; hours of leave are given back. */
export function oppositeLines(lines: PostedLines): PostedLines {
  const { earnings, deductions, garnishments, leave, employerPaid, tracked, taxes, workersCompensation, jobs } = lines;
  return {
    earnings: earnings.map(oppositeAmount),
    deductions: deductions.map(oppositeDeduction),
    employerPaid: employerPaid.map(oppositeDeduction),
    garnishments: garnishments.map(({ computed: _computed, ...line }) => ({
      ...oppositeAmount(line),
      fee: negate(line.fee),
    })),
    leave: leave.map(({ accrued, used, lost, ...move }) => ({
      ...move,
      accrued: 0 - accrued,
      used: 0 - used,
      lost: 0 - lost,
    })),
    tracked: Object.fromEntries(
      Object.entries(tracked).map(([name, amount]: [string, Cents]) => [name, negate(amount)]),
    ) as unknown as PostedLines['tracked'],
    taxes: taxes.map((line) => ({
      ...oppositeAmount(line),
      subject: negate(line.subject),
      wages: negate(line.wages),
    })),
    ...(workersCompensation
      ? {
          workersCompensation: {
            ...oppositeAmount(workersCompensation),
            pay: negate(workersCompensation.pay),
            hours: oppositeHours(workersCompensation.hours),
          },
        }
      : {}),
    ...(jobs
      ? {
          jobs: jobs.map(({ job, gross, employerTaxes, employerPaid: paid }) => ({
            job,
            gross: negate(gross),
            employerTaxes: negate(employerTaxes),
            employerPaid: negate(paid),
          })),
        }
      : {}),
  };
}

export const oppositeTax = ({ tax, subject, wages, amount }: PostedTax): PostedTax => ({
  tax,
  subject: negate(subject),
  wages: negate(wages),
  amount: negate(amount),
});

/** The ledger lines that take posted checks out again: each person's own, the employer's taxes in one line each. */
export function oppositePostings(checks: readonly PostedTaxes[], checkDate: LocalDate): TaxPosting[] {
  const posting = (employeeId: string | null, line: PostedTax): TaxPosting => ({
    employeeId,
    tax: line.tax,
    agency: taxOf(line.tax).agency,
    subject: line.subject,
    wages: line.wages,
    amount: line.amount,
    liabilityDate: checkDate,
  });
  const employer = new Map<TaxCode, PostedTax>();
  const own: TaxPosting[] = [];
  for (const { employeeId, taxes } of checks)
    for (const line of taxes.map(oppositeTax)) {
      if (taxOf(line.tax).payer === 'employee') own.push(posting(employeeId, line));
      else {
        const before = employer.get(line.tax) ?? { tax: line.tax, subject: ZERO, wages: ZERO, amount: ZERO };
        employer.set(line.tax, {
          tax: line.tax,
          subject: add(before.subject, line.subject),
          wages: add(before.wages, line.wages),
          amount: add(before.amount, line.amount),
        });
      }
    }
  return [...own, ...[...employer.values()].map((line) => posting(null, line))];
}

/** Employer taxes of posted checks, each check's part as it was kept: the parts are the total. */
export function employerTotals(checks: readonly PostedTaxes[]): EmployerTaxTotal[] {
  const codes = [
    ...new Set(
      checks.flatMap(({ taxes }) => taxes.map(({ tax }) => tax)).filter((tax) => taxOf(tax).payer === 'employer'),
    ),
  ];
  return codes.map((tax) => {
    const lines = checks.map(({ taxes }) => taxes.find((line) => line.tax === tax));
    const total = (of: (line: PostedTax) => Cents): Cents =>
      lines.reduce((before, line) => (line ? add(before, of(line)) : before), ZERO);
    return {
      tax,
      subject: total((line) => line.subject),
      wages: total((line) => line.wages),
      amount: total((line) => line.amount),
      shares: lines.map((line) => line?.amount ?? ZERO),
    };
  });
}

/** A journal entry the other way round. */
export const oppositeJournal = (lines: readonly JournalLine[]): JournalLine[] => lines.map(oppositeAmount);
