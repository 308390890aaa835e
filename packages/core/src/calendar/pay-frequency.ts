import {
  addDays,
  addMonths,
  dayOf,
  daysBetween,
  endOfMonth,
  makeDate,
  monthOf,
  yearOf,
  type LocalDate,
} from './local-date.js';

export const PAY_FREQUENCIES = [
  'weekly',
  'biweekly',
  'semimonthly',
  'monthly',
  'quarterly',
  'semiannually',
  'annually',
  'daily',
  'miscellaneous',
] as const;
export type PayFrequency = (typeof PAY_FREQUENCIES)[number];

/** Number of pay periods a year (Publication 15-T, Worksheet 1A, Table 3). Daily is 260; miscellaneous is by days (see daysInPeriod). */
export const PERIODS_PER_YEAR: Readonly<Record<PayFrequency, number>> = {
  weekly: 52,
  biweekly: 26,
  semimonthly: 24,
  monthly: 12,
  quarterly: 4,
  semiannually: 2,
  annually: 1,
  daily: 260,
  miscellaneous: 260,
};

const DAYS_APART: Readonly<Partial<Record<PayFrequency, number>>> = { weekly: 7, biweekly: 14 };

/** Check dates in the year of a check, on the days that it is paid: a year has 52 or 53 Fridays. */
export function checkDatesOfYear(frequency: PayFrequency, checkDate: LocalDate): number {
  const apart = DAYS_APART[frequency];
  if (apart === undefined) return PERIODS_PER_YEAR[frequency];
  const before = Math.floor((dayOfYear(checkDate) - 1) / apart);
  const after = Math.floor((dayOfYear(makeDate(yearOf(checkDate), 12, 31)) - dayOfYear(checkDate)) / apart);
  return before + 1 + after;
}
/** Check dates of the year up to a check, its own included. */
export function checkDatesSoFar(frequency: PayFrequency, checkDate: LocalDate): number {
  const apart = DAYS_APART[frequency];
  if (apart !== undefined) return Math.floor((dayOfYear(checkDate) - 1) / apart) + 1;
  const all = PERIODS_PER_YEAR[frequency];
  const days = dayOfYear(makeDate(yearOf(checkDate), 12, 31));
  return frequency === 'semimonthly'
    ? (monthOf(checkDate) - 1) * 2 + (dayOf(checkDate) <= 15 ? 1 : 2)
    : Math.max(1, Math.ceil((dayOfYear(checkDate) * all) / days));
}
/** Check dates of the month up to a check; null where the month has no fixed ones. */
export function checkDatesOfMonth(frequency: PayFrequency, checkDate: LocalDate): number | null {
  const apart = DAYS_APART[frequency];
  if (apart !== undefined) return Math.floor((dayOf(checkDate) - 1) / apart) + 1;
  if (frequency === 'semimonthly') return dayOf(checkDate) <= 15 ? 1 : 2;
  return frequency === 'daily' || frequency === 'miscellaneous' ? null : 1;
}
const dayOfYear = (day: LocalDate): number => daysBetween(makeDate(yearOf(day), 1, 1), day) + 1;

/** First and last day of the period after the one that ends on `end`. */
export function nextPeriod(frequency: PayFrequency, end: LocalDate): { start: LocalDate; end: LocalDate } {
  const start = addDays(end, 1);
  switch (frequency) {
    case 'weekly':
      return { start, end: addDays(start, 6) };
    case 'biweekly':
      return { start, end: addDays(start, 13) };
    case 'semimonthly':
      return { start, end: dayOf(start) <= 15 ? makeDate(yearOf(start), monthOf(start), 15) : endOfMonth(start) };
    case 'monthly':
      return { start, end: endOfMonth(start) };
    case 'quarterly':
      return { start, end: endOfMonth(addMonths(start, 2)) };
    case 'semiannually':
      return { start, end: endOfMonth(addMonths(start, 5)) };
    case 'annually':
      return { start, end: endOfMonth(addMonths(start, 11)) };
    case 'daily':
    case 'miscellaneous':
      return { start, end: start };
  }
}
