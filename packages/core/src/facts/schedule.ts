import { date, yearOf, type LocalDate } from '../calendar/local-date.js';
import type { PayFrequency } from '../calendar/pay-frequency.js';
import { payrollsFrom, type PaySchedule, type ScheduledPayroll } from '../calendar/pay-schedule.js';
import { text, type FactValue } from './fact-kind.js';
import type { ClientOnDay } from './on-day.js';

/** The pay schedule that a fact records; null where there is none. */
export function scheduleOf(schedule: FactValue | null): PaySchedule | null {
  if (!schedule) return null;
  return {
    frequency: schedule['frequency'] as PayFrequency,
    periodEnd: date(text(schedule, 'periodEnd')),
    daysToCheck: Number(schedule['daysToCheck'] ?? 0),
    whenClosed: schedule['whenClosed'] === 'after' ? 'after' : 'before',
  };
}

/** The pay schedule of a name, blank for the main one; null where the client has none of that name. */
export const scheduleNamed = (client: Pick<ClientOnDay, 'schedule' | 'schedules'>, name: string): FactValue | null =>
  name === '' ? client.schedule : (client.schedules.find((schedule) => text(schedule, 'name') === name) ?? null);
/** The name a person's or a payroll's schedule is known by: blank where it is the main one. */
export const scheduleName = (client: Pick<ClientOnDay, 'schedule'>, name: string): string =>
  name === text(client.schedule ?? {}, 'name') ? '' : name;

const MOST_OF_A_YEAR = 54;
/** Every payroll of a schedule that is paid in a year, from the first period of the schedule on. */
export const payCalendar = (schedule: PaySchedule, year: number): readonly ScheduledPayroll[] =>
  payrollsFrom(schedule, `${year}-01-01` as LocalDate, MOST_OF_A_YEAR).filter(
    ({ checkDate }) => yearOf(checkDate) === year,
  );
