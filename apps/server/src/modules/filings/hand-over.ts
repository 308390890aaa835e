import { Inject, Injectable } from '@nestjs/common';
import type { FilingView, HandedOver } from '@zakat/contract/filings';
import { showDate } from '@zakat/core/calendar/local-date';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { FILING_MACHINE } from '../../state-machines/machine.js';
import { Clock } from '../clock/index.js';
import { refuseFailed } from '../outbox/index.js';
import { FilingPapers } from './filing-papers.service.js';
import { FilingPostings } from './filing-postings.js';
import { FilingSlip } from './filing-slip.js';
import { FilingViews } from './filing-view.js';

/** Pages of somebody else's return: made and checked here, filed there, and recorded when they were. */
@Injectable()
export class HandOver {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingSlip) private readonly slips: FilingSlip,
    @Inject(FilingPapers) private readonly papers: FilingPapers,
    @Inject(FilingPostings) private readonly postings: FilingPostings,
    @Inject(FilingViews) private readonly views: FilingViews,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** What was checked stands as filed, with its page; what it owes beside the ledger is posted. Once. */
  record(actor: Actor, id: string, { version, on }: HandedOver): Promise<FilingView> {
    const day = dayFrom(on, 'on');
    return this.database.run(actor, async (manager) => {
      await manager.query('SELECT id FROM filing WHERE id = $1 FOR UPDATE', [id]);
      const rehearsed = await this.slips.rehearse(manager, actor, id);
      const { filing, kind, period, content, slip } = rehearsed;
      if (kind.handedTo === undefined) throw conflict(`${kind.name} is sent from here: release it.`);
      if (day > (await this.clock.today(manager)) || day <= period.end)
        throw refuseField(
          'on',
          `It cannot have been filed on ${showDate(day)}.`,
          `Give a day after ${showDate(period.end)} that has been.`,
        );
      if (filing.status === 'checked') refuseFailed(slip);
      await this.executor.apply(manager, actor, FILING_MACHINE, {
        id,
        act: 'hand-over',
        version,
        set: { released_by: actor.userId },
        detail: { kind: kind.code, filedOn: day },
      });
      await this.papers.keep(manager, actor, rehearsed, content);
      await this.postings.accept(manager, actor, rehearsed);
      await manager.query(
        'INSERT INTO filing_event (firm_id, filing_id, at, stage, code, message, field, attempt) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)',
        [
          actor.firmId,
          id,
          await this.clock.now(manager),
          'accepted',
          null,
          `Filed with ${kind.handedTo} on ${showDate(day)}.`,
          null,
          filing.attempt,
        ],
      );
      return this.views.of(manager, id);
    });
  }
}
