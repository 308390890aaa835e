import { Inject, Injectable } from '@nestjs/common';
import type { BookEntryView, ExportJournal, JournalUnit, JournalView } from '@zakat/contract/journal';
import { date, endOfMonth, type LocalDate } from '@zakat/core/calendar/local-date';
import { CLIENT_FACTS } from '@zakat/core/facts/client-facts';
import { text } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import { writePlainTextJournal, type BookEntry } from '@zakat/core/formats/plain-text-journal/journal';
import { findItem } from '@zakat/core/items/registry';
import { bookLines, mergedLines, type AccountMap, type BookLine, type EarningPiece } from '@zakat/core/ledger/accounts';
import type { JournalAccount, JournalLine } from '@zakat/core/ledger/postings';
import { negate, toDollars } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, type StoredDocument } from '../documents/index.js';
import { FactStore } from '../facts/index.js';
import { writeTable } from '../tables/index.js';

interface StoredEntry {
  readonly id: string;
  readonly day: string;
  readonly memo: string;
  readonly payroll_id: string | null;
  readonly remittance_id: string | null;
  readonly number: number | null;
  readonly lines: { account: JournalAccount; detail: string; amount: number }[];
}
interface MappedEntry {
  readonly stored: StoredEntry;
  readonly lines: readonly BookLine[];
}
const pathOf = ({ payroll_id: payroll, remittance_id: remittance }: StoredEntry): string =>
  payroll === null ? (remittance === null ? '' : `/remittances/${remittance}`) : `/payrolls/${payroll}`;

