import { onOrAfter } from '../calendar/business-days.js';
import { LEGAL } from '../calendar/holidays.js';
import { addDays, addMonths, makeDate, monthOf, weekday, yearOf, type LocalDate } from '../calendar/local-date.js';
import { lastDayOf, quarterOf } from '../calendar/quarter.js';
import { larger, notBelowZero, dollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { rate } from '../money/rate.js';
import { lastDayOfMonthAfter } from './due-rules.js';

const LEAST = dollars('100');
const SHARE = rate('0.02');

/** What a deposit may be short of without penalty: 100.00 or 2%, whichever is more (26 CFR 31.6302-1(f); Publication 15, section 11). */
export const allowedShortfall = (required: Cents): Cents => larger(LEAST, round(times(required, SHARE), 'down'));

/** How much a deposit is short, and whether the accuracy rule lets it pass until the make-up date. */
export function shortfall(required: Cents, deposited: Cents): { readonly amount: Cents; readonly isAllowed: boolean } {
  const amount = notBelowZero(subtract(required, deposited));
  return { amount, isAllowed: amount <= allowedShortfall(required) };
}

/**
 * By when an allowed shortfall is deposited. Monthly: the due date of the return of the quarter. Semiweekly and next-day: the
 * earlier of that and the first Wednesday or Friday on or after the 15th of the month after the one in which the deposit was
 * due (26 CFR 31.6302-1(f)(3)). `depositClass`: `monthly` or `semiweekly`; `liability`: the check date; `due`: when the deposit was due.
 */
export function makeUpDate(depositClass: string, liability: LocalDate, due: LocalDate): LocalDate {
  const ofReturn = onOrAfter(lastDayOfMonthAfter(lastDayOf(quarterOf(liability))), LEGAL);
  if (depositClass === 'monthly') return ofReturn;
  const next = addMonths(makeDate(yearOf(due), monthOf(due), 1), 1);
  let day = makeDate(yearOf(next), monthOf(next), 15);
  while (weekday(day) !== 3 && weekday(day) !== 5) day = addDays(day, 1);
  const makeUp = onOrAfter(day, LEGAL);
  return makeUp < ofReturn ? makeUp : ofReturn;
}
