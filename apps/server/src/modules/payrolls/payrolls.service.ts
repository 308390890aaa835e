import { Inject, Injectable } from '@nestjs/common';
import type {
  ClosedPeriod,
  CreatePayroll,
  PaycheckView,
  PayrollEntry,
  PayrollRow,
  PayrollSuggestion,
  PayrollView,
  PostPayroll,
  ReviewPayroll,
  SavePayroll,
  WorkingView,
} from '@zakat/contract/payrolls';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { amountForNet } from '@zakat/core/casefile/amount-for-net';
import { cents, parseDollars, showDollars, sum } from '@zakat/core/money/cents';
import { OTHER } from '@zakat/core/paycheck/after-taxes';
import { isTaxCode, mayBeOverridden, taxOf } from '@zakat/core/tax-registry/registry';
import { Tape } from '@zakat/core/working/tape';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { rawCents } from '../../database/cents-column.js';
import { dayFrom } from '../../http/day.js';
import { Refusal, conflict, notFound, refuse, refuseField } from '../../http/refusal.js';
import { lookTwice } from '../../http/second-look.js';
import { Executor } from '../../state-machines/executor.js';
import { PAYROLL_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { fullName } from '../employees/index.js';
import { Payroll } from './entities.js';
import { nextPayroll, scheduleNames } from './next-payroll.js';
import { PayrollPoster } from './payroll-poster.js';
import { ReadinessGate } from '../standing/index.js';
import { FactStore } from '../facts/index.js';
import { Clock } from '../clock/index.js';
import { ClosedPeriods } from './closed-periods.js';
import { entryDoubts, entryErrors } from './entry-doubts.js';
import { entryOfRow, postedRows } from './posted-payroll.js';
import { PayrollViews, digestOf, findPayroll, taxesOf, type ComputedPerson } from './payroll-view.js';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { PeopleCases, computeEntry, usualEntry, type PersonCase } from './people-cases.js';

@Injectable()
export class PayrollsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(PayrollPoster) private readonly poster: PayrollPoster,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
    @Inject(ReadinessGate) private readonly gate: ReadinessGate,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(ClosedPeriods) private readonly closed: ClosedPeriods,
    @Inject(Clock) private readonly clock: Clock,
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
        isVoid: row['is_void'] as unknown as boolean,
        schedule: String(row['schedule']),
        voids: row['voids'] === null ? null : String(row['voids']),
      }));
    });
  }

  /** The next period of the client's schedule, its check date moved before weekends and bank holidays. */
  suggest(actor: Actor, clientId: string, schedule = ''): Promise<PayrollSuggestion> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const schedules = await scheduleNames(manager, this.facts, client);
      const next = await nextPayroll(manager, this.facts, client, schedule);
      return {
        periodStart: '',
        periodEnd: '',
        checkDate: '',
        why: 'There is no payroll yet: enter the first period.',
        ...next,
        schedule,
        schedules,
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
      const schedules = await scheduleNames(manager, this.facts, client);
      if (!schedules.includes(input.schedule ?? ''))
        throw refuseField(
          'schedule',
          'The client has no pay schedule of this name.',
          `Choose one of ${schedules.filter((name) => name !== '').join(', ') || 'its own: it has one, without a name'}.`,
        );
      const id = randomUUID();
      const payroll = {
        id,
        firmId: actor.firmId,
        clientId,
        periodStart,
        periodEnd,
        checkDate,
        kind: input.kind,
        schedule: input.kind === 'extra' ? '' : (input.schedule ?? ''),
        status: 'open' as const,
        version: 1,
        createdBy: actor.userId ?? '',
        reviewedDigest: null,
        voids: null,
        isVoid: false,
      };
      await manager.insert(Payroll, payroll);
      const people = await this.peopleCases.forPayroll(manager, client, payroll);
      const before = input.copyOf === undefined ? null : await copied(manager, clientId, input.copyOf);
      await this.writeLines(
        manager,
        actor,
        id,
        people.map((person): PayrollEntry => {
          if (before === null) return usualEntry(person, input.kind);
          const employeeId = person.employee.id;
          return before.get(employeeId) ?? { employeeId, isPaid: false, earnings: [], deductions: [] };
        }),
      );
      await this.audit.record(manager, actor, 'payroll.create', 'payroll', id, {
        clientId,
        periodEnd,
        checkDate,
        kind: input.kind,
        ...(input.copyOf === undefined ? {} : { copyOf: input.copyOf }),
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
      const cases = new Map(
        (await this.peopleCases.forPayroll(manager, client, payroll)).map((person) => [person.employee.id, person]),
      );
      const strangers = input.entries.filter((entry) => !cases.has(entry.employeeId));
      if (strangers.length > 0)
        throw refuseField('entries', 'An entry is for a person who is not in this payroll.', 'Load the payroll again.');
      if (payroll.kind !== 'recorded') refuseOverrides(input.entries);
      const entries = input.entries.map((entry, index) =>
        withNets(entry, cases.get(entry.employeeId), `entries[${index}]`),
      );
      await this.writeLines(manager, actor, id, entries);
      const leftOut = input.entries.flatMap(({ employeeId, leftOut: lines = [] }) =>
        lines.map((line) => ({ employeeId, ...line })),
      );
      const withheld = input.entries.reduce((count, entry) => count + (entry.withheld ?? []).length, 0);
      await this.audit.record(manager, actor, 'payroll.save', 'payroll', id, {
        entries: input.entries.length,
        ...(leftOut.length > 0 ? { leftOut } : {}),
        ...(withheld > 0 && payroll.kind === 'recorded' ? { withheld } : {}),
        ...(withheld > 0 && payroll.kind !== 'recorded' ? { overridden: overriddenWords(input.entries) } : {}),
      });
      return this.views.of(manager, id);
    });
  }

  view(actor: Actor, id: string): Promise<PayrollView> {
    return this.database.run(actor, (manager) => this.views.of(manager, id));
  }

  review(actor: Actor, id: string, { version, confirmed }: ReviewPayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const { payroll, people, employer } = await this.views.computed(manager, id);
      this.refuseUnsound(people, payroll);
      lookTwice(
        people.flatMap((person) => entryDoubts(person, payroll)),
        confirmed,
      );
      await this.gate.refuseGaps(manager, people);
      const total = sum(people.map((person) => person.result.gross));
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'review',
        version,
        set: { reviewed_digest: digestOf(people), reviewed_by: actor.userId },
        detail: { gross: total, employerTaxes: sum(employer.map((line) => line.amount)) },
      });
      return this.views.of(manager, id);
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
      return this.views.of(manager, id);
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
  post(actor: Actor, id: string, { version, closedReason = '' }: PostPayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [payroll.clientId]);
      if ((await findPayroll(manager, id)).status === 'posted') throw conflict('This payroll is posted already.');
      const { client, people, employer } = await this.views.computed(manager, id);
      const now = await findPayroll(manager, id);
      if (now.status === 'reviewed' && now.reviewedDigest !== digestOf(people)) {
        throw conflict(
          'The figures have moved since the review (a certificate, a rate or another payroll of the year). Reopen, look at them, and review again.',
        );
      }
      this.refuseUnsound(people, now);
      const closed = await this.closed.of(manager, client, now.checkDate, taxesOf(people));
      const reason = closedReason.trim();
      if (closed.length > 0) refuseClosed(actor, closed, reason);
      await this.executor.apply(manager, actor, PAYROLL_MACHINE, {
        id,
        act: 'post',
        version,
        set: {
          posted_by: actor.userId,
          posted_at: await this.clock.now(manager),
          ...(closed.length > 0 ? { closed_reason: reason } : {}),
        },
        ...(closed.length > 0 ? { detail: { closed: closed.map(({ what }) => what), reason } } : {}),
      });
      await this.poster.post(manager, actor, now, people, employer);
      return this.views.of(manager, id);
    });
  }

  working(actor: Actor, id: string, employeeId: string, figure: string): Promise<WorkingView> {
    return this.database.run(actor, async (manager) => {
      const asked = await findPayroll(manager, id);
      if (asked.kind === 'brought-in')
        return {
          title: 'Paid elsewhere',
          lines: [{ label: 'Brought in from the former provider', value: '', how: 'as its register says' }],
        };
      if (asked.kind === 'void')
        return {
          title: 'Void',
          lines: [
            {
              label: 'The opposite of what was posted',
              value: '',
              how: 'the calculation stands with the check that it takes back',
            },
          ],
        };
      const person =
        asked.status === 'posted'
          ? await postedCase(manager, id, employeeId)
          : await this.openCase(manager, id, employeeId);
      if (!person) throw notFound('person of this payroll');
      const tape = new Tape();
      const result = computeEntry(person, person.entry, tape);
      const label = isTaxCode(figure)
        ? taxOf(figure).label
        : figure === 'net'
          ? 'Net pay'
          : figure === OTHER
            ? 'Local tax and state programs'
            : 'Gross pay';
      return {
        title: `${label}, ${person.name}`,
        lines: [
          ...(tape.linesOf(figure).map((line) => ({
            ...line,
            ...(line.parameter ? { parameter: { ...line.parameter } } : {}),
          })) as WorkingView['lines']),
          ...sinceMoved(person.posted, result, figure),
        ],
      };
    });
  }

  private async openCase(manager: EntityManager, id: string, employeeId: string): Promise<WorkingCase | null> {
    const { people } = await this.views.computed(manager, id);
    const person = people.find((candidate) => candidate.employee.id === employeeId);
    return person ? { ...person, name: fullName(person.employee), posted: null } : null;
  }

  private refuseUnsound(people: readonly ComputedPerson[], payroll: Payroll): void {
    const issues: Issue[] = people.flatMap((person) =>
      [...person.result.problems, ...entryErrors(person, payroll)]
        .filter((issue) => issue.severity === 'error')
        .map((issue) => ({ ...issue, field: `${fullName(person.employee)}: ${issue.field}` })),
    );
    if (issues.length > 0) throw refuse(issues);
    if (!people.some((person) => person.entry.isPaid))
      throw refuse([problem('input.missing', 'entries', { what: 'somebody to pay' })]);
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
      left_out: entry.leftOut ?? [],
      withheld: entry.withheld ?? [],
      unread: entry.unread ?? null,
    }));
    await manager.query(
      `INSERT INTO payroll_line (payroll_id, firm_id, employee_id, is_paid, earnings, deductions, left_out, withheld, unread)
       SELECT $1, $2, r.employee_id, r.is_paid, r.earnings, r.deductions, r.left_out, r.withheld, r.unread
       FROM jsonb_to_recordset($3::jsonb) AS r(employee_id uuid, is_paid boolean, earnings jsonb, deductions jsonb, left_out jsonb, withheld jsonb, unread jsonb)
       ON CONFLICT (payroll_id, employee_id)
       DO UPDATE SET is_paid = EXCLUDED.is_paid, earnings = EXCLUDED.earnings, deductions = EXCLUDED.deductions, left_out = EXCLUDED.left_out, withheld = EXCLUDED.withheld, unread = EXCLUDED.unread`,
      [payrollId, actor.firmId, JSON.stringify(rows)],
    );
  }
}

