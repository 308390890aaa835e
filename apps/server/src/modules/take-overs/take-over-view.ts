import { Inject, Injectable } from '@nestjs/common';
import type { TakeOverRow, TakeOverView } from '@zakat/contract/take-overs';
import { fix, sentence } from '@zakat/core/issues/issue';
import { sum } from '@zakat/core/money/cents';
import { balanceColumns, findBalanceColumn } from '@zakat/core/take-over/columns';
import { broughtInPayrolls } from '@zakat/core/take-over/paychecks';
import { askedFigures, reportedOf } from '@zakat/core/take-over/reported';
import type { EntityManager } from 'typeorm';
import { detailOf } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import { TakeOverStore, type StoredTakeOver } from './take-over-store.js';

/** Wrong rows that are sent to the screen. */
const MOST_SHOWN = 300;

export const rowOf = (stored: StoredTakeOver): TakeOverRow => ({
  id: stored.id,
  year: stored.year,
  status: stored.status,
  fileName: stored.file_name,
  by: stored.by,
  at: stored.created_at.toISOString(),
});
/** A take-over as the screen sees it. */
@Injectable()
export class TakeOverViews {
  constructor(@Inject(TakeOverStore) private readonly store: TakeOverStore) {}

  async of(manager: EntityManager, id: string): Promise<TakeOverView> {
    const stored = await this.store.find(manager, id);
    const client = await findClient(manager, stored.client_id);
    const reading = await this.store.read(manager, client, stored);
    const { read, balances, scope } = reading;
    const items = scope?.items ?? [];
    const wrong = read.rows.filter((row) => row.balance === null);
    return {
      ...rowOf(stored),
      clientId: client.id,
      version: stored.version,
      headings: [...reading.headings],
      mapping: stored.mapping,
      columns: scope ? balanceColumns(scope).map(({ name, label }) => ({ name, label })) : [],
      problems: read.issues.map(detailOf),
      rows: stored.balances?.length ?? read.rows.length,
      wrong: wrong.length,
      wrongRows: wrong.slice(0, MOST_SHOWN).map(({ row, who, issues }) => ({
        row,
        who,
        problems: issues.map((issue) => ({
          ...detailOf(issue),
          field: findBalanceColumn(issue.field, items)?.label ?? issue.field,
        })),
      })),
      days: broughtInPayrolls(balances).map((payroll) => ({
        from: payroll.from,
        day: payroll.day,
        people: payroll.balances.length,
        gross: sum(payroll.balances.map((one) => one.gross)),
        net: sum(payroll.balances.map((one) => one.net)),
      })),
      figures: askedFigures(balances).map((asked) => {
        const given = reportedOf(stored.reported, asked.quarter, asked.code);
        return { ...asked, amount: given?.amount ?? null, day: given?.day ?? null };
      }),
      differences: reading.differences.map(({ key, about, amount, issue }) => ({
        key,
        about,
        amount,
        severity: issue.severity,
        sentence: sentence(issue),
        fix: fix(issue),
        passedBecause: reading.passes.get(key) ?? null,
      })),
      tiesOut: reading.tiesOut,
    };
  }
}
