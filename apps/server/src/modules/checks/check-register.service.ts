import { Inject, Injectable } from '@nestjs/common';
import type { CheckRow, EndCheck, SpoilStock } from '@zakat/contract/checks';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { CHECK_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { BankAccount, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, pageOf, type StoredDocument } from '../documents/index.js';
import { checkRows, type CheckFilter } from './check-store.js';

/** Sheets of stock that are recorded as waste at once. */
const MOST_SHEETS = 500;

/** What becomes of checks on paper. */
@Injectable()
export class CheckRegister {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  list(actor: Actor, clientId: string, filter: Omit<CheckFilter, 'clientId'>): Promise<CheckRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      return checkRows(manager, { ...filter, clientId });
    });
  }

  /** The checks of a run came out well, but for some: those are waste, and their pay waits for another sheet. */
  outcome(actor: Actor, runId: string, spoiled: readonly string[]): Promise<CheckRow[]> {
    return this.database.run(actor, async (manager) => {
      const rows = await checkRows(manager, { runId });
      if (rows.length === 0) throw notFound('print run');
      const waiting = rows.filter((row) => row.status === 'printed');
      if (waiting.length === 0) throw conflict('It was said already how these checks came out.');
      if (spoiled.some((id) => !waiting.some((row) => row.id === id)))
        throw conflict('One of these checks is not of this run, or its outcome is known. Look again.');
      for (const { id, version } of waiting) {
        const isSpoiled = spoiled.includes(id);
        await this.executor.apply(manager, actor, CHECK_MACHINE, {
          id,
          act: isSpoiled ? 'spoil' : 'issue',
          version,
          set: isSpoiled ? { reason: 'It did not come out well.' } : {},
        });
      }
      return checkRows(manager, { runId });
    });
  }

  /** A check that is out is voided, when it came back, or stopped at the bank: its pay waits for another check. */
  end(actor: Actor, id: string, { act, version, reason }: EndCheck): Promise<CheckRow> {
    return this.database.run(actor, async (manager) => {
      if (reason.trim() === '')
        throw refuseField('reason', 'There is no reason.', 'Say why: it is kept with the check.');
      await refuseRecorded(manager, id);
      await this.executor.apply(manager, actor, CHECK_MACHINE, {
        id,
        act,
        version,
        set: { reason: reason.trim() },
        detail: { reason: reason.trim() },
      });
      const [row] = await checkRows(manager, { id });
      if (!row) throw notFound('check');
      return row;
    });
  }

  /** Numbers of an account whose sheets are waste. */
  spoil(actor: Actor, clientId: string, { bankAccountId, from, to, reason }: SpoilStock): Promise<CheckRow[]> {
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const bank = await manager.findOneBy(BankAccount, { id: bankAccountId, clientId });
      if (!bank)
        throw refuseField('bankAccountId', 'This account is not one of the client.', 'Choose one of its accounts.');
      if (to < from) throw refuseField('to', 'The last number is before the first.', 'Put the numbers in order.');
      if (to - from >= MOST_SHEETS)
        throw refuseField('to', `More than ${MOST_SHEETS} sheets at once.`, 'Record them in parts.');
      await manager.query(
        `INSERT INTO issued_check (id, firm_id, client_id, bank_account_id, number, amount, payee, check_date, status, reason, prepared_by, created_at)
         SELECT s.id, $1, $2, $3, s.number, 0, '', $4, 'spoiled', $5, $6, $7 FROM jsonb_to_recordset($8::jsonb) AS s(id uuid, number bigint)`,
        [
          actor.firmId,
          clientId,
          bankAccountId,
          await this.clock.today(manager),
          reason.trim(),
          actor.userId,
          await this.clock.now(manager),
          JSON.stringify(
            Array.from({ length: to - from + 1 }, (_, index) => ({ id: randomUUID(), number: from + index })),
          ),
        ],
      );
      await this.audit.record(manager, actor, 'check.spoil-stock', 'client', clientId, {
        first: String(from),
        last: String(to),
        reason,
      });
      return checkRows(manager, { clientId });
    });
  }

  /** The pages of a print run as they were printed. */
  run(actor: Actor, runId: string): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      if ((await checkRows(manager, { runId })).length === 0) throw notFound('print run');
      return this.documents.load(manager, runId);
    });
  }

  /** The check as it was printed, once more; that it was asked for is logged. */
  reprint(actor: Actor, id: string): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query('SELECT document_id, number, page FROM issued_check WHERE id = $1', [id])) as {
        document_id: string | null;
        number: string;
        page: number | null;
      }[];
      const [row] = rows;
      if (!row) throw notFound('check');
      if (row.document_id === null) throw conflict('This check was written by hand: there is no image of it.');
      await this.audit.record(manager, actor, 'check.reprint', 'check', id, {});
      const kept = await this.documents.load(manager, row.document_id);
      if (row.page === null) return kept;
      const content = await pageOf(kept.content, row.page, `Check ${row.number}`);
      return { ...kept, name: `check-${row.number}.pdf`, content };
    });
  }
}

/** A check to an agency whose payment is recorded as made: the record goes first, so that what is owed is open again. */
async function refuseRecorded(manager: EntityManager, id: string): Promise<void> {
  const [paid] = (await manager.query(
    `SELECT r.reference FROM issued_check i JOIN remittance r ON r.id = i.remittance_id WHERE i.id = $1 AND r.status = 'settled'`,
    [id],
  )) as { reference: string }[];
  if (paid)
    throw conflict(`The payment ${paid.reference} is recorded as made with this check. Take that record back first.`);
}
