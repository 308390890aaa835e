import { Inject, Injectable } from '@nestjs/common';
import type { CorrectionDue } from '@zakat/contract/filings';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import type { FilingKind } from '@zakat/core/filings/kind';
import { periodKey, type FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { MoreThanOrEqual, type EntityManager } from 'typeorm';
import type { Client } from '../clients/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing, periodOf, titleOf } from '../filing-records/index.js';
import { FilingContent } from './filing-content.js';

/** An accepted filing, or one that a former provider filed. */
interface Asked {
  readonly filing: Filing | null;
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
}

/** Which of a client's filings stand at an agency and are no longer what the records say. */
@Injectable()
export class CorrectionsDue {
  constructor(@Inject(FilingContent) private readonly contents: FilingContent) {}

  /** Those whose period ends on a day or later, each with the form that puts it right. */
  async of(manager: EntityManager, client: Client, from: LocalDate): Promise<CorrectionDue[]> {
    const accepted = await manager.find(Filing, {
      where: { clientId: client.id, status: 'accepted', periodEnd: MoreThanOrEqual(from) },
      order: { periodStart: 'ASC', kind: 'ASC' },
    });
    const rows: CorrectionDue[] = [];
    const put = async (asked: Asked): Promise<void> => {
      const row = await this.one(manager, client, asked);
      if (row) rows.push(row);
    };
    for (const filing of accepted) await put({ filing, kind: kindOf(filing.kind), period: periodOf(filing) });
    for (const { kind: code, period } of await filedElsewhere(manager, client.id)) {
      const kind = kindOf(code);
      if (kind.filedElsewhere && period.end >= from) await put({ filing: null, kind, period });
    }
    return rows;
  }

  private async one(
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
