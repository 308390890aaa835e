import { onOrAfter } from '../../calendar/business-days.js';
import { LEGAL } from '../../calendar/holidays.js';
import { addDays, makeDate, yearOf, type LocalDate } from '../../calendar/local-date.js';
import { lastDayOf, nextQuarter, quarterOf } from '../../calendar/quarter.js';
import type { FilingPeriod } from '../period.js';

/** A claim is the only way in the last days of the period of limitations (Instructions for Form 941-X, Part 1). */
const CLAIM_ONLY = 90;

/**
 * The last day of the period of limitations: three years from April 15 of the year after, on which every return of a year
 * that was filed by then counts as filed (IRC § 6501(b)(2), § 6511(a)). A return filed later, or tax paid later, gives a
 * later day, which is not known here.
 */
export const limitationOf = ({ end }: Pick<FilingPeriod, 'end'>): LocalDate => makeDate(yearOf(end) + 4, 4, 15);

export type CorrectionProcess = 'adjusted' | 'claim';
/** Whether tax reported too high may still be adjusted; tax reported too low always is. */
export const mayAdjust = (period: Pick<FilingPeriod, 'end'>, on: LocalDate): boolean =>
  on <= addDays(limitationOf(period), -CLAIM_ONLY);

/**
 * The day by which too little tax is corrected without interest: the due date of the return for the period in which the
 * error was discovered (Instructions for Form 941-X, "When should you file"; 26 CFR § 31.6205-1).
 */
export function interestFreeDay(kind: FilingPeriod['kind'], discovered: LocalDate): LocalDate {
  const day =
    kind === 'year' ? makeDate(yearOf(discovered) + 1, 1, 31) : lastDayOfMonthAfter(lastDayOf(quarterOf(discovered)));
  return onOrAfter(day, LEGAL);
}
const lastDayOfMonthAfter = (quarterEnd: LocalDate): LocalDate => {
  const next = lastDayOf(nextQuarter(quarterOf(quarterEnd)));
  // The first month of the next quarter has 31, 30, 31 or 31 days.
  const month = makeDate(yearOf(next), Number(next.slice(5, 7)) - 2, 1);
  return addDays(makeDate(yearOf(month), Number(month.slice(5, 7)) + 1, 1), -1);
};
