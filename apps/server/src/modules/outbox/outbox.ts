import { Injectable } from '@nestjs/common';
import type { ReceiverCode } from '@zakat/core/filings/kind';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';

/** Whose business it is here; who takes it is its receiver. */
export type OutboxKind = 'ach-file' | 'debit-file' | 'pay-file' | 'collection-file' | 'garnishment-file' | 'filing';
export type Receiver = 'bank' | 'debits' | ReceiverCode;

export interface OutboxRow {
  readonly id: string;
  readonly kind: OutboxKind;
  readonly receiver: Receiver;
  readonly subject_id: string;
  readonly idempotency_key: string;
  readonly document_id: string;
  readonly status: 'waiting' | 'sent' | 'answered';
  readonly attempts: number;
  readonly agency_reference: string | null;
  readonly last_error: string | null;
  /** The file of several returns that it leaves in; null: by itself. */
  readonly transmission_id: string | null;
}

const HELD_MINUTES = 5;
/** What leaves the house: written in the transaction that decided it, sent by a job afterwards. */
@Injectable()
export class Outbox {
  /** The key names the act itself, so that the same act can never be queued twice. */
  async put(
    manager: EntityManager,
    actor: Actor,
    { kind, receiver }: { readonly kind: OutboxKind; readonly receiver: Receiver },
    subjectId: string,
    attempt: number,
    documentId: string,
  ): Promise<void> {
    await manager.query(
      'INSERT INTO outbox (id, firm_id, kind, receiver, subject_id, idempotency_key, document_id) VALUES ($1,$2,$3,$4,$5,$6,$7)',
      [randomUUID(), actor.firmId, kind, receiver, subjectId, `${kind}:${subjectId}:${attempt}`, documentId],
    );
  }

  /**
   * What was put out stays until the others that go with it are there too, or for some minutes: it leaves then all the same,
   * should whoever puts them out be gone.
   */
  async holdBack(manager: EntityManager, subjectId: string): Promise<void> {
    await manager.query(
      `UPDATE outbox SET next_at = now() + interval '${HELD_MINUTES} minutes' WHERE subject_id = $1 AND status = 'waiting'`,
      [subjectId],
    );
  }

  /** What was held back may leave now, all of it at one moment. */
  async letGo(manager: EntityManager, subjectIds: readonly string[]): Promise<void> {
    await manager.query(`UPDATE outbox SET next_at = now() WHERE subject_id = ANY($1) AND status = 'waiting'`, [
      subjectIds,
    ]);
  }

  /** How the sending stands, in words; null when nothing was put out. */
  async standing(manager: EntityManager, subjectId: string): Promise<string | null> {
    const rows = (await manager.query(
      `SELECT o.status, o.attempts, o.last_error, o.agency_reference, t.number, t.returns
       FROM outbox o LEFT JOIN transmission t ON t.id = o.transmission_id WHERE o.subject_id = $1 ORDER BY o.created_at DESC LIMIT 1`,
      [subjectId],
    )) as (OutboxRow & { number: number | null; returns: number | null })[];
    const row = rows[0];
    if (!row) return null;
    const others = (row.returns ?? 0) - 1;
    const together =
      row.number === null
        ? ''
        : ` in transmission ${row.number}, with ${others} other ${others === 1 ? 'return' : 'returns'}`;
    if (row.status === 'waiting')
      return row.last_error === null
        ? `Waiting to be sent${together}.`
        : `Not sent yet${together}: ${row.last_error}. It is tried again by itself (${row.attempts} tries so far).`;
    return `Sent once${together}; the receiver's reference is ${row.agency_reference ?? ''}.`;
  }
}
