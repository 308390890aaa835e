import type { PayrollSuggestion } from '@zakat/contract/payrolls';
import { date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import type { PayFrequency } from '@zakat/core/calendar/pay-frequency';
import { movedWords, payrollAfter, payrollsFrom, type PaySchedule } from '@zakat/core/calendar/pay-schedule';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { scheduleOf } from '@zakat/core/facts/schedule';
import { text } from '@zakat/core/facts/fact-kind';
import type { EntityManager } from 'typeorm';
import type { Client } from '../clients/entities.js';
import type { FactStore } from '../facts/fact-store.js';

/** Days from the end of a period to its checks where no pay schedule says so. */
const DAYS_TO_CHECK = 6;
const DISTANT_DAY = '2199-12-31';

/** The period after the client's last regular payroll, or the first of its pay schedule; null without either. */
export async function nextPayroll(
  manager: EntityManager,
  store: FactStore,
  client: Client,
): Promise<PayrollSuggestion | null> {
  const rows = (await manager.query(
    `SELECT period_end FROM payroll WHERE client_id = $1 AND kind IN ('regular', 'recorded') AND NOT is_void ORDER BY period_end DESC LIMIT 1`,
    [client.id],
  )) as { period_end: LocalDate }[];
  const last = rows[0];
  const facts = clientOnDay(await store.ofClient(manager, client.id), DISTANT_DAY);
  const closed = text(facts.employer ?? {}, 'lastWages');
  const known = scheduleOf(facts.schedule);
  const suggestion = last ? after(client, known, last.period_end) : known && first(known);
  // A business that has closed pays nobody after its last day with wages.
  return suggestion && closed !== '' && suggestion.periodStart > closed ? null : suggestion;
}

function first(schedule: PaySchedule): PayrollSuggestion | null {
  const found = payrollsFrom(schedule, date('1900-01-01'), 1)[0];
  if (!found) return null;
  return {
    periodStart: found.start,
    periodEnd: found.end,
    checkDate: found.checkDate,
    why: `The first period of the pay schedule.${movedWords(found)}`,
  };
}

function after(client: Client, known: PaySchedule | null, lastEnd: LocalDate): PayrollSuggestion {
  const schedule = known ?? {
    frequency: client.payFrequency as PayFrequency,
    periodEnd: lastEnd,
    daysToCheck: DAYS_TO_CHECK,
    whenClosed: 'before' as const,
  };
  const found = payrollAfter(schedule, lastEnd);
  return {
    periodStart: found.start,
    periodEnd: found.end,
    checkDate: found.checkDate,
    why: `Follows the period that ended ${showDate(lastEnd)}; checks ${schedule.daysToCheck} days after its end.${movedWords(found)}`,
  };
}