/** The lines of a payroll that is typed again, by person. */
async function copied(manager: EntityManager, clientId: string, id: string): Promise<Map<string, PayrollEntry>> {
  const payroll = await findPayroll(manager, id);
  if (payroll.clientId !== clientId || payroll.kind === 'brought-in' || payroll.kind === 'void')
    throw refuseField('copyOf', 'This payroll has no lines to type again.', 'Choose another payroll of the client.');
  return new Map(
    (await postedRows(manager, id)).map((row) => {
      const entry = entryOfRow(row);
      // What another program withheld belongs to that payroll alone.
      const { withheld: _withheld, ...lines } = entry;
      return [row.employee_id, payroll.kind === 'recorded' ? lines : entry];
    }),
  );
}

/** In a payroll that is paid here only an income tax may be another than is computed, and only for a reason. */
function refuseOverrides(entries: readonly PayrollEntry[]): void {
  entries.forEach(({ withheld = [] }, at) =>
    withheld.forEach(({ tax, reason = '' }, index) => {
      const path = `entries[${at}].withheld[${index}]`;
      if (!isTaxCode(tax) || !mayBeOverridden(taxOf(tax)))
        throw refuseField(
          `${path}.tax`,
          `${isTaxCode(tax) ? taxOf(tax).label : tax} is a fixed share of the wages, and is not overridden.`,
          'Correct the wages or the record; what another program withheld belongs to a payroll of the kind recorded.',
        );
      if (reason.trim() === '')
        throw refuseField(`${path}.reason`, 'An override has no reason.', 'Say why: it is kept with the check.');
    }),
  );
}
const overriddenWords = (entries: readonly PayrollEntry[]): object[] =>
  entries.flatMap(({ employeeId, withheld = [] }) => withheld.map((line) => ({ employeeId, ...line })));

