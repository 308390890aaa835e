import { Inject, Injectable } from '@nestjs/common';
import type { TransmissionRow, Verdict } from '@zakat/contract/transmissions';
import { controlTotalsOf, writeTransmission, type Submission } from '@zakat/core/formats/mef/transmission';
import { FILING_KINDS, kindOf } from '@zakat/core/filings/registry';
import { randomUUID } from 'node:crypto';
import { In, type EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { conflict, notFound } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import { Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { Documents, type StoredDocument } from '../documents/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import type { OutboxRow } from '../outbox/index.js';
import { FilingContent } from './filing-content.js';
import { firmOf } from './signing.service.js';

/** A transmission as it is kept. */
export interface Transmission {
  readonly id: string;
  readonly receiver: string;
  readonly document_id: string;
  readonly returns: number;
  readonly reference: string | null;
}
/** More do not leave in one file. */
const MOST_TOGETHER = 100;
const MOST_SHOWN = 50;

/** How the receiver is told which return is meant: by the filing and its attempt, as the key of its sending has them. */
export const submissionIdOf = ({ idempotency_key: key }: Pick<OutboxRow, 'idempotency_key'>): string =>
  key.replace(/^filing:(.+):(\d+)$/, '$1-$2');

/** Several returns to the IRS in one file, with control totals and the file of acknowledgements that answers it. */
@Injectable()
export class Transmissions {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /**
   * Puts what waits for the receiver into one file, and answers whether it did: a single return goes by itself, and so does
   * one that may have reached the receiver already. The file is stored before anything leaves; whoever sends it, and however
   * often, sends this one.
   */
  async gather(manager: EntityManager, actor: Actor, receiver: string): Promise<boolean> {
    const rows = (await manager.query(
      `SELECT * FROM outbox WHERE receiver = $1 AND kind = 'filing' AND status = 'waiting' AND transmission_id IS NULL AND attempts = 0 AND next_at <= now()
       ORDER BY created_at, id LIMIT ${MOST_TOGETHER} FOR UPDATE`,
      [receiver],
    )) as OutboxRow[];
    if (rows.length < 2) return false;
    const id = randomUUID();
    const submissions: Submission[] = [];
    for (const row of rows) submissions.push(await this.submissionOf(manager, row));
    const content = writeTransmission(
      { id, efin: (await firmOf(manager))?.efin ?? '', created: await this.clock.today(manager) },
      submissions,
    );
    const { count, amount } = controlTotalsOf(submissions);
    const [{ number } = { number: 1 }] = (await manager.query(
      'SELECT coalesce(max(number), 0) + 1 AS number FROM transmission',
    )) as { number: number }[];
    const name = `transmission-${number}.xml`;
    const kept = await this.documents.store(
      manager,
      actor,
      null,
      'transmission',
      name,
      'application/xml',
      Buffer.from(content, 'utf8'),
    );
    await manager.query(
      'INSERT INTO transmission (id, firm_id, number, receiver, document_id, returns, amount, made_at) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)',
      [id, actor.firmId, number, receiver, kept, count, amount, await this.clock.now(manager)],
    );
    await manager.query('UPDATE outbox SET transmission_id = $1 WHERE id = ANY($2)', [id, rows.map((row) => row.id)]);
    await this.audit.record(manager, actor, 'transmission.make', 'transmission', id, { number, returns: count });
    return true;
  }

  private async submissionOf(manager: EntityManager, row: OutboxRow): Promise<Submission> {
    const { filing, client, kind, period } = await this.contents.load(manager, row.subject_id);
    const content = (await this.documents.load(manager, row.document_id)).content.toString('utf8');
    const snapshot = kind.read(filing.snapshot, filing.snapshotVersion ?? kind.snapshotVersion);
    return {
      id: submissionIdOf(row),
      returnType: /<ReturnTypeCd>([^<]+)</.exec(content)?.[1] ?? '',
      periodEnd: period.end,
      ein: client.ein,
      amount: (kind.reported ?? kind.amount)(snapshot),
      content,
    };
  }

  /** The transmission of a row, held while it is sent or asked after; null: somebody else does just then. */
  async hold(manager: EntityManager, id: string): Promise<Transmission | null> {
    const rows = (await manager.query('SELECT * FROM transmission WHERE id = $1 FOR UPDATE SKIP LOCKED', [
      id,
    ])) as Transmission[];
    return rows[0] ?? null;
  }

  /** It is in the receiver's hands: each return has the receiver's name of it. */
  async sent(
    manager: EntityManager,
    { id, returns }: Transmission,
    reference: string,
    taken: readonly { readonly id: string; readonly reference: string }[],
  ): Promise<void> {
    const rows = (await manager.query('SELECT * FROM outbox WHERE transmission_id = $1', [id])) as OutboxRow[];
    const references = new Map(taken.map((one) => [one.id, one.reference]));
    if (taken.length !== returns || rows.some((row) => !references.has(submissionIdOf(row))))
      throw new Error('the receiver counts other returns than were sent');
    for (const row of rows)
      await manager.query(
        `UPDATE outbox SET status = 'sent', agency_reference = $2, attempts = 0, last_error = NULL, next_at = now() + interval '1 second' WHERE id = $1 AND status = 'waiting'`,
        [row.id, references.get(submissionIdOf(row))],
      );
    await manager.query('UPDATE transmission SET sent_at = $2, reference = $3 WHERE id = $1', [
      id,
      await this.clock.now(manager),
      reference,
    ]);
  }

  /** The receiver took none of it: each of its returns goes by itself, so that one at fault holds up no other. */
  async refused(manager: EntityManager, id: string, because: string): Promise<void> {
    await manager.query('UPDATE transmission SET refused_because = $2 WHERE id = $1', [id, because]);
    await manager.query(
      'UPDATE outbox SET transmission_id = NULL, attempts = attempts + 1, last_error = $2, next_at = now() WHERE transmission_id = $1',
      [id, because],
    );
  }

  /** Keeps the file of acknowledgements once it answers every return. */
  async acknowledged(manager: EntityManager, actor: Actor, id: string, file: string, answered: number): Promise<void> {
    const [held] = (await manager.query(
      'SELECT number, returns FROM transmission WHERE id = $1 AND acknowledged_at IS NULL FOR UPDATE',
      [id],
    )) as { number: number; returns: number }[];
    if (!held || answered < held.returns) return;
    const name = `transmission-${held.number}-acknowledgements.xml`;
    const kept = await this.documents.store(
      manager,
      actor,
      null,
      'acknowledgements',
      name,
      'application/xml',
      Buffer.from(file, 'utf8'),
    );
    await manager.query('UPDATE transmission SET acknowledgement_id = $2, acknowledged_at = $3 WHERE id = $1', [
      id,
      kept,
      await this.clock.now(manager),
    ]);
  }

  /** The latest, each with its returns and what became of them. */
  list(actor: Actor): Promise<TransmissionRow[]> {
    return this.database.run(actor, async (manager) => {
      const rows = (await manager.query(
        `SELECT id, number, receiver, refused_because, made_at, sent_at, reference, returns, amount::text, acknowledged_at IS NOT NULL AS acknowledged
         FROM transmission ORDER BY number DESC LIMIT ${MOST_SHOWN}`,
      )) as Kept[];
      const sendings = (await manager.query(
        `SELECT o.transmission_id AS id, o.subject_id AS filing, o.status, o.last_error,
           (SELECT e.stage FROM filing_event e WHERE e.filing_id = o.subject_id AND e.attempt = split_part(o.idempotency_key, ':', 3)::int AND e.stage IN ('accepted','rejected') ORDER BY e.id DESC LIMIT 1) AS stage
         FROM outbox o WHERE o.transmission_id = ANY($1) ORDER BY o.created_at, o.id`,
        [rows.map(({ id }) => id)],
      )) as SendingOf[];
      const filings = await manager.find(Filing, { where: { id: In(sendings.map(({ filing }) => filing)) } });
      const clients = await manager.find(Client, { where: { id: In(filings.map(({ clientId }) => clientId)) } });
      const filingOf = new Map(filings.map((filing) => [filing.id, filing]));
      const nameOf = new Map(clients.map(({ id, legalName }) => [id, legalName]));
      return rows.map((row) => {
        const own = sendings.filter(({ id }) => id === row.id);
        const returns = own.flatMap((sending) => {
          const filing = filingOf.get(sending.filing);
          if (!filing) return [];
          return {
            filingId: filing.id,
            title: titleOf(kindOf(filing.kind), periodOf(filing)),
            clientName: nameOf.get(filing.clientId) ?? '',
            verdict: verdictOf(sending),
          };
        });
        const count = (verdict: Verdict): number => returns.filter((one) => one.verdict === verdict).length;
        return {
          id: row.id,
          number: row.number,
          receiver: FILING_KINDS.find(({ receiver }) => receiver === row.receiver)?.agency.name ?? row.receiver,
          refused: row.refused_because,
          madeAt: row.made_at.toISOString(),
          sentAt: row.sent_at?.toISOString() ?? null,
          delayed: row.sent_at ? null : (own.find(({ last_error }) => last_error !== null)?.last_error ?? null),
          reference: row.reference,
          count: row.returns,
          amount: Number(row.amount),
          accepted: count('accepted'),
          rejected: count('rejected'),
          isAcknowledged: row.acknowledged,
          returns,
        };
      });
    });
  }

  /** The file as it left, or the acknowledgements as they came. */
  file(actor: Actor, id: string, which: 'document_id' | 'acknowledgement_id'): Promise<StoredDocument> {
    return this.database.run(actor, async (manager) => {
      const [row] = (await manager.query(`SELECT ${which} AS document FROM transmission WHERE id = $1`, [id])) as {
        document: string | null;
      }[];
      if (!row) throw notFound('transmission');
      if (row.document === null)
        throw conflict('Not every return of it is answered yet. The file is kept once all of them are.');
      await this.audit.record(manager, actor, 'transmission.open-file', 'transmission', id);
      return this.documents.load(manager, row.document);
    });
  }
}

interface Kept {
  readonly id: string;
  readonly number: number;
  readonly receiver: string;
  readonly refused_because: string | null;
  readonly made_at: Date;
  readonly sent_at: Date | null;
  readonly reference: string | null;
  readonly returns: number;
  readonly amount: string;
  readonly acknowledged: boolean;
}
interface SendingOf {
  readonly id: string;
  readonly filing: string;
  readonly status: OutboxRow['status'];
  readonly last_error: string | null;
  readonly stage: 'accepted' | 'rejected' | null;
}
const verdictOf = ({ status, stage }: SendingOf): Verdict => stage ?? (status === 'waiting' ? 'waiting' : 'received');
