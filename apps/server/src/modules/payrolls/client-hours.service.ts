import { Inject, Injectable } from '@nestjs/common';
import type { ClientHoursView, OwnPayroll, OwnPayrollPerson, SendHours } from '@zakat/contract/hours';
import type { PayrollEntry, PayrollView } from '@zakat/contract/payrolls';
import { ownItems } from '@zakat/core/facts/case-parts';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { hoursItems, type HoursItem } from '@zakat/core/hours-file/columns';
import { hoursOf, type HoursLine } from '@zakat/core/hours-file/read-hours';
import { withHours } from '@zakat/core/hours-file/take-hours';
import { findItem } from '@zakat/core/items/registry';
import { sum } from '@zakat/core/money/cents';
import { showRate } from '@zakat/core/money/rate';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import type { Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { fullName } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { Payroll } from './entities.js';
import { PayrollViews, digestOf, findPayroll, type ComputedPerson } from './payroll-view.js';
import { PayrollEntries } from './payroll-entries.service.js';

/** Hours of every business are of these; its own leave and its own earnings by the hour come beside them. */
const USUAL_ITEMS: readonly string[] = ['regular', 'overtime', 'vacation', 'sick', 'holiday', 'pto'];
const MOST_HOURS = 744;

interface Sent {
  readonly employee_id: string;
  readonly lines: Record<string, string>;
  readonly note: string;
  readonly sent_at: Date;
  readonly taken_at: Date | null;
  readonly by: string;
}

/** What a client sends for its payrolls: hours and notes, which somebody of the firm takes, and that it approves the figures. */
@Injectable()
export class ClientHours {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** The payrolls of a client that are not posted, as its own people see them. */
  async own(manager: EntityManager, client: Client): Promise<OwnPayroll[]> {
    const open = await manager.find(Payroll, {
      where: [
        { clientId: client.id, status: 'open' },
        { clientId: client.id, status: 'reviewed' },
      ],
      order: { checkDate: 'ASC' },
    });
    const found: OwnPayroll[] = [];
    for (const payroll of open) if (payroll.kind !== 'recorded') found.push(await this.ownOf(manager, client, payroll));
    return found;
  }

  /** Keeps what was sent; it moves no figure until the firm takes it. Sent again, the last counts. */
  send(actor: Actor, payrollId: string, { people }: SendHours): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const payroll = await this.ownPayroll(manager, actor, payrollId);
      if (payroll.status !== 'open')
        throw conflict('This payroll is being finished: tell the payroll service what is to be changed.');
      const { client, people: known } = await this.views.computed(manager, payrollId);
      const items = await this.itemsOf(manager, client, payroll);
      const rows = people.map((person, index) => {
        if (!known.some(({ employee }) => employee.id === person.employeeId))
          throw refuseField(`people[${index}]`, 'This is nobody in this payroll.', 'Load the page again.');
        return { ...person, note: person.note.trim(), hours: readSent(person.hours, items, `people[${index}].hours`) };
      });
      const said = rows.filter(({ hours, note }) => Object.keys(hours).length > 0 || note !== '');
      if (said.length === 0) throw refuseField('people', 'There is nothing to send.', 'Enter hours or a note.');
      await manager.query(
        `INSERT INTO client_hours (payroll_id, employee_id, firm_id, client_id, lines, note, sent_by, sent_at)
         SELECT $1, r."employeeId", $2, $3, r.hours, r.note, $4, $5 FROM jsonb_to_recordset($6::jsonb) AS r("employeeId" uuid, hours jsonb, note text)
         ON CONFLICT (payroll_id, employee_id) DO UPDATE SET lines = EXCLUDED.lines, note = EXCLUDED.note, sent_by = EXCLUDED.sent_by, sent_at = EXCLUDED.sent_at, taken_at = NULL`,
        [payrollId, actor.firmId, payroll.clientId, actor.userId, await this.clock.now(manager), JSON.stringify(said)],
      );
      await this.audit.record(manager, actor, 'payroll.hours-sent', 'payroll', payrollId, { people: said.length });
    });
  }

  /** The client approves the figures of a reviewed payroll as they stand. */
  approve(actor: Actor, payrollId: string, version: number): Promise<void> {
    return this.database.run(actor, async (manager) => {
      const payroll = await this.ownPayroll(manager, actor, payrollId);
      if (payroll.status !== 'reviewed' || payroll.version !== version)
        throw conflict('The figures have moved meanwhile. Look again before you approve them.');
      const { people } = await this.views.computed(manager, payrollId);
      await manager.query(
        `INSERT INTO payroll_approval (payroll_id, digest, firm_id, client_id, approved_by, approved_at) VALUES ($1, $2, $3, $4, $5, $6) ON CONFLICT DO NOTHING`,
        [payrollId, digestOf(people), actor.firmId, payroll.clientId, actor.userId, await this.clock.now(manager)],
      );
      await this.audit.record(manager, actor, 'payroll.approved-by-client', 'payroll', payrollId, {});
    });
  }

  /** What the client sent, as the firm sees it. */
  view(actor: Actor, payrollId: string): Promise<ClientHoursView> {
    return this.database.run(actor, (manager) => this.viewIn(manager, payrollId));
  }

  /** Puts what was sent into the payroll, at the version that was seen. */
  async take(actor: Actor, payrollId: string, version: number): Promise<PayrollView> {
    const entries = await this.database.run(actor, async (manager) => {
      const { client, payroll, people } = await this.views.computed(manager, payrollId);
      const items = await this.itemsOf(manager, client, payroll);
      const sent = (await this.sent(manager, payrollId)).filter((row) => row.taken_at === null);
      return people.flatMap((person) => {
        const own = sent.find((row) => row.employee_id === person.employee.id);
        return own ? entryOf(person, linesOf(own.lines, items)) : [];
      });
    });
    if (entries.length === 0) throw conflict('What the client sent is in the payroll already.');
    const view = await this.entries.save(actor, payrollId, { version, entries });
    await this.database.run(actor, async (manager) => {
      await manager.query('UPDATE client_hours SET taken_at = $2 WHERE payroll_id = $1 AND taken_at IS NULL', [
        payrollId,
        await this.clock.now(manager),
      ]);
      await this.audit.record(manager, actor, 'payroll.hours-taken', 'payroll', payrollId, { people: entries.length });
    });
    return view;
  }

  private async viewIn(manager: EntityManager, payrollId: string): Promise<ClientHoursView> {
    const payroll = await findPayroll(manager, payrollId);
    const sent = await this.sent(manager, payrollId);
    const approvals = (await manager.query(
      `SELECT a.digest, a.approved_at, u.name AS by FROM payroll_approval a JOIN app_user u ON u.id = a.approved_by WHERE a.payroll_id = $1 ORDER BY a.approved_at DESC`,
      [payrollId],
    )) as { digest: string; approved_at: Date; by: string }[];
    const names = (await manager.query(
      `SELECT id, concat_ws(' ', first_name, nullif(middle_name, ''), last_name, nullif(suffix, '')) AS name FROM employee WHERE id = ANY($1)`,
      [sent.map((row) => row.employee_id)],
    )) as { id: string; name: string }[];
    const last = sent.reduce<Sent | null>(
      (before, row) => (!before || row.sent_at > before.sent_at ? row : before),
      null,
    );
    const approval = approvals.find(({ digest }) => digest === payroll.reviewedDigest) ?? approvals[0];
    return {
      people: sent.map((row) => ({
        employeeId: row.employee_id,
        name: names.find(({ id }) => id === row.employee_id)?.name ?? '',
        says: inOrder(row.lines)
          .map(([item, hours]) => `${hours} ${findItem(item)?.label.toLowerCase() ?? item}`)
          .join(', '),
        note: row.note,
        isTaken: row.taken_at !== null,
      })),
      by: last?.by ?? '',
      at: last?.sent_at.toISOString() ?? null,
      approvedBy: approval?.by ?? null,
      approvedAt: approval?.approved_at.toISOString() ?? null,
      isApprovalCurrent: approval !== undefined && approval.digest === payroll.reviewedDigest,
    };
  }

  private async ownOf(manager: EntityManager, client: Client, payroll: Payroll): Promise<OwnPayroll> {
    const { people } = await this.views.computed(manager, payroll.id);
    const items = await this.itemsOf(manager, client, payroll);
    const sent = await this.sent(manager, payroll.id);
    const shown = payroll.status === 'open' ? people : people.filter(({ entry }) => entry.isPaid);
    const approved = (await manager.query('SELECT 1 FROM payroll_approval WHERE payroll_id = $1 AND digest = $2', [
      payroll.id,
      digestOf(people),
    ])) as unknown[];
    const { id, periodStart, periodEnd, checkDate, schedule, status, version } = payroll;
    return {
      id,
      periodStart,
      periodEnd,
      checkDate,
      schedule,
      status: status === 'reviewed' ? 'reviewed' : 'open',
      version,
      items: items.map(({ code, label }) => ({ name: code, label })),
      people: shown.map((person): OwnPayrollPerson => {
        const own = sent.find((row) => row.employee_id === person.employee.id);
        return {
          employeeId: person.employee.id,
          number: person.employee.number,
          name: fullName(person.employee),
          standing: Object.fromEntries(
            person.entry.earnings.flatMap(({ item, hours }) => (hours === undefined ? [] : [[item, hours]])),
          ),
          sent: own?.lines ?? {},
          note: own?.note ?? '',
          gross: person.result.gross,
          net: person.result.net,
        };
      }),
      gross: sum(shown.map(({ result }) => result.gross)),
      net: sum(shown.map(({ result }) => result.net)),
      sentAt: sent[0]?.sent_at.toISOString() ?? null,
      isTaken: sent.length > 0 && sent.every((row) => row.taken_at !== null),
      isApproved: approved.length > 0,
    };
  }

  private async itemsOf(manager: EntityManager, client: Client, payroll: Payroll): Promise<HoursItem[]> {
    const clientDay = clientOnDay(await this.store.ofClient(manager, client.id), payroll.checkDate);
    const own = ownItems(clientDay).map(({ code }) => code);
    return hoursItems(ownItems(clientDay)).filter(({ code, like }) => {
      const item = findItem(like);
      return USUAL_ITEMS.includes(code) || (own.includes(code) && item?.list === 'earning' && item.kind === 'regular');
    });
  }

  private async sent(manager: EntityManager, payrollId: string): Promise<Sent[]> {
    return (await manager.query(
      `SELECT h.employee_id, h.lines, h.note, h.sent_at, h.taken_at, u.name AS by FROM client_hours h JOIN app_user u ON u.id = h.sent_by WHERE h.payroll_id = $1 ORDER BY h.sent_at DESC`,
      [payrollId],
    )) as Sent[];
  }

  /** A payroll of the client that is signed in for. */
  private async ownPayroll(manager: EntityManager, actor: Actor, id: string): Promise<Payroll> {
    const payroll = await manager.findOneBy(Payroll, { id });
    if (!payroll || payroll.clientId !== actor.clientId) throw notFound('payroll');
    return payroll;
  }
}