/** What a working is computed from, and the figures that were posted with it. */
interface WorkingCase {
  readonly name: string;
  readonly base: Record<string, unknown>;
  readonly own: PersonCase['own'];
  readonly entry: PayrollEntry;
  readonly posted: { readonly gross: number; readonly net: number; readonly taxes: PaycheckView['taxes'] } | null;
}

/** A posted check as it was computed: from the case, the entry and the rules that were kept with it. */
async function postedCase(manager: EntityManager, id: string, employeeId: string): Promise<WorkingCase | null> {
  const row = (await postedRows(manager, id)).find((one) => one.employee_id === employeeId);
  if (!row?.base || !row.lines) return null;
  return {
    name: row.person?.name ?? row.name,
    base: row.base,
    own: row.own,
    entry: entryOfRow(row),
    posted: { gross: rawCents(row.gross ?? 0), net: rawCents(row.net ?? 0), taxes: row.lines.taxes },
  };
}

/** A line that says so where the same case comes to something else today: what was posted stands. */
function sinceMoved(posted: WorkingCase['posted'], result: PaycheckResult, figure: string): WorkingView['lines'] {
  if (!posted) return [];
  const taxed = (taxes: readonly { readonly code: string; readonly amount: number }[]): number =>
    taxes.filter(({ code }) => code === figure).reduce((total, { amount }) => total + amount, 0);
  const [then, today] =
    figure === 'gross'
      ? [posted.gross, result.gross]
      : figure === 'net'
        ? [posted.net, result.net]
        : [taxed(posted.taxes), taxed(result.taxes)];
  return then === today
    ? []
    : [
        {
          label: 'As it was posted',
          value: showDollars(cents(then)),
          how: 'The rules have been corrected since; what was posted stands.',
          isResult: true,
        },
      ];
}

