import { Inject, Injectable } from '@nestjs/common';
import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type {
  FeesOfMonth,
  InvoicePaid,
  InvoiceReason,
  InvoicesOfMonth,
  InvoiceStatus,
  InvoiceView,
} from '@zakat/contract/invoices';
import {
  addDays,
  date,
  endOfMonth,
  makeDate,
  parseDate,
  showDate,
  yearOf,
  type LocalDate,
} from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { feeLines, feeTotal, type FeeLine, type FeeTerms, type WorkDone } from '@zakat/core/invoicing/fees';
import { dollars, type Cents } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { INVOICE_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { Client, findClient, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, printedDollars } from '../documents/index.js';
import { FactStore } from '../facts/index.js';
import { addressOf, Letter } from '../letters/index.js';
import { outcome } from '../outbox/index.js';
import { invoiceNumber } from './invoice-funds.js';

interface Stored {
  readonly id: string;
  readonly client_id: string;
  readonly number: number;
  readonly issued_on: string;
  readonly due: string;
  readonly total: string;
  readonly is_collected: boolean;
  readonly status: InvoiceStatus;
  readonly version: number;
  readonly paid_on: string | null;
  readonly reference: string | null;
  readonly document_id: string;
}
interface Counted extends WorkDone {
  readonly clientId: string;
}
const NO_WORK: WorkDone = { payrolls: 0, checks: 0, returns: 0, wageStatements: 0 };
const amountIn = (value: FactValue, name: string): Cents | null =>
  text(value, name) === '' ? null : dollars(text(value, name));

/** The firm's fees, month by month: what each client's work comes to, invoiced once, and whether it is paid. */
@Injectable()
export class InvoicesService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly facts: FactStore,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  month(actor: Actor, asked: string): Promise<InvoicesOfMonth> {
    const first = monthFrom(asked);
    return this.database.run(actor, async (manager) => {
      const clients = await manager.find(Client, { order: { legalName: 'ASC', id: 'ASC' } });
      const terms = await this.termsOn(manager, endOfMonth(first));
      const work = await this.work(manager, first, null);
      const invoices = new Map(
        (
          (await manager.query(`SELECT * FROM invoice WHERE month = $1 AND status <> 'voided'`, [first])) as Stored[]
        ).map((row) => [row.client_id, row]),
      );
      const lines = (await manager.query(
        `SELECT l.client_id, l.label, l.count, l.price, l.amount FROM invoice_line l JOIN invoice v ON v.id = l.invoice_id WHERE v.month = $1 AND v.status <> 'voided' ORDER BY l.position`,
        [first],
      )) as { client_id: string; label: string; count: number; price: string; amount: string }[];
      const rows = clients.flatMap(({ id, legalName }): FeesOfMonth[] => {
        const invoice = invoices.get(id);
        const agreed = terms.get(id);
        if (!agreed && !invoice) return [];
        // What was invoiced stands as it was; everything else is as it would be now.
        const own = invoice
          ? lines
              .filter((line) => line.client_id === id)
              .map(({ label, count, price, amount }) => ({
                label,
                count,
                price: rawCents(price),
                amount: rawCents(amount),
              }))
          : feeLines(agreed as FeeTerms, work.get(id) ?? NO_WORK);
        return [
          {
            clientId: id,
            clientName: legalName,
            lines: own,
            total: feeTotal(own),
            invoice: invoice ? viewOf(invoice) : null,
          },
        ];
      });
      const today = await this.clock.today(manager);
      return {
        month: asked,
        isOver: endOfMonth(first) < today,
        rows,
        without: clients.length - rows.length,
      };
    });
  }

  /** Issues each by itself: one that is refused stops none of the others. */
  async issue(actor: Actor, asked: string, clientIds: readonly string[]): Promise<DoneOfMany[]> {
    const first = monthFrom(asked);
    const done: DoneOfMany[] = [];
    for (const id of clientIds) {
      const name = await this.database.run(actor, async (manager) => (await findClient(manager, id)).legalName);
      done.push(await outcome(id, name, () => this.issueOne(actor, first, id)));
    }
    return done;
  }

  pdf(actor: Actor, id: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const row = await this.find(manager, id);
      const { name, content } = await this.documents.load(manager, row.document_id);
      return { name, content };
    });
  }

  pay(actor: Actor, id: string, { version, paidOn, reference }: InvoicePaid): Promise<InvoiceView> {
    const day = dayFrom(paidOn, 'paidOn');
    return this.database.run(actor, async (manager) => {
      if (day > (await this.clock.today(manager)))
        throw refuseField('paidOn', 'This day is still to come.', 'Give the day on which it was paid.');
      await this.refuseWhileCollected(manager, id);
      await this.executor.apply(manager, actor, INVOICE_MACHINE, {
        id,
        act: 'pay',
        version,
        set: { paid_on: day, reference: reference.trim() },
        detail: { paidOn: day, reference: reference.trim() },
      });
      return viewOf(await this.find(manager, id));
    });
  }

  unpay(actor: Actor, id: string, { version, reason }: InvoiceReason): Promise<InvoiceView> {
    return this.database.run(actor, async (manager) => {
      await this.refuseWhileCollected(manager, id);
      await this.executor.apply(manager, actor, INVOICE_MACHINE, {
        id,
        act: 'unpay',
        version,
        set: { paid_on: null, reference: null },
        detail: { reason },
      });
      return viewOf(await this.find(manager, id));
    });
  }

  /** Takes an invoice back before it is paid; its number stays used, and the month may be invoiced again. */
  void(actor: Actor, id: string, { version, reason }: InvoiceReason): Promise<InvoiceView> {
    return this.database.run(actor, async (manager) => {
      await this.refuseWhileCollected(manager, id);
      await this.executor.apply(manager, actor, INVOICE_MACHINE, {
        id,
        act: 'void',
        version,
        set: { reason },
        detail: { reason },
      });
      return viewOf(await this.find(manager, id));
    });
  }

  private issueOne(actor: Actor, first: LocalDate, clientId: string): Promise<void> {
    return this.database.run(actor, async (manager) => {
      // One after the other for a firm: the numbers count on without a gap.
      await manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 0))', [`invoice ${actor.firmId}`]);
      const client = await findClient(manager, clientId);
      const today = await this.clock.today(manager);
      const last = endOfMonth(first);
      if (last >= today) throw conflict(`${showMonth(first)} is not over yet.`);
      const terms = (await this.termsOn(manager, last, clientId)).get(clientId);
      if (!terms) throw conflict(`${client.legalName} has agreed to no fees.`);
      const lines = feeLines(terms, (await this.work(manager, first, clientId)).get(clientId) ?? NO_WORK);
      const total = feeTotal(lines);
      if (total <= 0) throw conflict('Nothing was done that is paid for.');
      const [next] = (await manager.query('SELECT coalesce(max(number), 0) + 1 AS number FROM invoice')) as {
        number: number;
      }[];
      const number = next?.number ?? 1;
      const due = addDays(today, terms.dueDays);
      const content = await this.draw(manager, client, { number, first, today, due, lines, terms });
      const name = `${invoiceNumber(number).toLowerCase()}-${client.key.toLowerCase()}.pdf`;
      const documentId = await this.documents.store(
        manager,
        actor,
        clientId,
        'invoice',
        name,
        'application/pdf',
        content,
      );
      const id = randomUUID();
      await manager.query(
        `INSERT INTO invoice (id, firm_id, client_id, number, month, issued_on, due, total, is_collected, prepared_by, document_id, created_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10,$11,$12)`,
        [
          id,
          actor.firmId,
          clientId,
          number,
          first,
          today,
          due,
          total,
          terms.isCollected,
          actor.userId,
          documentId,
          await this.clock.now(manager),
        ],
      );
      await manager.query(
        `INSERT INTO invoice_line (invoice_id, firm_id, client_id, position, label, count, price, amount)
         SELECT $1, $2, $3, r.position, r.label, r.count, r.price, r.amount FROM jsonb_to_recordset($4::jsonb) AS r(position int, label text, count int, price bigint, amount bigint)`,
        [id, actor.firmId, clientId, JSON.stringify(lines.map((line, position) => ({ ...line, position })))],
      );
      await this.audit.record(manager, actor, 'invoice.issue', 'invoice', id, { amount: total });
    });
  }

  private async termsOn(
    manager: EntityManager,
    day: LocalDate,
    clientId: string | null = null,
  ): Promise<Map<string, FeeTerms>> {
    const byClient = await this.facts.ofClients(manager, ['service-fee']);
    const found = new Map<string, FeeTerms>();
    for (const [id, facts] of byClient) {
      if (clientId !== null && id !== clientId) continue;
      const fact = inForceOn(facts, day, CLIENT_FACTS.slotOf)[0];
      if (!fact) continue;
      const { value } = fact;
      found.set(id, {
        perMonth: amountIn(value, 'perMonth'),
        perPayroll: amountIn(value, 'perPayroll'),
        perCheck: amountIn(value, 'perCheck'),
        perReturn: amountIn(value, 'perReturn'),
        perWageStatement: amountIn(value, 'perWageStatement'),
        dueDays: Number(text(value, 'dueDays')),
        isCollected: text(value, 'collected') === 'funds',
      });
    }
    return found;
  }

  /** What was done in a month: payrolls by check date, returns and W-2s by the day on which the agency accepted them. */
  private async work(
    manager: EntityManager,
    first: LocalDate,
    clientId: string | null,
  ): Promise<Map<string, WorkDone>> {
    const last = endOfMonth(first);
    const rows = (await manager.query(
      `SELECT c.id AS "clientId",
         (SELECT count(*)::int FROM payroll p WHERE p.client_id = c.id AND p.status = 'posted' AND p.kind NOT IN ('brought-in', 'void') AND p.check_date BETWEEN $1 AND $2) AS payrolls,
         (SELECT count(*)::int FROM paycheck k JOIN payroll p ON p.id = k.payroll_id WHERE p.client_id = c.id AND p.status = 'posted' AND p.kind NOT IN ('brought-in', 'void') AND p.check_date BETWEEN $1 AND $2) AS checks,
         (SELECT count(DISTINCT f.id)::int FROM filing f JOIN filing_event e ON e.filing_id = f.id AND e.stage = 'accepted' WHERE f.client_id = c.id AND f.status = 'accepted' AND f.kind <> 'us-w2' AND NOT f.is_elsewhere AND e.at >= $1::date AND e.at < $2::date + 1) AS returns,
         (SELECT count(DISTINCT k.employee_id)::int FROM filing f JOIN filing_event e ON e.filing_id = f.id AND e.stage = 'accepted' JOIN payroll p ON p.client_id = c.id AND p.check_date BETWEEN f.period_start AND f.period_end JOIN standing_paycheck k ON k.payroll_id = p.id
            WHERE f.client_id = c.id AND f.status = 'accepted' AND f.kind = 'us-w2' AND NOT f.is_elsewhere AND e.at >= $1::date AND e.at < $2::date + 1) AS "wageStatements"
       FROM client c WHERE $3::uuid IS NULL OR c.id = $3`,
      [first, last, clientId],
    )) as Counted[];
    return new Map(rows.map((row) => [row.clientId, row]));
  }

  private async draw(
    manager: EntityManager,
    client: Client,
    made: {
      readonly number: number;
      readonly first: LocalDate;
      readonly today: LocalDate;
      readonly due: LocalDate;
      readonly lines: readonly FeeLine[];
      readonly terms: FeeTerms;
    },
  ): Promise<Buffer> {
    const [firm] = await manager.find(Firm);
    if (!firm) throw new Error('the firm has no record');
    const letter = new Letter('Invoice', firm, addressOf(client), showDate(made.today));
    letter
      .say(`Invoice ${invoiceNumber(made.number)}: payroll services of ${showMonth(made.first)}.`)
      .heading('What was done')
      .table(
        [
          { heading: 'Service', width: 208 },
          { heading: 'Count', width: 80, isFigure: true },
          { heading: 'Price', width: 90, isFigure: true },
          { heading: 'Amount', width: 90, isFigure: true },
        ],
        made.lines.map(({ label, count, price, amount }) => [
          label,
          String(count),
          printedDollars(price),
          printedDollars(amount),
        ]),
        ['Total', '', '', printedDollars(feeTotal(made.lines))],
      )
      .say(
        made.terms.isCollected
          ? 'It is collected with the funds for your next payroll; nothing is to be sent.'
          : `Please pay by ${showDate(made.due)}, and name the number of the invoice.`,
      );
    return letter.end();
  }

  private async refuseWhileCollected(manager: EntityManager, id: string): Promise<void> {
    const rows = (await manager.query(
      `SELECT k.reference FROM collection_item i JOIN collection k ON k.id = i.collection_id WHERE i.invoice_id = $1 AND i.is_live`,
      [id],
    )) as { reference: string }[];
    if (rows[0]) throw conflict(`It is collected with ${rows[0].reference}: what the bank says of that changes it.`);
  }

  private async find(manager: EntityManager, id: string): Promise<Stored> {
    const rows = (await manager.query('SELECT * FROM invoice WHERE id = $1', [id])) as Stored[];
    if (!rows[0]) throw notFound('invoice');
    return rows[0];
  }
}

const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const showMonth = (first: LocalDate): string => `${MONTHS[Number(first.slice(5, 7)) - 1] ?? ''} ${yearOf(first)}`;

function monthFrom(asked: string): LocalDate {
  const first = /^\d{4}-\d{2}$/.test(asked) ? parseDate(`${asked}-01`) : null;
  if (!first) throw refuseField('month', `${asked} is no month.`, 'Give a year and a month, like 2026-09.');
  return makeDate(yearOf(first), Number(asked.slice(5)), 1);
}

const viewOf = (row: Stored): InvoiceView => ({
  id: row.id,
  number: invoiceNumber(row.number),
  issuedOn: date(row.issued_on),
  due: row.due,
  total: rawCents(row.total),
  isCollected: row.is_collected,
  status: row.status,
  version: row.version,
  paidOn: row.paid_on,
  reference: row.reference,
});
