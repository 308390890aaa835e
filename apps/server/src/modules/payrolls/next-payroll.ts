import type { PayrollSuggestion } from '@zakat/contract/payrolls';
import { date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import type { PayFrequency } from '@zakat/core/calendar/pay-frequency';
import { movedWords, payrollAfter, payrollsFrom, type PaySchedule } from '@zakat/core/calendar/pay-schedule';
import { clientOnDay } from '@zakat/core/facts/on-day';
import { scheduleName, scheduleNamed, scheduleOf } from '@zakat/core/facts/schedule';
import { text } from '@zakat/core/facts/fact-kind';
import type { EntityManager } from 'typeorm';
import type { Client } from '../clients/index.js';
import type { FactStore } from '../facts/index.js';

/** Days from the end of a period to its checks where no pay schedule says so. */
const DAYS_TO_CHECK = 6;
const DISTANT_DAY = '2199-12-31';

/** A period that comes next, and why. */
export type NextPayroll = Omit<PayrollSuggestion, 'schedule' | 'schedules'>;

/** The period after the client's last regular payroll, or the first of its pay schedule; null without either. */
export async function nextPayroll(
  manager: EntityManager,
  store: FactStore,
  client: Client,
  name = '',
): Promise<NextPayroll | null> {
  const rows = (await manager.query(
    `SELECT period_end FROM payroll WHERE client_id = $1 AND kind IN ('regular', 'recorded') AND NOT is_void AND schedule = $2 ORDER BY period_end DESC LIMIT 1`,
    [client.id, name],
  )) as { period_end: LocalDate }[];
  const last = rows[0];
  const facts = clientOnDay(await store.ofClient(manager, client.id), DISTANT_DAY);
  const closed = text(facts.employer ?? {}, 'lastWages');
  const known = scheduleOf(scheduleNamed(facts, name));
  if (name !== '' && !known) return null;
  const suggestion = last ? after(client, known, last.period_end) : known && first(known);
  // A business that has closed pays nobody after its last day with wages.
  return suggestion && closed !== '' && suggestion.periodStart > closed ? null : suggestion;
}

/** The names of a client's pay schedules, the main one first, as blank. */
export async function scheduleNames(manager: EntityManager, store: FactStore, client: Client): Promise<string[]> {
  const facts = clientOnDay(await store.ofClient(manager, client.id), DISTANT_DAY);
  const names = facts.schedules.map((schedule) => scheduleName(facts, text(schedule, 'name')));
  return ['', ...names.filter((name) => name !== '')];
}

function first(schedule: PaySchedule): NextPayroll | null {
  const found = payrollsFrom(schedule, date('1900-01-01'), 1)[0];
  if (!found) return null;
  return {
    periodStart: found.start,
    periodEnd: found.end,
    checkDate: found.checkDate,
    why: `The first period of the pay schedule.${movedWords(found)}`,
  };
}

function after(client: Client, known: PaySchedule | null, lastEnd: LocalDate): NextPayroll {
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
