import { Inject, Injectable } from '@nestjs/common';
import type { ClosedPeriod } from '@zakat/contract/payrolls';
import { date, showDate } from '@zakat/core/calendar/local-date';
import { familyLabel } from '@zakat/core/deposits/family';
import type { FilingKind } from '@zakat/core/filings/kind';
import { kindOf } from '@zakat/core/filings/registry';
import { showDollars } from '@zakat/core/money/cents';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Client } from '../clients/index.js';
import { periodOf, titleOf } from '../filing-records/index.js';
import { Deposits } from '../remittances/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';

/** What has left already of the quarter, the year and the deposit that a check date falls into. */
@Injectable()
export class ClosedPeriods {
  constructor(@Inject(Deposits) private readonly deposits: Deposits) {}

  async of(
    manager: EntityManager,
    client: Client,
    checkDay: string,
    taxes: readonly TaxCode[],
  ): Promise<ClosedPeriod[]> {
    const filings = (await manager.query(
      `SELECT kind, period_start AS "periodStart" FROM filing WHERE client_id = $1 AND status IN ('released', 'received', 'accepted')
         AND $2 BETWEEN period_start AND period_end ORDER BY kind`,
      [client.id, checkDay],
    )) as { kind: string; periodStart: string }[];
    const elsewhere = (await filedElsewhere(manager, client.id)).filter(
      ({ period }) => period.start <= checkDay && period.end >= checkDay,
    );
    const follows = ({ amendedBy }: FilingKind): string =>
      `What is posted now is not in it: it is put right with ${amendedBy}.`;
    return [
      ...filings.map((filing) => {
        const kind = kindOf(filing.kind);
        return { what: `Released: ${titleOf(kind, periodOf(filing))}.`, follows: follows(kind) };
      }),
      ...elsewhere.map((form) => {
        const kind = kindOf(form.kind);
        return { what: `Filed by the former provider: ${titleOf(kind, form.period)}.`, follows: follows(kind) };
      }),
      ...(await this.deposited(manager, client, checkDay, taxes)),
    ];
  }

  /** Deposits that are released or settled and would have had these taxes in them. */
  private async deposited(
    manager: EntityManager,
    client: Client,
    checkDay: string,
    taxes: readonly TaxCode[],
  ): Promise<ClosedPeriod[]> {
    const rows = (await manager.query(
      `SELECT DISTINCT r.family, r.reference, r.amount, r.settles, r.status, r.due,
         EXISTS (SELECT 1 FROM remittance_item i WHERE i.remittance_id = r.id AND i.liability_date = $2) AS same_day
       FROM remittance r WHERE r.client_id = $1 AND r.status IN ('released', 'settled')
         AND (r.due >= $2 OR EXISTS (SELECT 1 FROM remittance_item i WHERE i.remittance_id = r.id AND i.liability_date = $2)) ORDER BY r.settles`,
      [client.id, checkDay],
    )) as {
      family: string;
      reference: string;
      amount: string;
      settles: string;
      status: string;
      due: string;
      same_day: boolean;
    }[];
    if (rows.length === 0) return [];
    // Before anything is typed no tax is known: every paycheck has the federal ones.
    const dues = await this.deposits.duesOf(manager, client, date(checkDay), ['US-FIT', ...taxes]);
    return rows
      .filter((row) => dues.has(row.family) && (row.same_day || dues.get(row.family) === row.due))
      .map((row) => ({
        what: `${familyLabel(row.family)} of ${showDollars(rawCents(row.amount))} (${row.reference}) ${row.status === 'settled' ? 'was deposited' : 'is on its way'}, settling ${showDate(date(row.settles))}.`,
        follows: `What is posted now is owed besides, by ${showDate(date(dues.get(row.family) ?? row.due))}: plan a deposit of its own.`,
      }));
  }
}
