import { Inject, Injectable, Logger, type OnModuleInit } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { CONFIG, type Config } from '../config/config.js';
import { FirmDatabase, type Actor } from '../database/firm-database.js';
import { Documents } from '../modules/documents/index.js';
import { readAcknowledgements } from '@zakat/core/formats/mef/transmission';
import { type AgencyAnswer, FilingAnswers, submissionIdOf, Transmissions } from '../modules/filings/index.js';
import { CollectionAnswers } from '../modules/collections/index.js';
import { GarnishmentAnswers } from '../modules/garnishment-payments/index.js';
import { DirectDepositAnswers } from '../modules/direct-deposits/index.js';
import type { OutboxRow, Receiver } from '../modules/outbox/index.js';
import { type BankAnswer, RemittanceAnswers } from '../modules/remittances/index.js';
import { WorkQueue, type AttendTask } from './work-queue.js';

const TIMEOUT = 10_000;
const LONGEST_WAIT = 60;
const RARELY = 3600;
const TAKEN_IN: AgencyAnswer = { state: 'received', code: null, message: null, isFinal: false };
/** Receivers that take several returns in one file. */
const TOGETHER: ReadonlySet<Receiver> = new Set(['irs']);

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
    @Inject(Transmissions) private readonly transmissions: Transmissions,
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
        if (row.transmission_id !== null)
          return row.status === 'waiting'
            ? this.transmit(manager, row, row.transmission_id)
            : this.askAfterTransmission(manager, actor, row, row.transmission_id);
        if (row.status !== 'waiting') return this.ask(manager, actor, row);
        if (row.kind === 'filing' && TOGETHER.has(row.receiver)) {
          if (!(await this.mayGather(manager, actor, row.receiver))) return 1;
          if (row.attempts === 0 && (await this.transmissions.gather(manager, actor, row.receiver))) return 0;
        }
        return this.send(manager, row);
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
          `UPDATE outbox SET attempts = attempts + 1, last_error = $2, next_at = now() + least(${LONGEST_WAIT}, power(2, least(attempts, 6))) * interval '1 second'
           WHERE status <> 'answered' AND (id = $1 OR (status = 'waiting' AND transmission_id = (SELECT transmission_id FROM outbox WHERE id = $1)))
           RETURNING attempts`,
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

  /** A stored file to a receiver, under the key by which it knows it again. */
  private async put(manager: EntityManager, to: string, documentId: string, key: string): Promise<Response> {
    const { content, mediaType, name } = await this.documents.load(manager, documentId);
    return fetch(to, {
      method: 'POST',
      body: new Uint8Array(content),
      headers: { 'Content-Type': mediaType, 'Idempotency-Key': key, 'X-File-Name': name },
      signal: AbortSignal.timeout(TIMEOUT),
    });
  }

  private async send(manager: EntityManager, row: OutboxRow): Promise<number> {
    const response = await this.put(manager, this.target(row.receiver), row.document_id, row.idempotency_key);
    if (response.status !== 202) throw new Error(`the receiver answered ${response.status}`);
    const { reference } = (await response.json()) as { reference: string };
    await manager.query(
      `UPDATE outbox SET status = 'sent', agency_reference = $2, attempts = 0, last_error = NULL, next_at = now() + interval '1 second' WHERE id = $1`,
      [row.id, reference],
    );
    return 1;
  }

  /** One at a time gathers what waits for a receiver, or sends what waits alone; who comes second looks again later. */
  private async mayGather(manager: EntityManager, actor: Actor, receiver: Receiver): Promise<boolean> {
    const [{ locked } = { locked: false }] = (await manager.query(
      'SELECT pg_try_advisory_xact_lock(hashtextextended($1, 0)) AS locked',
      [`transmission ${actor.firmId} ${receiver}`],
    )) as { locked: boolean }[];
    return locked;
  }

  /** Sends the whole file that a row is in, under its own key: however often it is sent, the receiver takes it once. */
  private async transmit(manager: EntityManager, row: OutboxRow, id: string): Promise<number> {
    const transmission = await this.transmissions.hold(manager, id);
    if (!transmission || transmission.reference !== null) return 1;
    const to = `${this.config.returnsUrl}/transmissions`;
    const response = await this.put(manager, to, transmission.document_id, `transmission:${id}`);
    if (response.status === 422) {
      const { error } = (await response.json()) as { error?: string };
      await this.transmissions.refused(manager, id, `Refused as a whole: ${error ?? 'no reason given.'}`.slice(0, 200));
      return 0;
    }
    if (response.status !== 202) throw new Error(`the receiver answered ${response.status}`);
    const { reference, submissions } = (await response.json()) as {
      reference: string;
      submissions: { id: string; reference: string }[];
    };
    await this.transmissions.sent(manager, transmission, reference, submissions);
    return 1;
  }

  /** What the file of acknowledgements says of one return; each is judged by itself. */
  private async askAfterTransmission(
    manager: EntityManager,
    actor: Actor,
    row: OutboxRow,
    id: string,
  ): Promise<number | null> {
    const [sent] = (await manager.query('SELECT reference FROM transmission WHERE id = $1', [id])) as {
      reference: string;
    }[];
    const response = await fetch(
      `${this.config.returnsUrl}/transmissions/${encodeURIComponent(sent?.reference ?? '')}/acknowledgements`,
      { signal: AbortSignal.timeout(TIMEOUT) },
    );
    if (!response.ok) throw new Error(`the receiver answered ${response.status}`);
    const file = await response.text();
    const found = readAcknowledgements(file);
    const own = found.find(({ submissionId }) => submissionId === submissionIdOf(row));
    const answer: AgencyAnswer = {
      state: own ? (own.isAccepted ? 'accepted' : 'rejected') : 'received',
      code: own?.code ?? null,
      message: own?.message ?? null,
      field: own?.field ?? null,
      isFinal: own !== undefined,
    };
    const reference = row.agency_reference ?? '';
    // A verdict may come with the first look: that it was taken in is noted all the same.
    if (own) await this.filings.apply(manager, actor, row.subject_id, reference, TAKEN_IN);
    await this.filings.apply(manager, actor, row.subject_id, reference, answer);
    await this.transmissions.acknowledged(manager, actor, id, file, found.length);
    return this.lookAgain(manager, row, answer.isFinal);
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
    // What is accepted and may still be returned is asked after now and then.
    return this.lookAgain(manager, row, answer.isFinal, answer.refusableUntil ? RARELY : null);
  }

  private async lookAgain(
    manager: EntityManager,
    row: OutboxRow,
    isFinal: boolean,
    later: number | null = null,
  ): Promise<number | null> {
    if (isFinal) {
      await manager.query(`UPDATE outbox SET status = 'answered' WHERE id = $1`, [row.id]);
      return null;
    }
    const wait = later ?? Math.min(LONGEST_WAIT, 2 ** Math.min(row.attempts, 6));
    await manager.query(
      `UPDATE outbox SET attempts = attempts + 1, last_error = NULL, next_at = now() + $2 * interval '1 second' WHERE id = $1`,
      [row.id, wait],
    );
    return wait;
  }
}
