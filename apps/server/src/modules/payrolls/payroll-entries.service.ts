import { Inject, Injectable } from '@nestjs/common';
import type { CreatePayroll, PayrollEntry, PayrollView, SavePayroll, SplitPayroll } from '@zakat/contract/payrolls';
import { problem } from '@zakat/core/issues/issue';
import { lineKey, orderLabels } from '@zakat/core/casefile/compose';
import { amountForNet } from '@zakat/core/casefile/amount-for-net';
import { parseDollars } from '@zakat/core/money/cents';
import { isTaxCode, mayBeOverridden, taxOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, refuse, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient, type Client } from '../clients/index.js';
import { Payroll } from './entities.js';
import { scheduleNames } from './next-payroll.js';
import { FactStore } from '../facts/index.js';
import { entryOfRow, postedRows } from './posted-payroll.js';
import { PayrollViews, findPayroll, postedPerson } from './payroll-view.js';
import { keepSheetColumns } from './sheet-columns.js';
import { PeopleCases, usualEntry, type PersonCase } from './people-cases.js';

/** The days and the kind of a payroll that begins. */
export interface NewPayroll {
  readonly periodStart: string;
  readonly periodEnd: string;
  readonly checkDate: string;
  readonly kind: 'regular' | 'extra' | 'recorded';
  /** The name of the pay schedule; blank: the main one. */
  readonly schedule: string;
}

/** What somebody gets in a payroll that begins, by what is known of them. */
export type EntryFor = (person: PersonCase) => PayrollEntry;

