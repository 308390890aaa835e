import { Inject, Injectable } from '@nestjs/common';
import type {
  CreatePayroll,
  PaycheckView,
  PayrollEntry,
  PayrollRow,
  PayrollSuggestion,
  PayrollView,
  SavePayroll,
  WorkingView,
} from '@zakat/contract/payrolls';
import { onOrBefore } from '@zakat/core/calendar/business-days';
import { addDays, date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { nextPeriod, type PayFrequency } from '@zakat/core/calendar/pay-frequency';
import { problem, type Issue } from '@zakat/core/issues/issue';
import {
  ACCOUNT_LABELS,
  employerTaxes,
  payrollJournal,
  type EmployerTaxTotal,
  type PostedPaycheck,
} from '@zakat/core/ledger/postings';
import { cents, sum } from '@zakat/core/money/cents';
import { hasErrors } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/paycheck/result';
import { isTaxCode, taxOf } from '@zakat/core/taxes/registry';
import { Tape } from '@zakat/core/working/tape';
import { createHash, randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { dayFrom } from '../../http/day.js';
import { conflict, detailOf, notFound, refuse, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { PAYROLL_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/audit.js';
import { findClient, unemploymentRatesOn } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { fullName } from '../employees/employees.service.js';
import { Payroll } from './entities.js';
import { computeEntry, personCases, usualEntry, type PersonCase } from './people-cases.js';
import { PayrollPoster } from './payroll-poster.js';

export interface ComputedPerson extends PersonCase {
  readonly entry: PayrollEntry;
  readonly result: PaycheckResult;
}
interface StoredLine {
  readonly employee_id: string;
  readonly is_paid: boolean;
  readonly earnings: PayrollEntry['earnings'];
  readonly deductions: PayrollEntry['deductions'];
}

const viewOf = (id: string | null, result: PaycheckResult): PaycheckView => ({
  id,
  gross: result.gross,
  net: result.net,
  earnings: [...result.earnings],
  deductions: [...result.deductions],
  taxes: [...result.taxes],
  problems: result.problems.map(detailOf),
});

/** Digest of what a reviewer saw: posting refuses when the figures have moved since. */
const digestOf = (people: readonly ComputedPerson[]): string =>
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

@Injectable()
export class PayrollsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(PayrollPoster) private readonly poster: PayrollPoster,
  ) {}

  list(actor: Actor, clientId: string): Promise<PayrollRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT p.*, coalesce(c.people, 0)::int AS people, coalesce(c.gross, 0)::bigint AS gross, coalesce(c.net, 0)::bigint AS net FROM payroll p
         LEFT JOIN (SELECT payroll_id, count(*) AS people, sum(gross) AS gross, sum(net) AS net FROM paycheck GROUP BY payroll_id) c ON c.payroll_id = p.id
         WHERE p.client_id = $1 ORDER BY p.check_date DESC, p.period_end DESC`,
        [clientId],
      )) as Record<string, string | number>[];
      return rows.map((row) => ({
        id: String(row['id']),
        clientId,
        periodStart: String(row['period_start']),
        periodEnd: String(row['period_end']),
        checkDate: String(row['check_date']),
        kind: row['kind'] as 'regular',
        status: row['status'] as 'open',
        people: Number(row['people']),
        gross: rawCents(row['gross']),
        net: rawCents(row['net']),
        version: Number(row['version']),
      }));
    });
  }

  /** The next period of the client's schedule, its check date moved before weekends and bank holidays. */
  suggest(actor: Actor, clientId: string): Promise<PayrollSuggestion> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const rows = (await manager.query(
        `SELECT period_end, check_date FROM payroll WHERE client_id = $1 AND kind = 'regular' ORDER BY period_end DESC LIMIT 1`,
        [clientId],
      )) as { period_end: LocalDate; check_date: LocalDate }[];
      const last = rows[0];
      if (!last)
        return {
          periodStart: '',
          periodEnd: '',
          checkDate: '',
          why: 'There is no payroll yet: enter the first period.',
        };
      const period = nextPeriod(client.payFrequency as PayFrequency, last.period_end);
      const nominal = addDays(period.end, 6);
      const checkDate = onOrBefore(nominal, 'banking');
      const moved = checkDate === nominal ? '' : ` ${showDate(nominal)} is not a banking day.`;
      return {
        periodStart: period.start,
        periodEnd: period.end,
        checkDate,
        why: `Follows the period that ended ${showDate(last.period_end)}; checks six days after its end.${moved}`,
      };
    });
  }

  create(actor: Actor, clientId: string, input: CreatePayroll): Promise<{ id: string }> {
    const periodStart = dayFrom(input.periodStart, 'periodStart');
    const periodEnd = dayFrom(input.periodEnd, 'periodEnd');
    const checkDate = dayFrom(input.checkDate, 'checkDate');
    if (periodEnd < periodStart)
      throw refuseField('periodEnd', 'The period ends before it starts.', 'Put the days in order.');
    if (checkDate < periodStart)
      throw refuseField(
        'checkDate',
        'The check date is before the period.',
        'Use a check date in or after the period.',
      );
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const id = randomUUID();
      const payroll = {
        id,
        firmId: actor.firmId,
        clientId,
        periodStart,
        periodEnd,
        checkDate,
        kind: input.kind,
        status: 'open' as const,
        version: 1,
        createdBy: actor.userId ?? '',
        reviewedDigest: null,
      };
      await manager.insert(Payroll, payroll);
      const people = await personCases(manager, client, payroll);
      await this.writeLines(
        manager,
        actor,
        id,
        people.map((person) => usualEntry(person, client, input.kind)),
      );
      await this.audit.record(manager, actor, 'payroll.create', 'payroll', id, {
        clientId,
        periodEnd,
        checkDate,
        kind: input.kind,
      });
      return { id };
    });
  }

  save(actor: Actor, id: string, input: SavePayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      if (payroll.status !== 'open') throw conflict(`This payroll is ${payroll.status}; reopen it before changing it.`);
      const result = await manager.update(
        Payroll,
        { id, version: input.version, status: 'open' },
        { version: input.version + 1 },
      );
      if (result.affected !== 1)
        throw conflict(
          'Somebody else saved this payroll meanwhile. Look again; what you typed is still on your screen.',
        );
      const client = await findClient(manager, payroll.clientId);
      const known = new Set((await personCases(manager, client, payroll)).map((person) => person.employee.id));
      const strangers = input.entries.filter((entry) => !known.has(entry.employeeId));
      if (strangers.length > 0)
        throw refuseField('entries', 'An entry is for a person who is not in this payroll.', 'Load the payroll again.');
      await this.writeLines(manager, actor, id, input.entries);
      await this.audit.record(manager, actor, 'payroll.save', 'payroll', id, { entries: input.entries.length });
      return this.viewIn(manager, id);
    });
  }

  view(actor: Actor, id: string): Promise<PayrollView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, id));
  }

  review(actor: Actor, id: string, version: number): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const { people, employer } = await this.computed(manager, id);
      this.refuseUnsound(people);
      const total = sum(people.map((person) => person.result.gross));
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'review',
        version,
        set: { reviewed_digest: digestOf(people), reviewed_by: actor.userId },
        detail: { gross: total, employerTaxes: sum(employer.map((line) => line.amount)) },
      });
      return this.viewIn(manager, id);
    });
  }

  reopen(actor: Actor, id: string, version: number): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'reopen',
        version,
        set: { reviewed_digest: null },
      });
      return this.viewIn(manager, id);
    });
  }

  /** Takes away a payroll that was never posted, with what was typed in it. The trail keeps that it was there. */
  discard(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      if (payroll.status !== 'open')
        throw conflict(`This payroll is ${payroll.status}; only an open one can be discarded.`);
      await manager.query('DELETE FROM payroll_line WHERE payroll_id = $1', [id]);
      const result = await manager.delete(Payroll, { id, version, status: 'open' });
      if (result.affected !== 1) throw conflict('Somebody changed this payroll meanwhile. Look again before you act.');
      await this.audit.record(manager, actor, 'payroll.discard', 'payroll', id, {
        clientId: payroll.clientId,
        checkDate: payroll.checkDate,
      });
    });
  }

  /** Posts: paychecks, ledger lines and journal in one transaction, the client locked so that year-to-date figures hold. */
  post(actor: Actor, id: string, version: number): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [payroll.clientId]);
      const { people, employer } = await this.computed(manager, id);
      const now = await findPayroll(manager, id);
      if (now.status === 'reviewed' && now.reviewedDigest !== digestOf(people)) {
        throw conflict(
          'The figures have moved since the review (a certificate, a rate or another payroll of the year). Reopen, look at them, and review again.',
        );
      }
      this.refuseUnsound(people);
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'post',
        version,
        set: { posted_by: actor.userId, posted_at: new Date() },
      });
      await this.poster.post(manager, actor, now, people, employer);
      return this.viewIn(manager, id);
    });
  }

  working(actor: Actor, id: string, employeeId: string, figure: string): Promise<WorkingView> {
    return this.database.run(actor, async (manager) => {
      const { people } = await this.computed(manager, id);
      const person = people.find((candidate) => candidate.employee.id === employeeId);
      if (!person) throw notFound('person of this payroll');
      const tape = new Tape();
      computeEntry(person, person.entry, tape);
      const label = isTaxCode(figure) ? taxOf(figure).label : figure === 'net' ? 'Net pay' : 'Gross pay';
      return {
        title: `${label}, ${fullName(person.employee)}`,
        lines: (tape.figures.get(figure) ?? []).map((line) => ({
          ...line,
          ...(line.parameter ? { parameter: { ...line.parameter } } : {}),
        })) as WorkingView['lines'],
      };
    });
  }

  /** The people of a payroll with their checks: from what was posted, or computed afresh while it is open. */
  private async computed(
    manager: EntityManager,
    id: string,
  ): Promise<{ payroll: Payroll; client: Client; people: ComputedPerson[]; employer: EmployerTaxTotal[] }> {
    const payroll = await findPayroll(manager, id);
    const client = await findClient(manager, payroll.clientId);
    const cases = await this.casesOf(manager, client, payroll);
    const stored = (await manager.query(
      'SELECT employee_id, is_paid, earnings, deductions FROM payroll_line WHERE payroll_id = $1',
      [id],
    )) as StoredLine[];
    const byEmployee = new Map(stored.map((line) => [line.employee_id, line]));
    const people = cases.flatMap((person): ComputedPerson[] => {
      const line = byEmployee.get(person.employee.id);
      if (!line && payroll.status === 'posted') return [];
      const entry: PayrollEntry = line
        ? { employeeId: person.employee.id, isPaid: line.is_paid, earnings: line.earnings, deductions: line.deductions }
        : usualEntry(person, client, payroll.kind);
      return [{ ...person, entry, result: computeEntry(person, entry) }];
    });
    const rates = await unemploymentRatesOn(manager, client.id, payroll.checkDate);
    const employer = employerTaxes(paidOnly(people), date(payroll.checkDate), rates);
    return { payroll, client, people, employer };
  }

  /** While a payroll is open its cases follow the records; once posted they are the ones it was computed from. */
  private async casesOf(manager: EntityManager, client: Client, payroll: Payroll): Promise<PersonCase[]> {
    const cases = await personCases(manager, client, payroll);
    if (payroll.status !== 'posted') return cases;
    const rows = (await manager.query(`SELECT employee_id, facts->'case' AS base FROM paycheck WHERE payroll_id = $1`, [
      payroll.id,
    ])) as { employee_id: string; base: Record<string, unknown> }[];
    return cases.map((person) => ({
      ...person,
      base: rows.find((row) => row.employee_id === person.employee.id)?.base ?? person.base,
    }));
  }

  private refuseUnsound(people: readonly ComputedPerson[]): void {
    const issues: Issue[] = people.flatMap((person) =>
      person.result.problems
        .filter((issue) => issue.severity === 'error')
        .map((issue) => ({ ...issue, field: `${fullName(person.employee)}: ${issue.field}` })),
    );
    if (issues.length > 0) throw refuse(issues);
    if (!people.some((person) => person.entry.isPaid))
      throw refuse([problem('input.missing', 'entries', { what: 'somebody to pay' })]);
  }

  private async viewIn(manager: EntityManager, id: string): Promise<PayrollView> {
    const { payroll, client, people, employer } = await this.computed(manager, id);
    const previous = (await manager.query(
      `SELECT DISTINCT ON (employee_id) employee_id, gross FROM paycheck WHERE client_id = $1 AND payroll_id <> $2 AND check_date <= $3 ORDER BY employee_id, check_date DESC`,
      [client.id, id, payroll.checkDate],
    )) as { employee_id: string; gross: string }[];
    const posted = (await manager.query(
      'SELECT id, employee_id, gross, net, lines FROM paycheck WHERE payroll_id = $1',
      [id],
    )) as {
      id: string;
      employee_id: string;
      gross: string;
      net: string;
      lines: Omit<PaycheckView, 'id' | 'gross' | 'net' | 'problems'>;
    }[];
    const persons = people.map((person) => {
      const stored = posted.find((row) => row.employee_id === person.employee.id);
      const paycheck = stored
        ? { id: stored.id, gross: rawCents(stored.gross), net: rawCents(stored.net), ...stored.lines, problems: [] }
        : viewOf(null, person.result);
      const before = previous.find((row) => row.employee_id === person.employee.id);
      return {
        ...person.entry,
        number: person.employee.number,
        name: fullName(person.employee),
        workState: person.facts.place?.work ?? '',
        base: person.base,
        paycheck,
        previousGross: before ? rawCents(before.gross) : null,
      };
    });
    const journal = hasAnyError(people) ? [] : payrollJournal(paidOnly(people), employer);
    return {
      id,
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
      people: persons.filter((person) => person.isPaid).length,
      gross: sum(persons.map((person) => cents(person.paycheck.gross))),
      net: sum(persons.map((person) => cents(person.paycheck.net))),
      persons,
      employerTaxes: employer.map((line) => ({
        tax: line.tax,
        label: taxOf(line.tax).label,
        wages: line.wages,
        amount: line.amount,
      })),
      journal: journal.map((line) => ({
        account: line.account,
        label: ACCOUNT_LABELS[line.account],
        detail: line.detail,
        amount: line.amount,
      })),
    };
  }

  private async writeLines(
    manager: EntityManager,
    actor: Actor,
    payrollId: string,
    entries: readonly PayrollEntry[],
  ): Promise<void> {
    const rows = entries.map((entry) => ({
      employee_id: entry.employeeId,
      is_paid: entry.isPaid,
      earnings: entry.earnings,
      deductions: entry.deductions,
    }));
    await manager.query(
      `INSERT INTO payroll_line (payroll_id, firm_id, employee_id, is_paid, earnings, deductions)
       SELECT $1, $2, r.employee_id, r.is_paid, r.earnings, r.deductions FROM jsonb_to_recordset($3::jsonb) AS r(employee_id uuid, is_paid boolean, earnings jsonb, deductions jsonb)
       ON CONFLICT (payroll_id, employee_id) DO UPDATE SET is_paid = EXCLUDED.is_paid, earnings = EXCLUDED.earnings, deductions = EXCLUDED.deductions`,
      [payrollId, actor.firmId, JSON.stringify(rows)],
    );
  }
}

const paidOnly = (people: readonly ComputedPerson[]): PostedPaycheck[] =>
  people
    .filter((person) => person.entry.isPaid && !hasErrors(person.result))
    .map((person) => ({ employeeId: person.employee.id, result: person.result }));
const hasAnyError = (people: readonly ComputedPerson[]): boolean => people.some((person) => hasErrors(person.result));

export async function findPayroll(manager: EntityManager, id: string): Promise<Payroll> {
  const payroll = await manager.findOneBy(Payroll, { id });
  if (!payroll) throw notFound('payroll');
  return payroll;
}