/** Posting into what has left takes a reviewer and a reason. */
function refuseClosed(actor: Actor, closed: readonly ClosedPeriod[], reason: string): void {
  const says = closed.map(({ what }) => what).join(' ');
  if (actor.role !== 'reviewer' && actor.role !== 'administrator')
    throw new Refusal(403, 'closed-period', `${says} A reviewer posts it, with a reason.`);
  if (reason === '')
    throw new Refusal(422, 'closed-period', `${says} Say why it is posted now.`, [
      {
        code: 'closed-period',
        field: 'closedReason',
        severity: 'error',
        sentence: says,
        fix: 'Give the reason: it is kept with the payroll and in the trail.',
      },
    ]);
}

/** The entry with the amount of each line that was given by what it is to leave in net pay. */
function withNets(entry: PayrollEntry, person: PersonCase | undefined, path: string): PayrollEntry {
  let earnings = entry.earnings;
  entry.earnings.forEach((line, index) => {
    const { net, ...rest } = line;
    if (net === undefined || !person) return;
    const field = `${path}.earnings[${index}].net`;
    if (line.amount !== undefined || line.hours !== undefined)
      throw refuseField(field, 'A line has a net amount beside hours or an amount.', 'Give one of them.');
    if (parseDollars(net) === null) throw refuse([problem('input.not-an-amount', field, { value: net })]);
    const others = earnings.filter((other) => other !== line && other.net === undefined);
    const found = amountForNet(person.base, { ...entry, earnings: others }, person.own, { item: line.item, net });
    if (found.amount === null)
      throw refuseField(
        field,
        `${found.problem ?? 'No amount leaves this'}.`,
        'Give another net amount, or an amount.',
      );
    const { amount } = found;
    earnings = earnings.map((other) => (other === line ? { ...rest, amount } : other));
  });
  return { ...entry, earnings };
}
