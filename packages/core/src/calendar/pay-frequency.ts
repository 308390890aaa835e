import { addDays, addMonths, dayOf, endOfMonth, makeDate, monthOf, yearOf, type LocalDate } from './local-date.js';

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
