import type { LocalDate } from '../../calendar/local-date.js';
import { familyOf, type FederalForm } from '../../deposits/family.js';
import type { Issue } from '../../issues/issue.js';
import type { LedgerEntry } from '../../ledger/entry.js';
import { employerTaxes, taxPostings, type PostedPaycheck, type TaxPosting } from '../../ledger/postings.js';
import { oppositePostings, postedTaxes } from '../../ledger/opposite.js';
import { ZERO, negate, smaller, subtract, sum, type Cents } from '../../money/cents.js';
import { computePaycheck } from '../../paycheck/compute.js';
import { grossUp } from '../../paycheck/gross-up.js';
import type { PaycheckResult } from '../../computation/result.js';
import { readCase } from '../read-case.js';
import type { JsonObject } from '../reader.js';
import type { YearCase, YearCheck, YearPayment } from './read-year.js';
import { ToDate } from './to-date.js';

/** A computed check of a year that stands at its end. */
export interface PaidCheck extends YearCheck {
  readonly result: PaycheckResult;
}
export interface YearLedger {
  /** Checks that were not voided. */
  readonly checks: readonly PaidCheck[];
  readonly entries: readonly LedgerEntry[];
  readonly issues: readonly Issue[];
}

const entryOf = (posting: TaxPosting, cause: LedgerEntry['cause'], effectiveDate: LocalDate): LedgerEntry => ({
  employeeId: posting.employeeId,
  tax: posting.tax,
  cause,
  liabilityDate: posting.liabilityDate,
  effectiveDate,
  subject: posting.subject,
  wages: posting.wages,
  amount: posting.amount,
});

/** Computes every check of a year in order and posts the checks of a day as one payroll; what was voided is reversed. */
export function yearLedger(year: YearCase, more: JsonObject): YearLedger {
  const issues: Issue[] = [];
  const people = new Map(year.people.map((person) => [person.id, person]));
  const toDate = new Map(year.people.map((person) => [person.id, new ToDate()]));
  const paid: PaidCheck[] = [];
  const entries: LedgerEntry[] = [];
  const voids: { readonly check: PaidCheck; readonly day: LocalDate }[] = [];
  const days = [...new Set(year.checks.map(({ checkDate }) => checkDate))];
  for (const day of days) {
    // A check that was voided before this day no longer counts towards the bases.
    for (const one of voids.filter(({ day: voided }) => voided <= day)) {
      toDate.get(one.check.person)?.takeOut(one.check.result, one.check.checkDate);
      voids.splice(voids.indexOf(one), 1);
    }
    const posted: { readonly check: YearCheck; readonly posted: PostedPaycheck }[] = [];
    for (const check of year.checks.filter(({ checkDate }) => checkDate === day && checkDate <= year.asOf)) {
      const own = toDate.get(check.person);
      const result = compute(year, check, people.get(check.person)?.employee ?? {}, own, more, issues);
      if (!result) continue;
      own?.add(result, day);
      posted.push({ check, posted: { employeeId: check.person, result } });
    }
    const employer = employerTaxes(posted.map((one) => one.posted));
    for (const line of taxPostings(
      posted.map((one) => one.posted),
      employer,
      day,
    ))
      entries.push(entryOf(line, 'payroll', day));
    posted.forEach(({ check, posted: own }, index) => {
      const { voided } = check;
      if (voided === null || voided > year.asOf) {
        paid.push({ ...check, result: own.result });
        return;
      }
      voids.push({ check: { ...check, result: own.result }, day: voided });
      for (const line of oppositePostings([postedTaxes(own, index, employer)], day))
        entries.push(entryOf(line, 'reversal', voided));
    });
  }
  entries.push(...paymentEntries(entries, year.payments, year.employer.form, year.asOf));
  return { checks: paid, entries, issues };
}

function compute(
  year: YearCase,
  check: YearCheck,
  employee: JsonObject,
  toDate: ToDate | undefined,
  more: JsonObject,
  issues: Issue[],
): PaycheckResult | null {
  const { garnishments, ...parts } = check.parts;
  const read = readCase({
    id: '',
    checkDate: check.checkDate,
    ...parts,
    employee: garnishments === undefined ? employee : { ...employee, garnishments },
    employer: year.caseEmployer,
    ...toDate?.before(check.checkDate),
    ...more,
  });
  const at = (issue: Issue): Issue => ({ ...issue, field: `${check.path}.${issue.field}` });
  issues.push(...read.issues.map(at));
  if (!read.input) return null;
  const result = read.grossUp
    ? grossUp(read.input, { item: read.grossUp.item, own: null }, read.grossUp.net).result
    : computePaycheck(read.input);
  const errors = result.problems.filter((issue) => issue.severity === 'error');
  issues.push(...errors.map(at));
  return errors.length > 0 ? null : result;
}

interface Open {
  readonly tax: LedgerEntry['tax'];
  readonly day: LocalDate;
  readonly owed: Cents;
}

/** Payments put against what their deposit owes, the oldest first; what is more than was owed is a credit on the last day. */
function paymentEntries(
  entries: readonly LedgerEntry[],
  payments: readonly YearPayment[],
  form: FederalForm,
  asOf: LocalDate,
): LedgerEntry[] {
  const open = new Map<string, Open>();
  for (const { tax, liabilityDate, amount } of entries) {
    const key = `${liabilityDate} ${tax}`;
    open.set(key, { tax, day: liabilityDate, owed: sum([open.get(key)?.owed ?? ZERO, amount]) });
  }
  const made: LedgerEntry[] = [];
  const ordered = [...payments].filter(({ date }) => date <= asOf).sort((a, b) => (a.date < b.date ? -1 : 1));
  for (const payment of ordered) {
    let left = payment.amount;
    const own = [...open].filter(([, line]) => familyOf(line.tax, form).code === payment.family).sort(byKey);
    const pay = (key: string, line: Open, part: Cents): void => {
      open.set(key, { ...line, owed: subtract(line.owed, part) });
      made.push({
        employeeId: null,
        tax: line.tax,
        cause: 'payment',
        liabilityDate: line.day,
        effectiveDate: payment.date,
        subject: ZERO,
        wages: ZERO,
        amount: negate(part),
      });
      left = subtract(left, part);
    };
    for (const [key, line] of own) if (left > 0 && line.owed > 0) pay(key, line, smaller(left, line.owed));
    const last = own.at(-1);
    if (left > 0 && last) pay(last[0], open.get(last[0]) ?? last[1], left);
  }
  return made;
}
const byKey = ([a]: readonly [string, Open], [b]: readonly [string, Open]): number => (a < b ? -1 : 1);