/** What is typed in a payroll that is not reviewed: begun, saved, thrown away. */
@Injectable()
export class PayrollEntries {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(PeopleCases) private readonly peopleCases: PeopleCases,
    @Inject(FactStore) private readonly facts: FactStore,
  ) {}

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
      return this.begin(
        manager,
        actor,
        client,
        { periodStart, periodEnd, checkDate, kind: input.kind, schedule: input.schedule ?? '' },
        input.copyOf === undefined ? null : await copied(manager, clientId, input.copyOf),
        input.copyOf === undefined ? {} : { copyOf: input.copyOf },
      );
    });
  }

  /** Begins a payroll: with what people are usually paid, or with these lines alone, by person. */
  async begin(
    manager: EntityManager,
    actor: Actor,
    client: Client,
    { periodStart, periodEnd, checkDate, kind, schedule }: NewPayroll,
    entries: ReadonlyMap<string, PayrollEntry | EntryFor> | null,
    detail: object = {},
  ): Promise<{ id: string }> {
    const id = randomUUID();
    const payroll = {
      id,
      firmId: actor.firmId,
      clientId: client.id,
      periodStart,
      periodEnd,
      checkDate,
      kind,
      schedule: kind === 'extra' ? '' : schedule,
      part: '',
      status: 'open' as const,
      version: 1,
      createdBy: actor.userId ?? '',
      reviewedDigest: null,
      voids: null,
      isVoid: false,
    };
    await manager.insert(Payroll, payroll);
    const people = await this.peopleCases.forPayroll(manager, client, payroll);
    const asked = [...(entries ?? [])].find(([, given]) => typeof given === 'function')?.[0];
    if (asked !== undefined && !people.some(({ employee }) => employee.id === asked))
      throw refuseField(
        'employeeId',
        'This person is not among those whom the client pays in the period.',
        'Choose somebody who was employed in it.',
      );
    await writeLines(
      manager,
      actor,
      id,
      people.map((person): PayrollEntry => {
        if (entries === null) return usualEntry(person, kind);
        const employeeId = person.employee.id;
        const given = entries.get(employeeId);
        if (typeof given === 'function') return given(person);
        return given ?? { employeeId, isPaid: false, earnings: [], deductions: [] };
      }),
    );
    await this.audit.record(manager, actor, 'payroll.create', 'payroll', id, {
      clientId: client.id,
      periodEnd,
      checkDate,
      kind,
      ...detail,
    });
    return { id };
  }

  /** Keeps which columns the sheet of a client always has: a convenience of whoever types, nothing of the books. */
  keepColumns(actor: Actor, clientId: string, columns: readonly string[]): Promise<void> {
    return this.database.run(actor, (manager) => keepSheetColumns(manager, clientId, columns));
  }

  save(actor: Actor, id: string, input: SavePayroll): Promise<PayrollView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      if (payroll.status !== 'open') throw conflict(`This payroll is ${payroll.status}; reopen it before changing it.`);
      const result = await manager.update(
        Payroll,
        { id, version: input.version, status: 'open' },
        { version: input.version + 1, changedBy: actor.userId },
      );
      if (result.affected !== 1)
        throw conflict(
          'Somebody else saved this payroll meanwhile. Look again; what you typed is still on your screen.',
        );
      const client = await findClient(manager, payroll.clientId);
      const people = await this.peopleCases.forPayroll(manager, client, payroll);
      const cases = new Map(people.map((person) => [person.employee.id, person]));
      const strangers = input.entries.filter((entry) => !cases.has(entry.employeeId));
      if (strangers.length > 0)
        throw refuseField('entries', 'An entry is for a person who is not in this payroll.', 'Load the payroll again.');
      if (payroll.kind !== 'recorded') refuseOverrides(input.entries);
      refuseStrangeLines(input.entries, cases);
      const entries = input.entries.map((entry, index) =>
        withNets(entry, cases.get(entry.employeeId), `entries[${index}]`),
      );
      await writeLines(manager, actor, id, entries);
      const leftOut = input.entries.flatMap(({ employeeId, leftOut: lines = [] }) =>
        lines.map((line) => ({ employeeId, ...line })),
      );
      const changed = input.entries.flatMap(({ employeeId, overridden: lines = [] }) =>
        lines.map((line) => ({ employeeId, ...line })),
      );
      const withheld = input.entries.reduce((count, entry) => count + (entry.withheld ?? []).length, 0);
      await this.audit.record(manager, actor, 'payroll.save', 'payroll', id, {
        entries: input.entries.length,
        ...(leftOut.length > 0 ? { leftOut } : {}),
        ...(changed.length > 0 ? { changed } : {}),
        ...(withheld > 0 && payroll.kind === 'recorded' ? { withheld } : {}),
        ...(withheld > 0 && payroll.kind !== 'recorded' ? { overridden: overriddenWords(input.entries) } : {}),
      });
      return this.views.ofComputed(manager, await this.views.computed(manager, id, people));
    });
  }

  /**
   * Splits people off an open regular payroll: those of a department, location or cost center get one of their own for the
   * same period, with what was typed for them. The rest stays; a part that is discarded comes back to it.
   */
  split(actor: Actor, id: string, { version, by, name }: SplitPayroll): Promise<{ id: string }> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      if (payroll.status !== 'open')
        throw conflict(`This payroll is ${payroll.status}; reopen it before splitting it.`);
      if (payroll.kind !== 'regular' || payroll.part !== '')
        throw conflict('Only a whole regular payroll is split; an off-cycle one pays whom you choose.');
      const client = await findClient(manager, payroll.clientId);
      const people = await this.peopleCases.forPayroll(manager, client, payroll);
      const chosen = people.filter((person) => postedPerson(person)[by] === name).map(({ employee }) => employee.id);
      if (chosen.length === 0)
        throw refuseField('name', `Nobody of this payroll has ${name}.`, 'Choose one that somebody of it has.');
      if (chosen.length === people.length)
        throw refuseField('name', `Everybody of this payroll has ${name}.`, 'There is nothing to split.');
      const result = await manager.update(
        Payroll,
        { id, version, status: 'open' },
        { version: version + 1, changedBy: actor.userId },
      );
      if (result.affected !== 1) throw conflict('Somebody changed this payroll meanwhile. Look again before you act.');
      const part = randomUUID();
      await manager.insert(Payroll, {
        id: part,
        firmId: actor.firmId,
        clientId: payroll.clientId,
        periodStart: payroll.periodStart,
        periodEnd: payroll.periodEnd,
        checkDate: payroll.checkDate,
        kind: 'regular',
        schedule: payroll.schedule,
        part: name,
        status: 'open',
        version: 1,
        createdBy: actor.userId ?? '',
        reviewedDigest: null,
        voids: null,
        isVoid: false,
      });
      await manager.query('UPDATE payroll_line SET payroll_id = $2 WHERE payroll_id = $1 AND employee_id = ANY($3)', [
        id,
        part,
        chosen,
      ]);
      // Who had no line yet has one in the part: it pays those who have.
      const typed = (await manager.query('SELECT employee_id AS id FROM payroll_line WHERE payroll_id = $1', [
        part,
      ])) as {
        id: string;
      }[];
      const missing = people.filter(
        ({ employee }) => chosen.includes(employee.id) && !typed.some((row) => row.id === employee.id),
      );
      await writeLines(
        manager,
        actor,
        part,
        missing.map((person) => usualEntry(person, 'regular')),
      );
      await this.audit.record(manager, actor, 'payroll.split', 'payroll', part, { part: name, people: chosen.length });
      return { id: part };
    });
  }

  /** Takes away a payroll that was never posted, with what was typed in it. The trail keeps that it was there. */
  discard(actor: Actor, id: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, id);
      if (payroll.status !== 'open')
        throw conflict(`This payroll is ${payroll.status}; only an open one can be discarded.`);
      await refuseRestOfSplit(manager, payroll);
      await manager.query('DELETE FROM payroll_line WHERE payroll_id = $1', [id]);
      const result = await manager.delete(Payroll, { id, version, status: 'open' });
      if (result.affected !== 1) throw conflict('Somebody changed this payroll meanwhile. Look again before you act.');
      await this.audit.record(manager, actor, 'payroll.discard', 'payroll', id, {
        clientId: payroll.clientId,
        checkDate: payroll.checkDate,
      });
    });
  }
}

