import { Inject, Injectable } from '@nestjs/common';
import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type { CorrectionDue } from '@zakat/contract/filings';
import { addMonths } from '@zakat/core/calendar/local-date';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { outcome } from '../outbox/index.js';
import { CorrectionsDue } from './corrections-due.js';
import { FilingDrafts } from './filing-drafts.service.js';

/** Longer ago nothing can be put right any more: the period of limitations, with the months until it begins. */
const MONTHS_BACK = 52;

/** What was accepted and is no longer what the records say: each with the form that puts it right, begun together. */
@Injectable()
export class CorrectionsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(CorrectionsDue) private readonly due: CorrectionsDue,
    @Inject(FilingDrafts) private readonly drafts: FilingDrafts,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, clientId: string): Promise<CorrectionDue[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      return this.due.of(manager, client, addMonths(await this.clock.today(manager), -MONTHS_BACK));
    });
  }

  /** Begins the correction of each that differs and has none under way; one that is refused stops none of the others. */
  async begin(actor: Actor, clientId: string): Promise<DoneOfMany[]> {
    const rows = (await this.view(actor, clientId)).filter(({ differs, openId }) => differs > 0 && openId === null);
    const answers: DoneOfMany[] = [];
    for (const { kind, name, period, title } of rows)
      answers.push(
        await outcome(`${kind} ${period}`, `${name} of ${title}`, () =>
          this.drafts.create(actor, clientId, { kind, period }),
        ),
      );
    return answers;
  }
}
