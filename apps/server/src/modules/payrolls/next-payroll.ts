import type { PayrollSuggestion } from '@zakat/contract/payrolls';
import { onOrBefore } from '@zakat/core/calendar/business-days';
import { addDays, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { nextPeriod, type PayFrequency } from '@zakat/core/calendar/pay-frequency';
import type { EntityManager } from 'typeorm';
import type { Client } from '../clients/entities.js';

/** Days from the end of a period to its checks. */
const DAYS_TO_CHECK = 6;

/** The period after the client's last regular payroll, its check date before weekends and bank holidays; null at first. */
export async function nextPayroll(manager: EntityManager, client: Client): Promise<PayrollSuggestion | null> {
  const rows = (await manager.query(
    `SELECT period_end FROM payroll WHERE client_id = $1 AND kind = 'regular' ORDER BY period_end DESC LIMIT 1`,
    [client.id],
  )) as { period_end: LocalDate }[];
  const last = rows[0];
  if (!last) return null;
  const period = nextPeriod(client.payFrequency as PayFrequency, last.period_end);
  const nominal = addDays(period.end, DAYS_TO_CHECK);
  const checkDate = onOrBefore(nominal, 'banking');
  const moved = checkDate === nominal ? '' : ` ${showDate(nominal)} is not a banking day.`;
  const why = `Follows the period that ended ${showDate(last.period_end)}; checks six days after its end.${moved}`;
  return { periodStart: period.start, periodEnd: period.end, checkDate, why };
}
