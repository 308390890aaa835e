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
import { totalsByJob, type JobCost } from '@zakat/core/ledger/jobs';
import type { PersonOnDay, Place } from '@zakat/core/facts/on-day';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { cents, sum } from '@zakat/core/money/cents';
import { hasErrors } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/paycheck/result';
import { taxOf, type TaxCode } from '@zakat/core/taxes/registry';
import { createHash } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { detailOf, notFound } from '../../http/refusal.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { fullName } from '../employees/employees.service.js';
import { Payroll } from './entities.js';
import { PeopleCases, computeEntry, usualEntry, type PersonCase } from './people-cases.js';

export interface ComputedPerson extends PersonCase {
  readonly entry: PayrollEntry;
  readonly result: PaycheckResult;
}
interface StoredLine {
  readonly employee_id: string;
  readonly is_paid: boolean;
  readonly earnings: PayrollEntry['earnings'];
  readonly deductions: PayrollEntry['deductions'];
  readonly left_out: NonNullable<PayrollEntry['leftOut']>;
  readonly withheld: NonNullable<PayrollEntry['withheld']>;
}

const entryOf = (line: StoredLine): PayrollEntry => ({
  employeeId: line.employee_id,
  isPaid: line.is_paid,
  earnings: line.earnings,
  deductions: line.deductions,
  ...(line.left_out.length > 0 ? { leftOut: line.left_out } : {}),
  ...(line.withheld.length > 0 ? { withheld: line.withheld } : {}),
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
  garnishments: result.garnishments.map(({ kind, label, amount, fee }) => ({ kind, label, amount, fee })),
  taxes: [...result.taxes],
  ...(result.variances.length > 0 ? { variances: variancesOf(result) } : {}),
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
  constructor(@Inject(PeopleCases) private readonly peopleCases: PeopleCases) {}

  /** The people of a payroll with their checks: from what was posted, or computed afresh while it is open. */
  async computed(
    manager: EntityManager,
    id: string,
  ): Promise<{ payroll: Payroll; client: Client; people: ComputedPerson[]; employer: EmployerTaxTotal[] }> {
    const payroll = await findPayroll(manager, id);
    const client = await findClient(manager, payroll.clientId);
    const cases = await this.casesOf(manager, client, payroll);
    const stored = (await manager.query(
      'SELECT employee_id, is_paid, earnings, deductions, left_out, withheld FROM payroll_line WHERE payroll_id = $1',
      [id],
    )) as StoredLine[];
    const byEmployee = new Map(stored.map((line) => [line.employee_id, line]));
    const people = cases.flatMap((person): ComputedPerson[] => {
      const line = byEmployee.get(person.employee.id);
      if (!line && payroll.status === 'posted') return [];
      const entry: PayrollEntry = line ? entryOf(line) : usualEntry(person, payroll.kind);
      return [{ ...person, entry, result: computeEntry(person, entry) }];
    });
    const employer = employerTaxes(paidOnly(people));
    return { payroll, client, people, employer };
  }

  /** While a payroll is open its cases follow the records; once posted they are the ones it was computed from. */
  private async casesOf(manager: EntityManager, client: Client, payroll: Payroll): Promise<PersonCase[]> {
    const cases = await this.peopleCases.forPayroll(manager, client, payroll);
    if (payroll.status !== 'posted') return cases;
    const rows = (await manager.query(
      `SELECT employee_id, facts->'case' AS base, facts->'own' AS own FROM paycheck WHERE payroll_id = $1`,
      [payroll.id],
    )) as { employee_id: string; base: Record<string, unknown>; own: OwnRows | null }[];
    return cases.map((person) => {
      const posted = rows.find((row) => row.employee_id === person.employee.id);
      return posted ? { ...person, base: posted.base, own: posted.own } : person;
    });
  }

  async of(manager: EntityManager, id: string): Promise<PayrollView> {
    const asked = await findPayroll(manager, id);
    if (asked.kind === 'brought-in') return this.paidElsewhere(manager, asked);
    const { payroll, client, people, employer } = await this.computed(manager, id);
    const previous = (await manager.query(
      `SELECT DISTINCT ON (employee_id) employee_id, gross FROM paycheck c JOIN payroll p ON p.id = c.payroll_id
       WHERE c.client_id = $1 AND c.payroll_id <> $2 AND c.check_date <= $3 AND p.kind <> 'brought-in' ORDER BY employee_id, c.check_date DESC`,
      [client.id, id, payroll.checkDate],
    )) as { employee_id: string; gross: string }[];
    const posted = (await manager.query(
      'SELECT id, employee_id, gross, net, lines FROM paycheck WHERE payroll_id = $1',
      [id],
    )) as StoredCheck[];
    const persons = people.map((person) => {
      const stored = posted.find((row) => row.employee_id === person.employee.id);
      const paycheck = stored ? checkOf(stored) : viewOf(null, person.result);
      const before = previous.find((row) => row.employee_id === person.employee.id);
      return {
        ...person.entry,
        number: person.employee.number,
        name: fullName(person.employee),
        workState: workStates(person.facts.place),
        ...bookedAt(person.facts),
        base: person.base,
        paycheck,
        previousGross: before ? rawCents(before.gross) : null,
      };
    });
    const checks = hasAnyError(people) ? [] : paidOnly(people);
    const journal = payrollJournal(checks, employer);
    const costs = totalsByJob(costsOfChecks(checks, employer).flat());
    return {
      id,
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
      people: persons.filter((person) => person.isPaid).length,
      gross: sum(persons.map((person) => cents(person.paycheck.gross))),
      net: sum(persons.map((person) => cents(person.paycheck.net))),
      own: { ...(people[0]?.own ?? {}) },
      persons,
      employerTaxes: employer.map((line) => ({
        tax: line.tax,
        label: taxOf(line.tax).label,
        wages: line.wages,
        amount: line.amount,
      })),
      jobs: jobsOf(costs),
      journal: journal.map((line) => ({
        account: line.account,
        label: ACCOUNT_LABELS[line.account],
        detail: line.detail,
        amount: line.amount,
      })),
    };
  }

  /** A payroll that was paid elsewhere: its checks as they were brought in. There is nothing to compute. */
  private async paidElsewhere(manager: EntityManager, payroll: Payroll): Promise<PayrollView> {
    const client = await findClient(manager, payroll.clientId);
    const rows = (await manager.query(
      `SELECT c.id, c.employee_id, c.gross, c.net, c.lines, e.number, concat_ws(' ', e.first_name, nullif(e.middle_name, ''), e.last_name, nullif(e.suffix, '')) AS name
       FROM paycheck c JOIN employee e ON e.id = c.employee_id WHERE c.payroll_id = $1 ORDER BY e.number`,
      [payroll.id],
    )) as (StoredCheck & { number: string; name: string })[];
    const totals = (await manager.query(
      'SELECT tax, wages, amount FROM ledger_entry WHERE payroll_id = $1 AND employee_id IS NULL ORDER BY id',
      [payroll.id],
    )) as { tax: TaxCode; wages: string; amount: string }[];
    return {
      id: payroll.id,
      clientId: client.id,
      clientName: client.legalName,
      einTail: client.ein.slice(-4),
      payFrequency: client.payFrequency,
      periodStart: payroll.periodStart,
      periodEnd: payroll.periodEnd,
      checkDate: payroll.checkDate,
      kind: payroll.kind,
      status: payroll.status,
      version: payroll.version,
      people: rows.length,
      gross: sum(rows.map((row) => rawCents(row.gross))),
      net: sum(rows.map((row) => rawCents(row.net))),
      own: {},
      persons: rows.map((row) => ({
        employeeId: row.employee_id,
        isPaid: true,
        earnings: [],
        deductions: [],
        number: row.number,
        name: row.name,
        workState: '',
        department: '',
        location: '',
        costCentre: '',
        base: {},
        paycheck: checkOf(row),
        previousGross: null,
      })),
      employerTaxes: totals.map((line) => ({
        tax: line.tax,
        label: taxOf(line.tax).label,
        wages: rawCents(line.wages),
        amount: rawCents(line.amount),
      })),
      journal: [],
      jobs: [],
    };
  }
}

interface StoredCheck {
  readonly id: string;
  readonly employee_id: string;
  readonly gross: string;
  readonly net: string;
  readonly lines: Omit<PaycheckView, 'id' | 'gross' | 'net' | 'problems'>;
}
const checkOf = (stored: StoredCheck): PaycheckView => ({
  id: stored.id,
  gross: rawCents(stored.gross),
  net: rawCents(stored.net),
  earnings: stored.lines.earnings,
  deductions: stored.lines.deductions,
  employerPaid: stored.lines.employerPaid,
  garnishments: stored.lines.garnishments,
  taxes: stored.lines.taxes,
  ...(stored.lines.variances ? { variances: stored.lines.variances } : {}),
  problems: [],
});

/** A computed person as a check of the ledger: with the jobs that the pay belongs to. */
export const asChecked = ({ employee, result, base }: ComputedPerson): PostedPaycheck => ({
  employeeId: employee.id,
  result,
  jobs: sharesOf(base),
});
const jobsOf = (costs: readonly JobCost[]): JobCost[] => (costs.some((cost) => cost.job !== '') ? [...costs] : []);
const paidOnly = (people: readonly ComputedPerson[]): PostedPaycheck[] =>
  people.filter((person) => person.entry.isPaid && !hasErrors(person.result)).map(asChecked);
const hasAnyError = (people: readonly ComputedPerson[]): boolean => people.some((person) => hasErrors(person.result));

export async function findPayroll(manager: EntityManager, id: string): Promise<Payroll> {
  const payroll = await manager.findOneBy(Payroll, { id });
  if (!payroll) throw notFound('payroll');
  return payroll;
}

/** Department, location and cost centre of a person's work. */
export const bookedAt = ({ worker }: PersonOnDay) => ({
  department: text(worker ?? {}, 'department'),
  location: text(worker ?? {}, 'location'),
  costCentre: text(worker ?? {}, 'costCentre'),
});

/** `NY`, or `NY, NJ` for work in several states. */
export const workStates = (place: Place | null): string =>
  [...new Set((place?.work ?? []).map((at) => String(at['state'])))].join(', ');
