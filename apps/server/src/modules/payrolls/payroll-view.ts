import { Inject, Injectable } from '@nestjs/common';
import type { PaycheckView, PayrollEntry, PayrollView, VarianceView } from '@zakat/contract/payrolls';
import {
  ACCOUNT_LABELS,
  costsOfChecks,
  employerTaxes,
  payrollJournal,
  type EmployerTaxTotal,
  type PostedPaycheck,
} from '@zakat/core/ledger/postings';
import { text } from '@zakat/core/facts/fact-kind';
import { sharesOf } from '@zakat/core/facts/job-facts';
import { totalsByJob } from '@zakat/core/ledger/jobs';
import type { PersonOnDay, Place } from '@zakat/core/facts/on-day';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { cents, showDollars, sum } from '@zakat/core/money/cents';
import type { OwnItem } from '@zakat/core/casefile/compose';
import { findItem } from '@zakat/core/items/registry';
import { hasErrors } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import { createHash } from 'node:crypto';
import { showLeaveMove } from '@zakat/core/leave/accrual';
import type { EntityManager } from 'typeorm';
import { detailOf, notFound } from '../../http/refusal.js';
import { type Client, findClient } from '../clients/index.js';
import { fullName } from '../employees/index.js';
import { Payroll } from './entities.js';
import { PeopleCases, computeEntry, usualEntry, type PersonCase } from './people-cases.js';
import { ClosedPeriods } from './closed-periods.js';
import { jobsOf } from './job-totals.js';
import { sheetColumns } from './sheet-columns.js';
import { grossBefore, postedView, type PostedPerson } from './posted-payroll.js';

export interface ComputedPerson extends PersonCase {
  readonly entry: PayrollEntry;
  readonly result: PaycheckResult;
}
export interface ComputedPayroll {
  readonly payroll: Payroll;
  readonly client: Client;
  readonly people: ComputedPerson[];
  readonly employer: EmployerTaxTotal[];
}
interface StoredLine {
  readonly employee_id: string;
  readonly is_paid: boolean;
  readonly earnings: PayrollEntry['earnings'];
  readonly deductions: PayrollEntry['deductions'];
  readonly left_out: NonNullable<PayrollEntry['leftOut']>;
  readonly overridden: NonNullable<PayrollEntry['overridden']>;
  readonly withheld: NonNullable<PayrollEntry['withheld']>;
  readonly unread: NonNullable<PayrollEntry['unread']> | null;
}

const entryOf = (line: StoredLine): PayrollEntry => ({
  employeeId: line.employee_id,
  isPaid: line.is_paid,
  earnings: line.earnings,
  deductions: line.deductions,
  ...(line.left_out.length > 0 ? { leftOut: line.left_out } : {}),
  ...(line.overridden.length > 0 ? { overridden: line.overridden } : {}),
  ...(line.withheld.length > 0 ? { withheld: line.withheld } : {}),
  ...(line.unread ? { unread: line.unread } : {}),
});

/** With the words of each tax, as they are kept with a posted check. */
export const variancesOf = ({ variances }: PaycheckResult): VarianceView[] =>
  variances.map((variance) => ({ ...variance, label: taxOf(variance.code).label }));

export const viewOf = (id: string | null, result: PaycheckResult): PaycheckView => ({
  id,
  gross: result.gross,
  net: result.net,
  earnings: [...result.earnings],
  deductions: [...result.deductions],
  employerPaid: [...result.employerPaid],
  garnishments: result.garnishments.map(({ ordered: _ordered, ...line }) => line),
  taxes: [...result.taxes],
  ...(result.variances.length > 0 ? { variances: variancesOf(result) } : {}),
  ...(result.leave.length > 0 ? { leave: result.leave.map(showLeaveMove) } : {}),
  problems: result.problems.map(detailOf),
});

/** Digest of what a reviewer saw: posting refuses when the figures have moved since. */
export const digestOf = (people: readonly ComputedPerson[]): string =>
  createHash('sha256')
    .update(
      JSON.stringify(
        people.map((person) => [
          person.employee.id,
          person.entry.isPaid,
          person.result.gross,
          person.result.net,
          person.result.taxes,
        ]),
      ),
    )
    .digest('hex');

/** A payroll with every check computed, as the screens and the posting see it. */
@Injectable()
export class PayrollViews {
  constructor(
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
    @Inject(ClosedPeriods) private readonly closed: ClosedPeriods,
  ) {}

  /**
   * The people of a payroll that is not posted, with their checks computed from the records as they stand. `known`: its
   * people, where they were looked up just now.
   */
  async computed(manager: EntityManager, id: string, known?: readonly PersonCase[]): Promise<ComputedPayroll> {
    const payroll = await findPayroll(manager, id);
    const client = await findClient(manager, payroll.clientId);
    const cases = known ?? (await this.peopleCases.forPayroll(manager, client, payroll));
    const stored = (await manager.query(
      'SELECT employee_id, is_paid, earnings, deductions, left_out, overridden, withheld, unread FROM payroll_line WHERE payroll_id = $1',
      [id],
    )) as StoredLine[];
    const byEmployee = new Map(stored.map((line) => [line.employee_id, line]));
    const people = cases.map((person): ComputedPerson => {
      const line = byEmployee.get(person.employee.id);
      const entry: PayrollEntry = line ? entryOf(line) : usualEntry(person, payroll.kind);
      return { ...person, entry, result: computeEntry(person, entry) };
    });
    const employer = employerTaxes(paidOnly(people));
    return { payroll, client, people, employer };
  }

