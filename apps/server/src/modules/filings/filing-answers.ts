import { Inject, Injectable } from '@nestjs/common';
import { parseDate, showDate } from '@zakat/core/calendar/local-date';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { FilingPostings } from './filing-postings.js';

/** What an agency says of a submission. */
export interface AgencyAnswer {
  readonly state: 'received' | 'accepted' | 'rejected' | 'settled' | 'returned';
  readonly code: string | null;
  readonly message: string | null;
  /** The agency's own name of the field it refuses, for example `RW 2 Social Security Number (SSN)`. */
  readonly field?: string | null;
  /** Of what is accepted: the last day on which it may still be returned. Left out: it is final. */
  readonly refusableUntil?: string | null;
  readonly isFinal: boolean;
}

@Injectable()
export class FilingAnswers {
  constructor(
    @Inject(Executor) private readonly executor: Executor,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingPostings) private readonly postings: FilingPostings,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async apply(
    manager: EntityManager,
    actor: Actor,
    filingId: string,
    reference: string,
    answer: AgencyAnswer,
  ): Promise<void> {
    await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [filingId]);
    const loaded = await this.contents.load(manager, filingId);
    const { status } = loaded.filing;
    const isOpen = status === 'released' || status === 'received';
    if (answer.state === 'received' && status === 'released') await this.received(manager, actor, loaded, reference);
    if (answer.state === 'accepted' && isOpen) await this.accepted(manager, actor, loaded, reference, answer);
    if (answer.state === 'rejected' && isOpen) await this.rejected(manager, actor, loaded, reference, answer, 'reject');
    if (answer.state === 'rejected' && status === 'accepted' && loaded.filing.refusableUntil !== null)
      await this.returned(manager, actor, loaded, reference, answer);
  }

  private async received(manager: EntityManager, actor: Actor, loaded: Loaded, reference: string): Promise<void> {
    await this.executor.apply(manager, actor, FILING_MACHINE, {
      id: loaded.filing.id,
      act: 'receive',
      version: null,
      set: { submission_id: reference },
    });
    await this.note(manager, actor, loaded, 'received', reference, 'Taken in; not yet accepted.', null);
  }

  private async accepted(
    manager: EntityManager,
    actor: Actor,
    loaded: Loaded,
    reference: string,
    answer: AgencyAnswer,
  ): Promise<void> {
    await this.executor.apply(manager, actor, FILING_MACHINE, {
      id: loaded.filing.id,
      act: 'accept',
      version: null,
      set: { submission_id: reference, refusable_until: answer.refusableUntil ?? null },
      detail: { reference },
    });
    await this.postings.accept(manager, actor, loaded);
    const until = parseDate(answer.refusableUntil ?? '');
    const still = until === null ? '' : ` The agency may still return it until ${showDate(until)}.`;
    await this.note(manager, actor, loaded, 'accepted', reference, `${answer.message ?? 'Accepted.'}${still}`, null);
  }

  /** Accepted, and sent back all the same: what the acceptance posted is taken back, and it opens at its field as ever. */
  private async returned(
    manager: EntityManager,
    actor: Actor,
    loaded: Loaded,
    reference: string,
    answer: AgencyAnswer,
  ): Promise<void> {
    await this.postings.takeBack(manager, actor, loaded);
    await this.rejected(manager, actor, loaded, reference, answer, 'return');
  }

  private async rejected(
    manager: EntityManager,
    actor: Actor,
    loaded: Loaded,
    reference: string,
    answer: AgencyAnswer,
    act: 'reject' | 'return',
  ): Promise<void> {
    const { filing, kind } = loaded;
    const field = answer.field ? kind.fieldOf(answer.field, await this.contents.shown(manager, loaded)) : null;
    await this.executor.apply(manager, actor, FILING_MACHINE, {
      id: filing.id,
      act,
      version: null,
      set: { submission_id: reference, refusable_until: null },
      detail: { code: answer.code },
    });
    await this.note(manager, actor, loaded, 'rejected', answer.code, answer.message ?? 'Rejected.', field);
    if (kind.identifies)
      await this.note(
        manager,
        actor,
        loaded,
        'file-identifier',
        kind.identifies.of(reference),
        `${kind.identifies.label} of the rejected file.`,
        null,
      );
  }

  private async note(
    manager: EntityManager,
    actor: Actor,
    { filing }: Loaded,
    stage: string,
    code: string | null,
    message: string,
    field: string | null,
  ): Promise<void> {
    await manager.query(
      'INSERT INTO filing_event (firm_id, filing_id, at, stage, code, message, field, attempt) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)',
      [actor.firmId, filing.id, await this.clock.now(manager), stage, code, message, field, filing.attempt],
    );
  }
}
