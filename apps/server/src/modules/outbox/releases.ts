import { Inject, Injectable } from '@nestjs/common';
import type { ReleaseSlip } from '@zakat/contract/remittances';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Refusal } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import type { Machine } from '../../state-machines/machine.js';
import { Documents } from '../documents/index.js';
import { Outbox, type OutboxKind, type Receiver } from './outbox.js';

/** What goes out, and the subject whose release it is. */
export interface Leaving {
  readonly id: string;
  readonly version: number;
  readonly clientId: string;
  readonly kind: OutboxKind;
  readonly receiver: Receiver;
  /** What the stored file is. */
  readonly documentKind: string;
  readonly attempt: number;
  readonly name: string;
  readonly mediaType: string;
  readonly content: Buffer;
  /** Columns that the release sets besides who released it and the document. */
  readonly set?: Readonly<Record<string, unknown>>;
  readonly detail: Readonly<Record<string, unknown>>;
}

/** Releases once: the stored file, the state and the outbox row in the caller's transaction; the sending is a job's. */
@Injectable()
export class Releases {
  constructor(
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Outbox) private readonly outbox: Outbox,
  ) {}

  /** Answers with the id of the stored document. */
  async release<S extends string>(
    manager: EntityManager,
    actor: Actor,
    machine: Machine<S>,
    leaving: Leaving,
  ): Promise<string> {
    const { id, version, clientId, kind, receiver, documentKind, attempt, name, mediaType, content, set, detail } =
      leaving;
    const documentId = await this.documents.store(manager, actor, clientId, documentKind, name, mediaType, content);
    await this.executor.apply(manager, actor, machine, {
      id,
      act: 'release',
      version,
      set: { released_by: actor.userId, document_id: documentId, ...set },
      detail,
    });
    await this.outbox.put(manager, actor, { kind, receiver }, id, attempt, documentId);
    return documentId;
  }
}

/** Refuses in the words of the checks that do not hold. */
export function refuseFailed(slip: ReleaseSlip): void {
  const failed = slip.checks.filter((check) => !check.isPassed);
  if (failed.length > 0) throw new Refusal(422, 'slip', failed.map((check) => check.says).join(' '));
}
