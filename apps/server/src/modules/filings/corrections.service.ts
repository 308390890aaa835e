import { Inject, Injectable } from '@nestjs/common';
import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type { CorrectionDue } from '@zakat/contract/filings';
import { addMonths } from '@zakat/core/calendar/local-date';
import { periodKey, type FilingPeriod } from '@zakat/core/filings/period';
import type { FilingKind } from '@zakat/core/filings/kind';
import { kindOf } from '@zakat/core/filings/registry';
import { MoreThanOrEqual, type EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { type Client, findClient } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { outcome } from '../outbox/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { FilingContent } from './filing-content.js';
import { FilingsService } from './filings.service.js';

/** Longer ago nothing can be put right any more: the period of limitations, with the months until it begins. */
const MONTHS_BACK = 52;

/** An accepted filing, or one that a former provider filed. */
interface Asked {
  readonly filing: Filing | null;
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
}

/** What was accepted and is no longer what the records say: each with the form that puts it right, begun together. */
@Injectable()
export class CorrectionsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingsService) private readonly filings: FilingsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(actor: Actor, clientId: string): Promise<CorrectionDue[]> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const from = addMonths(await this.clock.today(manager), -MONTHS_BACK);
      const accepted = await manager.find(Filing, {
        where: { clientId, status: 'accepted', periodEnd: MoreThanOrEqual(from) },
        order: { periodStart: 'ASC', kind: 'ASC' },
      });
      const rows: CorrectionDue[] = [];
      const put = async (asked: Asked): Promise<void> => {
        const row = await this.of(manager, client, asked);
        if (row) rows.push(row);
      };
      for (const filing of accepted) await put({ filing, kind: kindOf(filing.kind), period: periodOf(filing) });
      for (const { kind: code, period } of await filedElsewhere(manager, clientId)) {
        const kind = kindOf(code);
        if (kind.filedElsewhere && period.end >= from) await put({ filing: null, kind, period });
      }
      return rows;
    });
  }

  /** Begins the correction of each that differs and has none under way; one that is refused stops none of the others. */
  async begin(actor: Actor, clientId: string): Promise<DoneOfMany[]> {
    const rows = (await this.view(actor, clientId)).filter(({ differs, openId }) => differs > 0 && openId === null);
    const answers: DoneOfMany[] = [];
    for (const { kind, name, period, title } of rows)
      answers.push(
        await outcome(`${kind} ${period}`, `${name} of ${title}`, () =>
          this.filings.create(actor, clientId, { kind, period }),
        ),
      );
    return answers;
  }

  private async of(
    manager: EntityManager,
    client: Client,
    { filing, kind, period }: Asked,
  ): Promise<CorrectionDue | null> {
    const found = await this.contents.compared(manager, client, kind, period, filing ?? { entered: {}, answers: {} });
    if (!found) return null;
    const { by, content, differs, change } = found;
    const open = await manager.findOne(Filing, {
      where: { clientId: client.id, kind: by.code, periodStart: period.start },
      order: { sequence: 'DESC' },
    });
    const isOpen = open !== null && open.status !== 'accepted';
    if (differs === 0 && !isOpen) return null;
    return {
      filingId: filing?.id ?? null,
      title: titleOf(kind, period),
      kind: by.code,
      name: by.name,
      period: periodKey(period),
      differs,
      change,
      due: isOpen ? open.due : (by.dueFor?.(content) ?? null),
      openId: isOpen ? open.id : null,
      openStatus: isOpen ? open.status : null,
    };
  }
}