/** The journal on the client's own accounts, and its exports: each entry once, each file as it was made. */
@Injectable()
export class JournalService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, clientId: string, from: string, to: string): Promise<JournalView> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      return this.viewIn(manager, clientId, dayFrom(from, 'from'), dayFrom(to, 'to'));
    });
  }

  /** Takes every entry up to a day that no export has, gives the export its number, and keeps its files. */
  export(actor: Actor, clientId: string, { upTo, unit }: ExportJournal): Promise<JournalView> {
    const last = dayFrom(upTo, 'upTo');
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      await manager.query('SELECT id FROM client WHERE id = $1 FOR UPDATE', [clientId]);
      const entries = (await this.entries(manager, clientId, date('1900-01-01'), last)).filter(
        ({ stored }) => stored.number === null,
      );
      if (entries.length === 0)
        throw conflict('Every entry up to this day has been exported. Its files stand with the exports.');
      if (unit === 'month' && last !== endOfMonth(last))
        throw refuseField('upTo', 'A month is booked when it is over.', 'Give the last day of a month.');
      const [row] = (await manager.query(
        'SELECT coalesce(max(number), 0)::int + 1 AS number FROM journal_export WHERE client_id = $1',
        [clientId],
      )) as { number: number }[];
      const number = row?.number ?? 1;
      const booked = booksOf(entries, unit, number);
      const name = `${client.key.toLowerCase()}-journal-${number}`;
      const csv = await writeTable(tableOf(booked), 'csv');
      const keep = (suffix: string, mediaType: string, content: Buffer): Promise<string> =>
        this.documents.store(manager, actor, clientId, 'journal-export', `${name}.${suffix}`, mediaType, content);
      const csvId = await keep('csv', 'text/csv', csv);
      const textId = await keep('journal', 'text/plain', Buffer.from(writePlainTextJournal(booked), 'utf8'));
      const id = randomUUID();
      await manager.query(
        `INSERT INTO journal_export (id, firm_id, client_id, number, up_to, unit, csv_document_id, text_document_id, created_by, created_at) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
        [id, actor.firmId, clientId, number, last, unit, csvId, textId, actor.userId, await this.clock.now(manager)],
      );
      await manager.query(
        `INSERT INTO journal_export_entry (journal_entry_id, firm_id, client_id, journal_export_id) SELECT unnest($1::uuid[]), $2, $3, $4`,
        [entries.map(({ stored }) => stored.id), actor.firmId, clientId, id],
      );
      await this.audit.record(manager, actor, 'journal.export', 'client', clientId, {
        number: String(number),
        entries: entries.length,
        upTo: last,
      });
      return this.viewIn(manager, clientId, date(`${last.slice(0, 4)}-01-01`), last);
    });
  }

  /** A file of an export, as it was made. */
  file(actor: Actor, exportId: string, format: 'csv' | 'journal'): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query(
        'SELECT csv_document_id AS csv, text_document_id AS journal FROM journal_export WHERE id = $1',
        [exportId],
      )) as { csv: string; journal: string }[];
      const [row] = rows;
      if (!row) throw notFound('export');
      return this.documents.load(manager, row[format]);
    });
  }

  private async viewIn(manager: EntityManager, clientId: string, from: LocalDate, to: LocalDate): Promise<JournalView> {
    const entries = await this.entries(manager, clientId, from, to);
    const exports = (await manager.query(
      `SELECT x.id, x.number, x.up_to, x.unit, x.created_at, u.name AS by, (SELECT count(*)::int FROM journal_export_entry e WHERE e.journal_export_id = x.id) AS entries
       FROM journal_export x JOIN app_user u ON u.id = x.created_by WHERE x.client_id = $1 ORDER BY x.number DESC`,
      [clientId],
    )) as { id: string; number: number; up_to: string; unit: string; created_at: Date; by: string; entries: number }[];
    const [waiting] = (await manager.query(
      `SELECT count(*)::int AS count, max(j.day) AS last FROM journal_entry j WHERE j.client_id = $1 AND NOT EXISTS (SELECT 1 FROM journal_export_entry e WHERE e.journal_entry_id = j.id)`,
      [clientId],
    )) as { count: number; last: string | null }[];
    return {
      entries: entries.map(({ stored, lines }): BookEntryView => ({
        key: stored.id,
        day: stored.day,
        memo: stored.memo,
        path: pathOf(stored),
        exportNumber: stored.number,
        lines: lines.map((line) => ({ ...line })),
      })),
      unmapped: [
        ...new Set(
          entries.flatMap(({ lines }) => lines.filter((line) => !line.isMapped).map(({ account }) => account)),
        ),
      ],
      exports: exports.map((row) => ({
        id: row.id,
        number: row.number,
        upTo: row.up_to,
        unit: row.unit,
        entries: row.entries,
        by: row.by,
        at: row.created_at.toISOString(),
      })),
      waiting: waiting?.count ?? 0,
      lastWaiting: waiting?.last ?? null,
    };
  }

  private async entries(
    manager: EntityManager,
    clientId: string,
    from: LocalDate,
    to: LocalDate,
  ): Promise<MappedEntry[]> {
    const stored = (await manager.query(
      `SELECT j.id, j.day, j.memo, j.payroll_id, j.remittance_id, x.number,
         (SELECT jsonb_agg(jsonb_build_object('account', l.account, 'detail', l.detail, 'amount', l.amount) ORDER BY l.position) FROM journal_line l WHERE l.journal_entry_id = j.id) AS lines
       FROM journal_entry j LEFT JOIN journal_export_entry e ON e.journal_entry_id = j.id LEFT JOIN journal_export x ON x.id = e.journal_export_id
       WHERE j.client_id = $1 AND j.day BETWEEN $2 AND $3 ORDER BY j.day, j.memo, j.id`,
      [clientId, from, to],
    )) as StoredEntry[];
    const pieces = await this.pieces(
      manager,
      stored.flatMap((entry) => entry.payroll_id ?? []),
    );
    const facts = await this.store.ofClient(manager, clientId);
    const maps = new Map<string, AccountMap>();
    return stored.map((entry) => {
      const map = maps.get(entry.day) ?? mapOn(facts, entry.day);
      maps.set(entry.day, map);
      const lines = (entry.lines ?? []).map((line): JournalLine => ({ ...line, amount: rawCents(line.amount) }));
      return { stored: entry, lines: bookLines(lines, pieces.get(entry.payroll_id ?? '') ?? [], map) };
    });
  }

  /** Pay in cash of payrolls by item and department, as it was posted. */
  private async pieces(
    manager: EntityManager,
    payrollIds: readonly string[],
  ): Promise<ReadonlyMap<string, readonly EarningPiece[]>> {
    if (payrollIds.length === 0) return new Map();
    const rows = (await manager.query(
      `SELECT c.payroll_id, coalesce(c.facts -> 'person' ->> 'department', '') AS department, l.item, l.label, sum(l.amount)::bigint AS amount
       FROM paycheck c, jsonb_to_recordset(c.lines -> 'earnings') AS l(item text, label text, amount bigint)
       WHERE c.payroll_id = ANY($1) GROUP BY 1, 2, 3, 4 ORDER BY 2, 4`,
      [payrollIds],
    )) as { payroll_id: string; department: string; item: string; label: string; amount: string }[];
    const found = new Map<string, EarningPiece[]>();
    for (const row of rows) {
      const item = findItem(row.item);
      if (item?.list === 'earning' && item.isNoncash) continue;
      const own = found.get(row.payroll_id) ?? [];
      own.push({ department: row.department, label: row.label, amount: rawCents(row.amount) });
      found.set(row.payroll_id, own);
    }
    return found;
  }
}

/** The accounts that the client has said, as they held on a day. */
function mapOn(facts: Awaited<ReturnType<FactStore['ofClient']>>, day: string): AccountMap {
  const inForce = inForceOn(facts, day, CLIENT_FACTS.slotOf);
  const said = inForce.find((fact) => fact.kind === 'checks')?.value ?? {};
  return {
    wages: text(said, 'wagesAccount'),
    employerTaxes: text(said, 'taxAccount'),
    payable: text(said, 'payableAccount'),
    cash: text(said, 'cashAccount'),
    fundsHeld: text(said, 'fundsAccount'),
    fees: text(said, 'feesAccount'),
    items: new Map(
      inForce
        .filter((fact) => fact.kind === 'pay-item' && text(fact.value, 'account') !== '')
        .map((fact) => [text(fact.value, 'label'), text(fact.value, 'account')]),
    ),
  };
}

/** The entries as the books take them: each by itself, or a month in one. */
function booksOf(entries: readonly MappedEntry[], unit: JournalUnit, number: number): BookEntry[] {
  if (unit === 'entry')
    return entries.map(({ stored, lines }, index) => ({
      day: date(stored.day),
      code: `${number}-${index + 1}`,
      memo: stored.memo,
      lines,
    }));
  const months = [...new Set(entries.map(({ stored }) => stored.day.slice(0, 7)))];
  return months.map((month, index) => ({
    day: endOfMonth(date(`${month}-01`)),
    code: `${number}-${index + 1}`,
    memo: `Payroll of ${month.slice(5)}/${month.slice(0, 4)}`,
    lines: mergedLines(entries.filter(({ stored }) => stored.day.startsWith(month)).map(({ lines }) => lines)),
  }));
}

const tableOf = (entries: readonly BookEntry[]): string[][] => [
  ['Date', 'Entry', 'Description', 'Account', 'Department', 'Detail', 'Debit', 'Credit'],
  ...entries.flatMap(({ day, code, memo, lines }) =>
    lines.map(({ account, department, detail, amount }) => [
      day,
      code,
      memo,
      account,
      department,
      detail,
      amount > 0 ? toDollars(amount) : '',
      amount < 0 ? toDollars(negate(amount)) : '',
    ]),
  ),
];
