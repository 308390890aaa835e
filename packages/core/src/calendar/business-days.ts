import { holidayOn, type HolidayCalendar } from './holidays.js';
import { addDays, weekday, type LocalDate } from './local-date.js';

export const isWeekend = (day: LocalDate): boolean => weekday(day) === 0 || weekday(day) === 6;

export const isBusinessDay = (day: LocalDate, calendar: HolidayCalendar): boolean =>
  !isWeekend(day) && holidayOn(day, calendar) === null;

/** The day itself, or the next business day. */
export function onOrAfter(day: LocalDate, calendar: HolidayCalendar): LocalDate {
  let candidate = day;
  while (!isBusinessDay(candidate, calendar)) candidate = addDays(candidate, 1);
  return candidate;
}

/** The day itself, or the business day before. */
export function onOrBefore(day: LocalDate, calendar: HolidayCalendar): LocalDate {
  let candidate = day;
  while (!isBusinessDay(candidate, calendar)) candidate = addDays(candidate, -1);
  return candidate;
}

/** `count` business days after `day` (negative: before). */
export function addBusinessDays(day: LocalDate, count: number, calendar: HolidayCalendar): LocalDate {
  const step = count < 0 ? -1 : 1;
  let candidate = day;
  for (let left = Math.abs(count); left > 0; left -= 1) {
    do candidate = addDays(candidate, step);
    while (!isBusinessDay(candidate, calendar));
  }
  return candidate;
}

/** Business days after `from`, up to and including `to`. */
export function businessDaysBetween(from: LocalDate, to: LocalDate, calendar: HolidayCalendar): number {
  let count = 0;
  for (let day = addDays(from, 1); day <= to; day = addDays(day, 1)) if (isBusinessDay(day, calendar)) count += 1;
  return count;
}
