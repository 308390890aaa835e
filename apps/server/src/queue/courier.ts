import { Inject, Injectable, Logger, type OnModuleInit } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../config/config.js';
import { FirmDatabase, type Actor } from '../database/firm-database.js';
import { Documents } from '../modules/documents/index.js';
import { type AgencyAnswer, FilingAnswers } from '../modules/filings/index.js';
import { CollectionAnswers } from '../modules/collections/index.js';
import { GarnishmentAnswers } from '../modules/garnishment-payments/index.js';
import { DirectDepositAnswers } from '../modules/direct-deposits/index.js';
import type { OutboxRow, Receiver } from '../modules/outbox/index.js';
import { type BankAnswer, RemittanceAnswers } from '../modules/remittances/index.js';
import { WorkQueue, type AttendTask } from './work-queue.js';

const TIMEOUT = 10_000;
const LONGEST_WAIT = 60;

/** Takes outbox rows to their receivers and brings the answers home. Safe to kill at any instant: the receiver knows the key. */
@Injectable()
export class Courier implements OnModuleInit {
  private readonly logger = new Logger('courier');

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(WorkQueue) private readonly queue: WorkQueue,
    @Inject(RemittanceAnswers) private readonly remittances: RemittanceAnswers,
    @Inject(DirectDepositAnswers) private readonly directDeposits: DirectDepositAnswers,
    @Inject(CollectionAnswers) private readonly collections: CollectionAnswers,
    @Inject(GarnishmentAnswers) private readonly garnishments: GarnishmentAnswers,
    @Inject(FilingAnswers) private readonly filings: FilingAnswers,
  ) {}

  onModuleInit(): void {
    this.queue.register(
      () =>
        this.database.runWithoutFirm(async (manager) =>
          ((await manager.query('SELECT id, firm_id FROM outbox_due()')) as { id: string; firm_id: string }[]).map(
            (row) => ({ firmId: row.firm_id, outboxId: row.id }),
          ),
        ),
      (job) => this.attend(job),
    );
  }

  /** One look at one row: send it if it waits, ask after it if it is sent. Seconds until the next look, or null. */
  async attend(job: AttendTask): Promise<number | null> {
    const actor: Actor = { firmId: job.firmId, userId: null, role: 'system' };
    try {
      return await this.database.run(actor, async (manager) => {
        // Two workers never hold the same row; the lock lasts as long as the call, which has a time limit.
        const rows = (await manager.query(
          `SELECT * FROM outbox WHERE id = $1 AND status <> 'answered' FOR UPDATE SKIP LOCKED`,
          [job.outboxId],
        )) as OutboxRow[];
        const row = rows[0];
        if (!row) return null;
        return row.status === 'waiting' ? this.send(manager, row) : this.ask(manager, actor, row);
      });
    } catch (error) {
      // Only the kind of failure is kept: an answer may quote what was sent.
      const reason =
        error instanceof Error
          ? error.name === 'TimeoutError'
            ? 'no answer in time'
            : error.name === 'TypeError'
              ? 'the receiver cannot be reached'
              : error.message.slice(0, 120)
          : 'unknown';
      this.logger.warn(`outbox ${job.outboxId}: ${reason}`);
      return this.database.run(actor, async (manager) => {
        const [rows] = (await manager.query(
          `UPDATE outbox SET attempts = attempts + 1, last_error = $2, next_at = now() + least(${LONGEST_WAIT}, power(2, least(attempts, 6))) * interval '1 second' WHERE id = $1 AND status <> 'answered' RETURNING attempts`,
          [job.outboxId, reason],
        )) as [{ attempts: number }[], number];
        return rows[0] ? Math.min(LONGEST_WAIT, 2 ** Math.min(rows[0].attempts, 6)) : null;
      });
    }
  }

  /** Where each receiver takes what is sent to it: a new one is a line here and its address in the configuration. */
  private target(receiver: Receiver): string {
    const targets: Readonly<Record<Receiver, string>> = {
      bank: `${this.config.bankUrl}/files`,
      debits: `${this.config.debitsUrl}/submissions`,
      irs: `${this.config.returnsUrl}/submissions`,
      ssa: `${this.config.wagesUrl}/submissions`,
      states: `${this.config.statesUrl}/submissions`,
    };
    return targets[receiver];
  }

  private async send(manager: EntityManager, row: OutboxRow): Promise<number> {
    const document = await this.documents.load(manager, row.document_id);
    const response = await fetch(this.target(row.receiver), {
      method: 'POST',
      body: new Uint8Array(document.content),
      headers: {
        'Content-Type': document.mediaType,
        'Idempotency-Key': row.idempotency_key,
        'X-File-Name': document.name,
      },
      signal: AbortSignal.timeout(TIMEOUT),
    });
    if (response.status !== 202) throw new Error(`the receiver answered ${response.status}`);
    const { reference } = (await response.json()) as { reference: string };
    await manager.query(
      `UPDATE outbox SET status = 'sent', agency_reference = $2, attempts = 0, last_error = NULL, next_at = now() + interval '1 second' WHERE id = $1`,
      [row.id, reference],
    );
    return 1;
  }

  private async ask(manager: EntityManager, actor: Actor, row: OutboxRow): Promise<number | null> {
    const response = await fetch(`${this.target(row.receiver)}/${encodeURIComponent(row.agency_reference ?? '')}`, {
      signal: AbortSignal.timeout(TIMEOUT),
    });
    if (!response.ok) throw new Error(`the receiver answered ${response.status}`);
    const answer = (await response.json()) as BankAnswer & AgencyAnswer;
    if (row.kind === 'ach-file' || row.kind === 'debit-file')
      await this.remittances.apply(manager, actor, row.subject_id, answer);
    else if (row.kind === 'pay-file') await this.directDeposits.apply(manager, actor, row.subject_id, answer);
    else if (row.kind === 'collection-file') await this.collections.apply(manager, actor, row.subject_id, answer);
    else if (row.kind === 'garnishment-file') await this.garnishments.apply(manager, actor, row.subject_id, answer);
    else await this.filings.apply(manager, actor, row.subject_id, row.agency_reference ?? '', answer);
    if (answer.isFinal) {
      await manager.query(`UPDATE outbox SET status = 'answered' WHERE id = $1`, [row.id]);
      return null;
    }
    const wait = Math.min(LONGEST_WAIT, 2 ** Math.min(row.attempts, 6));
    await manager.query(
      `UPDATE outbox SET attempts = attempts + 1, last_error = NULL, next_at = now() + $2 * interval '1 second' WHERE id = $1`,
      [row.id, wait],
    );
    return wait;
  }
}