  async of(manager: EntityManager, id: string): Promise<PayrollView> {
    const asked = await findPayroll(manager, id);
    if (asked.status === 'posted') return postedView(manager, asked);
    return this.ofComputed(manager, await this.computed(manager, id));
  }

  /** A payroll that is not posted, of checks that are computed already. */
  async ofComputed(
    manager: EntityManager,
    { payroll, client, people, employer }: ComputedPayroll,
  ): Promise<PayrollView> {
    const previous = await grossBefore(manager, payroll);
    const persons = people.map((person) => {
      return {
        ...person.entry,
        ...postedPerson(person),
        base: person.base,
        paycheck: viewOf(null, person.result),
        previousGross: previous.get(person.employee.id) ?? null,
        note: noteOf(person, payroll),
      };
    });
    const checks = hasAnyError(people) ? [] : paidOnly(people);
    const journal = payrollJournal(checks, employer);
    const costs = totalsByJob(costsOfChecks(checks, employer).flat());
    return {
      id: payroll.id,
      clientId: client.id,
      clientName: client.legalName,
      einTail: client.ein.slice(-4),
      payFrequency: people[0] ? String(people[0].base['payFrequency']) : client.payFrequency,
      periodStart: payroll.periodStart,
      periodEnd: payroll.periodEnd,
      checkDate: payroll.checkDate,
      kind: payroll.kind,
      status: payroll.status,
      version: payroll.version,
      isVoid: payroll.isVoid,
      schedule: payroll.schedule,
      part: payroll.part,
      voids: payroll.voids,
      people: persons.filter((person) => person.isPaid).length,
      gross: sum(persons.map((person) => cents(person.paycheck.gross))),
      net: sum(persons.map((person) => cents(person.paycheck.net))),
      own: { ...(people[0]?.own ?? {}) },
      persons,
      columns: await sheetColumns(manager, client.id),
      employerTaxes: employer.map((line) => ({
        tax: line.tax,
        label: taxOf(line.tax).label,
        wages: line.wages,
        amount: line.amount,
      })),
      jobs: jobsOf(costs),
      closed: await this.closed.of(manager, client, payroll.checkDate, taxesOf(people)),
      closedReason: payroll.closedReason,
      journal: journal.map((line) => ({
        account: line.account,
        label: ACCOUNT_LABELS[line.account],
        detail: line.detail,
        amount: line.amount,
      })),
    };
  }
}

/** What there is to say of a person's place in a payroll: when the employment ended. */
function noteOf(person: PersonCase, payroll: Payroll): string {
  return [lastDayNote(person, payroll), owedNote(person)].filter((note) => note !== '').join(' ');
}
function lastDayNote({ lastDay }: PersonCase, payroll: Payroll): string {
  if (lastDay === null) return '';
  const day = showDate(date(lastDay));
  return lastDay < payroll.periodStart
    ? `Employment ended ${day}, before this period, and was not paid to its end: enter what is still owed.`
    : `Employment ended ${day}: pay up to that day is proposed. This is the last check.`;
}
/** What no line of the person takes by itself is said, so that it is not forgotten. */
const owedNote = ({ owedWithoutLine, base }: PersonCase): string =>
  owedWithoutLine
    .map(
      ([item, owed]) =>
        `${showDollars(owed)} of ${itemLabel(item, base)} is owed from earlier checks, and no line takes it.`,
    )
    .join(' ')
    .slice(0, 180);
function itemLabel(code: string, { items }: PersonCase['base']): string {
  const own = Array.isArray(items) ? (items as readonly OwnItem[]).find((item) => item.code === code) : undefined;
  return own?.label ?? findItem(code)?.label ?? code;
}

/** Every tax that somebody's check has. */
export const taxesOf = (people: readonly ComputedPerson[]): TaxCode[] => [
  ...new Set(people.flatMap((person) => person.result.taxes.map((tax) => tax.code))),
];

/** A computed person as a check of the ledger: with the jobs that the pay belongs to. */
export const asChecked = ({ employee, result, base }: ComputedPerson): PostedPaycheck => ({
  employeeId: employee.id,
  result,
  jobs: sharesOf(base),
});
const paidOnly = (people: readonly ComputedPerson[]): PostedPaycheck[] =>
  people.filter((person) => person.entry.isPaid && !hasErrors(person.result)).map(asChecked);
const hasAnyError = (people: readonly ComputedPerson[]): boolean => people.some((person) => hasErrors(person.result));

export async function findPayroll(manager: EntityManager, id: string): Promise<Payroll> {
  const payroll = await manager.findOneBy(Payroll, { id });
  if (!payroll) throw notFound('payroll');
  return payroll;
}

/** Who a person is when a payroll is posted, as its check keeps it. */
export const postedPerson = ({ employee, facts }: Pick<ComputedPerson, 'employee' | 'facts'>): PostedPerson => ({
  number: employee.number,
  name: fullName(employee),
  workState: workStates(facts.place),
  ...bookedAt(facts),
});

/** Department, location and cost center of a person's work. */
export const bookedAt = ({ worker }: PersonOnDay) => ({
  department: text(worker ?? {}, 'department'),
  location: text(worker ?? {}, 'location'),
  costCentre: text(worker ?? {}, 'costCentre'),
});

/** `NY`, or `NY, NJ` for work in several states. */
export const workStates = (place: Place | null): string =>
  [...new Set((place?.work ?? []).map((at) => String(at['state'])))].join(', ');
