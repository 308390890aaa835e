import { Inject, Injectable } from '@nestjs/common';
import type { DoneOfMany } from '@zakat/contract/due-deposits';
import type { CorrectionDue } from '@zakat/contract/filings';
import { addMonths } from '@zakat/core/calendar/local-date';
import { changesOf } from '@zakat/core/filings/corrections/amended';
import { periodKey } from '@zakat/core/filings/period';
import { correctionFor } from '@zakat/core/filings/registry';
import { subtract } from '@zakat/core/money/cents';
import { MoreThanOrEqual, type EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { findClient } from '../clients/clients.service.js';
import type { Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { outcome } from '../outbox/many.js';
import { Filing } from './entities.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { FilingSource } from './filing-source.js';
import { FilingsService } from './filings.service.js';
import { titleOf } from './titles.js';

/** Longer ago nothing can be put right any more: the period of limitations, with the months until it begins. */
const MONTHS_BACK = 52;

/** What was accepted and is no longer what the records say: each with the form that puts it right, begun together. */
@Injectable()
export class CorrectionsService {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(FilingSource) private readonly source: FilingSource,
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
      for (const filing of accepted) {
        const row = await this.of(manager, client, await this.contents.load(manager, filing.id));
        if (row) rows.push(row);
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
    { filing, kind, period }: Loaded,
  ): Promise<CorrectionDue | null> {
    const by = kind.corrects === undefined ? correctionFor(kind.code) : null;
    if (!by) return null;
    const original = await this.source.original(manager, client, by, period, Number.MAX_SAFE_INTEGER);
    const input = { ...(await this.source.input(manager, client, kind, period, filing)), original };
    const now = kind.compute(input);
    const content = by.compute(input);
    const differs = kind.statements
      ? by.tables(content).reduce((total, { rows }) => total + rows.length, 0)
      : changesOf(kind, original, now).length;
    const open = await manager.findOne(Filing, {
      where: { clientId: client.id, kind: by.code, periodStart: filing.periodStart },
      order: { sequence: 'DESC' },
    });
    const isOpen = open !== null && open.status !== 'accepted';
    if (differs === 0 && !isOpen) return null;
    return {
      filingId: filing.id,
      title: titleOf(kind, period),
      kind: by.code,
      name: by.name,
      period: periodKey(period),
      differs,
      change: subtract(kind.amount(now), kind.amount(original)),
      due: isOpen ? open.due : (by.dueFor?.(content) ?? null),
      openId: isOpen ? open.id : null,
      openStatus: isOpen ? open.status : null,
    };
  }
}