/** The rest of a split payroll goes last: without it nobody would be asked for the people who are in no part. */
async function refuseRestOfSplit(manager: EntityManager, payroll: Payroll): Promise<void> {
  if (payroll.kind !== 'regular' || payroll.part !== '') return;
  const parts = await manager.find(Payroll, {
    where: {
      clientId: payroll.clientId,
      kind: 'regular',
      schedule: payroll.schedule,
      periodStart: payroll.periodStart,
      periodEnd: payroll.periodEnd,
      isVoid: false,
    },
  });
  const names = parts.flatMap(({ part }) => (part === '' ? [] : [part]));
  if (names.length > 0)
    throw conflict(
      `${names.join(', ')} was split off this payroll. Discard that first, or review and post this one too.`,
    );
}

async function writeLines(
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
    overridden: entry.overridden ?? [],
    withheld: entry.withheld ?? [],
    unread: entry.unread ?? null,
  }));
  await manager.query(
    `INSERT INTO payroll_line (payroll_id, firm_id, employee_id, is_paid, earnings, deductions, left_out, overridden, withheld, unread)
     SELECT $1, $2, r.employee_id, r.is_paid, r.earnings, r.deductions, r.left_out, r.overridden, r.withheld, r.unread
     FROM jsonb_to_recordset($3::jsonb) AS r(employee_id uuid, is_paid boolean, earnings jsonb, deductions jsonb, left_out jsonb, overridden jsonb, withheld jsonb, unread jsonb)
     ON CONFLICT (payroll_id, employee_id)
     DO UPDATE SET is_paid = EXCLUDED.is_paid, earnings = EXCLUDED.earnings, deductions = EXCLUDED.deductions, left_out = EXCLUDED.left_out, overridden = EXCLUDED.overridden, withheld = EXCLUDED.withheld, unread = EXCLUDED.unread`,
    [payrollId, actor.firmId, JSON.stringify(rows)],
  );
}

/** What was owed from earlier checks was taken by the check that is copied. */
const withoutArrears = ({
  arrears: _arrears,
  ...line
}: PayrollEntry['deductions'][number]): PayrollEntry['deductions'][number] => line;

/** The lines of a payroll that is typed again, by person. */
async function copied(manager: EntityManager, clientId: string, id: string): Promise<Map<string, PayrollEntry>> {
  const payroll = await findPayroll(manager, id);
  if (payroll.clientId !== clientId || payroll.kind === 'brought-in' || payroll.kind === 'void')
    throw refuseField('copyOf', 'This payroll has no lines to type again.', 'Choose another payroll of the client.');
  return new Map(
    (await postedRows(manager, id)).map((row) => {
      const entry = entryOfRow(row);
      // A payroll that was taken back as a whole is started again as it was.
      if (payroll.isVoid && payroll.kind !== 'recorded') return [row.employee_id, entry];
      // What another program withheld, and another amount than a line comes to, belong to that payroll alone.
      const { withheld, overridden: _overridden, ...lines } = entry;
      const kept = payroll.kind === 'recorded' || !withheld ? lines : { ...lines, withheld };
      return [row.employee_id, { ...kept, deductions: lines.deductions.map(withoutArrears) }];
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
/** Another amount belongs to a line that the person has: one without its line would be kept and never used. */
function refuseStrangeLines(entries: readonly PayrollEntry[], cases: ReadonlyMap<string, PersonCase>): void {
  entries.forEach(({ employeeId, deductions, overridden = [] }, at) => {
    const employee = cases.get(employeeId)?.base['employee'];
    const known = new Set([
      ...deductions.map(({ item }) => lineKey('item', item)),
      ...orderLabels(employee).map((label) => lineKey('order', label)),
    ]);
    overridden.forEach(({ line }, index) => {
      if (!known.has(line))
        throw refuseField(
          `entries[${at}].overridden[${index}].line`,
          `The check has no line ${line}.`,
          'Override a line that it has, or enter the line first.',
        );
      if (deductions.filter(({ item }) => lineKey('item', item) === line).length > 1)
        throw refuseField(
          `entries[${at}].overridden[${index}].line`,
          `The check has more than one line ${line}: the amount would be taken of each.`,
          'Put them together in one line first.',
        );
    });
  });
}

const overriddenWords = (entries: readonly PayrollEntry[]): object[] =>
  entries.flatMap(({ employeeId, withheld = [] }) => withheld.map((line) => ({ employeeId, ...line })));

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