/** The hours that were typed, as exact decimals; what is blank is left out. */
function readSent(
  hours: Readonly<Record<string, unknown>>,
  items: readonly HoursItem[],
  path: string,
): Record<string, string> {
  const read: Record<string, string> = {};
  for (const [item, typed] of Object.entries(hours)) {
    const cell = typeof typed === 'string' ? typed.trim() : '';
    if (cell === '') continue;
    const value = items.some(({ code }) => code === item) ? hoursOf(cell) : null;
    if (!value || value.n > MOST_HOURS * value.d)
      throw refuseField(
        `${path}.${item}`,
        `${cell.slice(0, 20)} is no number of hours.`,
        'Give hours like 38.5 or 38:30.',
      );
    read[item] = showRate(value);
  }
  return read;
}

/** By the order of the earnings; the database keeps none. */
const inOrder = (lines: Readonly<Record<string, string>>): [item: string, hours: string][] => {
  const place = (item: string): number => findItem(item)?.index ?? Number.MAX_SAFE_INTEGER;
  return Object.entries(lines).sort(([a], [b]) => place(a) - place(b) || a.localeCompare(b));
};

const linesOf = (lines: Readonly<Record<string, string>>, items: readonly HoursItem[]): HoursLine[] =>
  inOrder(lines)
    .filter(([item]) => items.some(({ code }) => code === item))
    .map(([item, value]) => ({ item, measure: 'hours', value }));

function entryOf({ entry, facts }: ComputedPerson, lines: readonly HoursLine[]): PayrollEntry[] {
  if (lines.length === 0) return [];
  const rate = text(facts.pay ?? {}, 'rate');
  const earnings = withHours(
    entry.earnings.map(({ net: _net, ...line }) => line),
    lines,
    rate === '' ? undefined : rate,
  ).filter((line) => line.hours !== '0');
  return [{ ...entry, isPaid: earnings.length > 0, earnings }];
}
