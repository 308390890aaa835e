import { Inject, Injectable } from '@nestjs/common';
import type { ClosedPeriod } from '@zakat/contract/payrolls';
import { date, showDate, yearOf } from '@zakat/core/calendar/local-date';
import { quarterOf } from '@zakat/core/calendar/quarter';
import { familyLabel } from '@zakat/core/deposits/family';
import { showDollars } from '@zakat/core/money/cents';
import type { TaxCode } from '@zakat/core/taxes/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Client } from '../clients/entities.js';
import { Deposits } from '../remittances/deposits.js';
import { filedElsewhere } from '../take-overs/take-over-store.js';

/** What follows when wages are posted after a form with their figures has left. */
const AMENDED: Readonly<Record<string, string>> = {
  '941': 'What is posted now is not on it: it is put right with Form 941-X.',
  'W-2': 'What is posted now is not on them: they are put right with Forms W-2c and W-3c.',
};

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
    const checkDate = date(checkDay);
    const { year, quarter } = quarterOf(checkDate);
    const filings = (await manager.query(
      `SELECT form, year, quarter FROM filing WHERE client_id = $1 AND status IN ('released', 'received', 'accepted')
         AND year = $2 AND (quarter IS NULL OR quarter = $3) ORDER BY form`,
      [client.id, yearOf(checkDate), quarter],
    )) as { form: string; year: number; quarter: number | null }[];
    const elsewhere = (await filedElsewhere(manager, client.id)).filter(
      (form) => form.year === year && form.quarter === quarter,
    );
    return [
      ...filings.map((filing) => ({
        what: `${filing.quarter === null ? `Forms ${filing.form} for ${filing.year} were` : `Form ${filing.form} for Q${filing.quarter} ${filing.year} was`} released.`,
        follows: AMENDED[filing.form] ?? 'What is posted now is not on it: it has to be amended.',
      })),
      ...elsewhere.map((form) => ({
        what: `Form 941 for Q${form.quarter} ${form.year} was filed by the former provider.`,
        follows: AMENDED['941'] ?? '',
      })),
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
    // Before anything is typed no tax is known: every paycheck has the federal ones.
    const dues = await this.deposits.duesOf(manager, client, date(checkDay), ['US-FIT', ...taxes]);
    const rows = (await manager.query(
      `SELECT DISTINCT r.family, r.reference, r.amount, r.settles, r.status, r.due,
         EXISTS (SELECT 1 FROM remittance_item i WHERE i.remittance_id = r.id AND i.liability_date = $2) AS same_day
       FROM remittance r WHERE r.client_id = $1 AND r.status IN ('released', 'settled') ORDER BY r.settles`,
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
    return rows
      .filter((row) => dues.has(row.family) && (row.same_day || dues.get(row.family) === row.due))
      .map((row) => ({
        what: `${familyLabel(row.family)} of ${showDollars(rawCents(row.amount))} (${row.reference}) ${row.status === 'settled' ? 'was deposited' : 'is on its way'}, settling ${showDate(date(row.settles))}.`,
        follows: `What is posted now is owed besides, by ${showDate(date(dues.get(row.family) ?? row.due))}: plan a deposit of its own.`,
      }));
  }
}
