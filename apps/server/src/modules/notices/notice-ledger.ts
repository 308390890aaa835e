import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, type QuarterNumber } from '@zakat/core/calendar/quarter';
import { familyLabel } from '@zakat/core/deposits/family';
import type { Cents } from '@zakat/core/money/cents';
import { againstLedger, type AgainstLedger } from '@zakat/core/notices/against-ledger';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

const PERIOD = /^(\d{4})(?:-Q([1-4]))?$/;

/** First and last day of `2026-Q3` or `2026`; null for anything else. */
export function daysOfPeriod(period: string): readonly [LocalDate, LocalDate] | null {
  const [, year, quarter] = PERIOD.exec(period) ?? [];
  if (year === undefined) return null;
  if (quarter === undefined) return [date(`${year}-01-01`), date(`${year}-12-31`)];
  const of = { year: Number(year), quarter: Number(quarter) as QuarterNumber };
  return [firstDayOf(of), lastDayOf(of)];
}

/** What the ledger has for an agency and the check dates of a period, against what a notice asks; empty without a period. */
export async function ledgerOfNotice(
  manager: EntityManager,
  clientId: string,
  agency: string,
  period: string,
  asked: Cents | null,
): Promise<AgainstLedger[]> {
  const days = daysOfPeriod(period);
  if (!days) return [];
  const parameters = [clientId, agency, ...days];
  const liabilities = (await manager.query(
    `SELECT tax, sum(amount)::bigint AS amount FROM ledger_entry WHERE client_id = $1 AND agency = $2 AND liability_date BETWEEN $3 AND $4
       AND remittance_id IS NULL AND cause NOT IN ('payment', 'payment-returned') GROUP BY tax HAVING sum(amount) <> 0 ORDER BY tax`,
    parameters,
  )) as { tax: string; amount: string }[];
  const payments = (await manager.query(
    `SELECT r.family, min(l.effective_date)::text AS day, r.confirmation, -sum(l.amount)::bigint AS amount FROM ledger_entry l LEFT JOIN remittance r ON r.id = l.remittance_id
      WHERE l.client_id = $1 AND l.agency = $2 AND l.liability_date BETWEEN $3 AND $4 AND (l.remittance_id IS NOT NULL OR l.cause IN ('payment', 'payment-returned'))
      GROUP BY r.id, r.family, r.confirmation HAVING sum(l.amount) <> 0 ORDER BY 2, 1`,
    parameters,
  )) as { family: string | null; day: string; confirmation: string | null; amount: string }[];
  return againstLedger(
    liabilities.map(({ tax, amount }) => ({
      label: isTaxCode(tax) ? taxOf(tax).label : tax,
      amount: rawCents(amount),
    })),
    payments.map(({ family, day, confirmation, amount }) => ({
      label: family === null ? 'before it came to us' : familyLabel(family),
      day: date(day),
      confirmation,
      amount: rawCents(amount),
    })),
    asked,
  );
}
