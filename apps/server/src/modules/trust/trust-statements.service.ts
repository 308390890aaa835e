import { Inject, Injectable } from '@nestjs/common';
import type {
  MatchLine,
  ReadTrustStatement,
  ReconciliationView,
  TrustLineView,
  TrustStatementView,
} from '@zakat/contract/trust';
import { isBai2 } from '@zakat/core/bank-statement/read-statement';
import {
  readBai2Transactions,
  readTransactionTable,
  type StatementLine,
  type Transactions,
} from '@zakat/core/bank-statement/read-transactions';
import { addDays, date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { sentence } from '@zakat/core/issues/issue';
import { cents, showDollars, sum } from '@zakat/core/money/cents';
import { trustKind, type TrustKindCode } from '@zakat/core/trust/kinds';
import { plainMatches, reconcile, type BankLine, type BookEntry, type Match } from '@zakat/core/trust/reconcile';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../../config/config.js';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, refuse, refuseField, Refusal } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { type BankAccount, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents } from '../documents/index.js';
import { readTable } from '../tables/index.js';
import { drawReconciliation } from './reconciliation-pdf.js';
import { TrustLedger } from './trust-ledger.js';
import { TrustService } from './trust.service.js';

interface EntryRow {
  readonly id: string;
  readonly day: LocalDate;
  readonly amount: string;
  readonly reference: string;
  readonly kind: TrustKindCode;
  readonly whose: string;
}
interface LineRow {
  readonly id: string;
  readonly day: LocalDate;
  readonly amount: string;
  readonly reference: string;
  readonly description: string;
}
const TIMEOUT = 10_000;
const MOST_DAYS = 40;
const keyOf = (line: { day: string; amount: number; reference: string; description: string }): string =>
  JSON.stringify([line.day, line.amount, line.reference, line.description]);

/** The bank's word on the trust account, day by day, against the book: what it shows, what it does not, and the difference. */
@Injectable()
export class TrustStatements {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(TrustLedger) private readonly ledger: TrustLedger,
    @Inject(TrustService) private readonly trust: TrustService,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  /** Reads a file of the bank; taken, lines that are new are kept, and what is plain is matched by itself. */
  async read(actor: Actor, { fileName, content, isTaken }: ReadTrustStatement): Promise<TrustStatementView> {
    const bytes = Buffer.from(content, 'base64');
    const text = bytes.toString('latin1');
    const read = isBai2(text) ? readBai2Transactions(text) : readTransactionTable(await readTable(bytes));
    const onFile = read.issues.filter(({ field }) => field === 'file');
    if (onFile.length > 0) throw refuse(onFile);
    return this.database.run(actor, (manager) => this.take(manager, actor, read, fileName, isTaken));
  }

  /** Fetches from the bank the days since the last statement that are over. */
  async fetch(actor: Actor): Promise<TrustStatementView> {
    const { company, from, to } = await this.database.run(actor, async (manager) => {
      const account = await this.trust.accountOf(manager);
      const [firm] = await manager.find(Firm);
      const [known] = (await manager.query(
        `SELECT (SELECT max(day) FROM trust_closing WHERE bank_account_id = $1) AS last, (SELECT min(day) FROM trust_entry WHERE bank_account_id = $1) AS first`,
        [account.id],
      )) as { last: LocalDate | null; first: LocalDate | null }[];
      const today = await this.clock.today(manager);
      const earliest = known?.last ? addDays(known.last, 1) : (known?.first ?? today);
      const most = addDays(today, -MOST_DAYS);
      return {
        company: `1${firm?.ein ?? ''}`,
        from: earliest < most && known?.last === null ? most : earliest,
        to: addDays(today, -1),
      };
    });
    const lines: StatementLine[] = [];
    const closing: { day: LocalDate; balance: ReturnType<typeof cents> }[] = [];
    for (let day = from; day <= to; day = addDays(day, 1)) {
      const read = readBai2Transactions(await this.statementOf(company, day));
      const faults = read.issues.filter(({ code }) => code !== 'bank-statement.no-lines');
      if (faults.length > 0) throw refuse(faults);
      lines.push(...read.lines);
      closing.push(...read.closing);
    }
    return this.database.run(actor, (manager) =>
      this.take(manager, actor, { lines, closing, issues: [] }, `${from} to ${to}`, true),
    );
  }

  reconciliation(actor: Actor, asked: string): Promise<ReconciliationView> {
    const day = dayFrom(asked, 'day');
    return this.database.run(actor, async (manager) => this.of(manager, await this.trust.accountOf(manager), day));
  }

  /** Keeps the report of a day: only where the account reconciles and the clients' money is whole. */
  keep(actor: Actor, asked: string): Promise<ReconciliationView> {
    const day = dayFrom(asked, 'day');
    return this.database.run(actor, async (manager) => {
      const account = await this.trust.accountOf(manager);
      const view = await this.of(manager, account, day);
      if (view.keptBy !== null) throw conflict(`The report of ${showDate(day)} is kept already.`);
      if (!view.isReconciled)
        throw refuseField(
          'day',
          `On ${showDate(day)} bank and book differ by ${showDollars(cents(view.difference))}, with ${view.unexplained.length} lines unexplained.`,
          'Match or write down what the bank shows first.',
        );
      if (view.firm < 0)
        throw refuseField(
          'day',
          `The firm owes the account ${showDollars(cents(-view.firm))}.`,
          'Pay it in and write it down first: until then it is other clients’ money.',
        );
      const pdf = await this.pdfOf(manager, account, view);
      const documentId = await this.documents.store(
        manager,
        actor,
        null,
        'trust-reconciliation',
        `trust-reconciliation-${day}.pdf`,
        'application/pdf',
        pdf,
      );
      await manager.query(
        `INSERT INTO trust_reconciliation (bank_account_id, day, firm_id, bank, book, clients, firm_part, document_id, made_by, made_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8,$9,$10)`,
        [
          account.id,
          day,
          actor.firmId,
          view.bank,
          view.book,
          view.clients,
          view.firm,
          documentId,
          actor.userId,
          await this.clock.now(manager),
        ],
      );
      await this.audit.record(manager, actor, 'trust.reconcile', 'firm', actor.firmId, { day, bank: view.bank });
      return this.of(manager, account, day);
    });
  }

  /** The report of a day: as it was kept, or as it is while nobody has kept it. */
  report(actor: Actor, asked: string): Promise<{ name: string; content: Buffer }> {
    const day = dayFrom(asked, 'day');
    return this.database.run(actor, async (manager) => {
      const account = await this.trust.accountOf(manager);
      const kept = (await manager.query(
        'SELECT document_id FROM trust_reconciliation WHERE bank_account_id = $1 AND day = $2',
        [account.id, day],
      )) as { document_id: string }[];
      const name = `trust-reconciliation-${day}.pdf`;
      if (kept[0]) return { name, content: (await this.documents.load(manager, kept[0].document_id)).content };
      return { name, content: await this.pdfOf(manager, account, await this.of(manager, account, day)) };
    });
  }

  /** Says which entries a line is of: they add up to it. Without entries the match is taken back. */
  match(actor: Actor, { lineId, entryIds }: MatchLine): Promise<{ matched: number }> {
    return this.database.run(actor, async (manager) => {
      const account = await this.trust.accountOf(manager);
      const lines = (await manager.query('SELECT amount FROM trust_line WHERE id = $1 AND bank_account_id = $2', [
        lineId,
        account.id,
      ])) as { amount: string }[];
      const [line] = lines;
      if (!line) throw refuseField('lineId', 'The statement has no such line.', 'Look again.');
      await manager.query('DELETE FROM trust_match WHERE line_id = $1', [lineId]);
      if (entryIds.length > 0) {
        const entries = (await manager.query(
          `SELECT id, amount FROM trust_entry e WHERE id::text = ANY($1) AND bank_account_id = $2 AND is_at_bank AND NOT EXISTS (SELECT 1 FROM trust_match m WHERE m.entry_id = e.id)`,
          [entryIds, account.id],
        )) as { id: string; amount: string }[];
        const total = sum(entries.map(({ amount }) => rawCents(amount)));
        if (entries.length !== new Set(entryIds).size)
          throw refuseField('entryIds', 'One of these entries has a line already.', 'Look again.');
        if (total !== rawCents(line.amount))
          throw refuseField(
            'entryIds',
            `The entries come to ${showDollars(total)}, the line is ${showDollars(rawCents(line.amount))}.`,
            'Choose entries that add up to the line.',
          );
        await this.keepMatches(
          manager,
          actor,
          entries.map(({ id }) => ({ entryId: id, lineId })),
        );
      }
      await this.audit.record(manager, actor, 'trust.match', 'firm', actor.firmId, {
        amount: rawCents(line.amount),
        entries: entryIds.length,
      });
      return { matched: entryIds.length };
    });
  }

  private async take(
    manager: EntityManager,
    actor: Actor,
    read: Transactions,
    fileName: string,
    isTaken: boolean,
  ): Promise<TrustStatementView> {
    const account = await this.trust.accountOf(manager);
    const known = await this.linesOf(manager, account.id);
    const counts = new Map<string, number>();
    for (const line of known) {
      const key = keyOf({ ...line, amount: rawCents(line.amount) });
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    const seen = new Map<string, number>();
    const lines = read.lines.map(({ day, amount, reference, description }) => {
      const line = { day, amount, reference: reference.slice(0, 200), description: description.slice(0, 300) };
      const key = keyOf(line);
      const sequence = (seen.get(key) ?? 0) + 1;
      seen.set(key, sequence);
      return { id: randomUUID(), ...line, sequence, isNew: sequence > (counts.get(key) ?? 0) };
    });
    const fresh = lines.filter(({ isNew }) => isNew);
    let matched = 0;
    if (isTaken) {
      await this.keepClosing(manager, actor, account.id, read);
      await manager.query(
        `INSERT INTO trust_line (id, firm_id, bank_account_id, day, amount, reference, description, sequence)
         SELECT r.id, $1, $2, r.day, r.amount, r.reference, r.description, r.sequence FROM jsonb_to_recordset($3::jsonb) AS r(id uuid, day date, amount bigint, reference text, description text, sequence int)`,
        [actor.firmId, account.id, JSON.stringify(fresh)],
      );
      matched = await this.matchPlain(manager, actor, account.id);
      await this.audit.record(manager, actor, 'trust.statement', 'firm', actor.firmId, {
        file: fileName,
        lines: fresh.length,
        matched,
      });
    }
    return {
      lines: lines.map(({ id, day, amount, reference, description, isNew }) => ({
        id: isTaken && isNew ? id : null,
        day,
        amount,
        reference,
        description,
        isNew,
      })),
      added: fresh.length,
      matched,
      lastDay:
        read.closing
          .map(({ day }) => day)
          .sort()
          .at(-1) ?? null,
      unread: read.issues.map(sentence),
      isTaken,
    };
  }

  /** A day has one closing balance: a file that says another is not of this account, or one of the two is wrong. */
  private async keepClosing(
    manager: EntityManager,
    actor: Actor,
    accountId: string,
    read: Transactions,
  ): Promise<void> {
    for (const { day, balance } of read.closing) {
      const rows = (await manager.query('SELECT balance FROM trust_closing WHERE bank_account_id = $1 AND day = $2', [
        accountId,
        day,
      ])) as { balance: string }[];
      const [row] = rows;
      if (row && rawCents(row.balance) !== balance)
        throw refuseField(
          'file',
          `The bank said ${showDollars(rawCents(row.balance))} at the end of ${showDate(day)} before, this file says ${showDollars(balance)}.`,
          'Ask the bank which is right; a file of a day that is not over is taken when it is.',
        );
      if (!row)
        await manager.query('INSERT INTO trust_closing (bank_account_id, day, firm_id, balance) VALUES ($1,$2,$3,$4)', [
          accountId,
          day,
          actor.firmId,
          balance,
        ]);
    }
  }

  private async matchPlain(manager: EntityManager, actor: Actor, accountId: string): Promise<number> {
    const open = async (table: string, column: string, where: string): Promise<Record<string, string>[]> =>
      (await manager.query(
        `SELECT t.* FROM ${table} t WHERE t.bank_account_id = $1 AND ${where} AND NOT EXISTS (SELECT 1 FROM trust_match m WHERE m.${column} = t.id) ORDER BY t.day, t.id`,
        [accountId],
      )) as Record<string, string>[];
    const entries = (await open('trust_entry', 'entry_id', 't.is_at_bank')).map((row): BookEntry => ({
      id: row['id'] ?? '',
      day: date(row['day'] ?? ''),
      amount: rawCents(row['amount'] ?? ''),
      reference: row['reference'] ?? '',
    }));
    const lines = (await open('trust_line', 'line_id', 'true')).map((row) => lineOf(row as unknown as LineRow));
    const matches = plainMatches(entries, lines);
    await this.keepMatches(manager, actor, matches);
    return matches.length;
  }

  private async keepMatches(manager: EntityManager, actor: Actor, matches: readonly Match[]): Promise<void> {
    await manager.query(
      `INSERT INTO trust_match (entry_id, line_id, firm_id, matched_by) SELECT r."entryId", r."lineId", $1, $2 FROM jsonb_to_recordset($3::jsonb) AS r("entryId" uuid, "lineId" uuid)`,
      [actor.firmId, actor.userId, JSON.stringify(matches)],
    );
  }

  private async linesOf(manager: EntityManager, accountId: string): Promise<LineRow[]> {
    return (await manager.query(
      'SELECT id, day, amount, reference, description FROM trust_line WHERE bank_account_id = $1 ORDER BY day, id',
      [accountId],
    )) as LineRow[];
  }

  private async of(manager: EntityManager, account: BankAccount, day: LocalDate): Promise<ReconciliationView> {
    const [closing] = (await manager.query(
      'SELECT balance FROM trust_closing WHERE bank_account_id = $1 AND day = $2',
      [account.id, day],
    )) as { balance: string }[];
    if (!closing)
      throw refuseField(
        'day',
        `No statement says what the bank had at the end of ${showDate(day)}.`,
        'Read or fetch the statement of that day first.',
      );
    const rows = (await manager.query(
      `SELECT e.id, e.day, e.amount, e.reference, e.kind, coalesce(c.legal_name, f.name) AS whose
       FROM trust_entry e JOIN firm f ON f.id = e.firm_id LEFT JOIN client c ON c.id = e.client_id WHERE e.bank_account_id = $1 AND e.is_at_bank ORDER BY e.day, e.position`,
      [account.id],
    )) as EntryRow[];
    const byId = new Map(rows.map((row) => [row.id, row]));
    const lineRows = await this.linesOf(manager, account.id);
    const lineById = new Map(lineRows.map((row) => [row.id, row]));
    const matches = (
      (await manager.query('SELECT entry_id, line_id FROM trust_match')) as { entry_id: string; line_id: string }[]
    ).map(({ entry_id: entryId, line_id: lineId }): Match => ({ entryId, lineId }));
    const balances = await this.trust.held(manager, account.id, day);
    const [own] = (await manager.query(
      'SELECT coalesce(sum(amount), 0) AS amount FROM trust_entry WHERE bank_account_id = $1 AND client_id IS NULL AND day <= $2',
      [account.id, day],
    )) as { amount: string }[];
    const [kept] = (await manager.query(
      'SELECT u.name FROM trust_reconciliation r JOIN app_user u ON u.id = r.made_by WHERE r.bank_account_id = $1 AND r.day = $2',
      [account.id, day],
    )) as { name: string }[];
    const found = reconcile(
      day,
      rawCents(closing.balance),
      rows.map(({ id, day: on, amount, reference }) => ({ id, day: on, amount: rawCents(amount), reference })),
      lineRows.map(lineOf),
      matches,
      { clients: sum(balances.map(({ balance }) => cents(balance))), firm: rawCents(own?.amount ?? '0') },
    );
    return {
      ...found,
      outstanding: found.outstanding.map(({ id, day: on, amount, reference }) => {
        const row = byId.get(id);
        return {
          id,
          day: on,
          amount,
          reference,
          whose: row?.whose ?? '',
          label: row ? trustKind(row.kind).label : '',
        };
      }),
      unexplained: found.unexplained.map(({ id, day: on, amount }): TrustLineView => {
        const row = lineById.get(id);
        return {
          id,
          day: on,
          amount,
          reference: row?.reference ?? '',
          description: row?.description ?? '',
          isNew: false,
        };
      }),
      balances,
      keptBy: kept?.name ?? null,
    };
  }

  private async pdfOf(manager: EntityManager, account: BankAccount, view: ReconciliationView): Promise<Buffer> {
    const [firm] = await manager.find(Firm);
    return drawReconciliation(firm?.name ?? '', account, view);
  }

  private async statementOf(company: string, day: LocalDate): Promise<string> {
    try {
      const response = await fetch(`${this.config.bankUrl}/statements/${company}?day=${day}`, {
        signal: AbortSignal.timeout(TIMEOUT),
      });
      if (!response.ok) throw new Error(`it answered ${response.status}`);
      return await response.text();
    } catch {
      throw new Refusal(502, 'bank', 'The bank does not answer now. Try again, or read the statement from a file.');
    }
  }
}

const lineOf = ({ id, day, amount, reference, description }: LineRow): BankLine => ({
  id,
  day,
  amount: rawCents(amount),
  says: `${reference} ${description}`,
});
