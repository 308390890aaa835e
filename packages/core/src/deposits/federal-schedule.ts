import { addBusinessDays, businessDaysBetween, onOrAfter } from '../calendar/business-days.js';
import {
  addDays,
  addMonths,
  makeDate,
  monthOf,
  showDate,
  weekday,
  yearOf,
  type LocalDate,
} from '../calendar/local-date.js';
import { lastDayOf, quarterOf } from '../calendar/quarter.js';
import { dollars, showDollars, sum, type Cents } from '../money/cents.js';

export type DepositSchedule = 'monthly' | 'semiweekly';

const LOOKBACK_MARK = dollars('50000');
export const NEXT_DAY_MARK = dollars('100000');
export const SMALL_QUARTER_MARK = dollars('2500');

/** Schedule of a Form 941 depositor for a year from the four quarters ending 30 June before it (Publication 15, section 11). */
export function scheduleFromLookback(total: Cents): { schedule: DepositSchedule; why: string } {
  const schedule = total > LOOKBACK_MARK ? 'semiweekly' : 'monthly';
  const compared = schedule === 'semiweekly' ? 'more than' : 'not more than';
  return { schedule, why: `Lookback taxes of ${showDollars(total)} are ${compared} ${showDollars(LOOKBACK_MARK)}.` };
}

/** A due date with the reason in words. */
export interface Due {
  readonly due: LocalDate;
  readonly rule: string;
}

function monthlyDue(checkDate: LocalDate): Due {
  const nextMonth = addMonths(makeDate(yearOf(checkDate), monthOf(checkDate), 1), 1);
  const fifteenth = makeDate(yearOf(nextMonth), monthOf(nextMonth), 15);
  const due = onOrAfter(fifteenth, 'legal');
  return {
    due,
    rule: `Monthly depositor: the 15th of the month after the check date${due === fifteenth ? '' : `, moved from ${showDate(fifteenth)}, not a business day`}.`,
  };
}

/** Last day of the semiweekly period that holds a check date: Tuesday for Sat to Tue, Friday for Wed to Fri; a quarter's end also ends it. */
export function semiweeklyPeriodEnd(checkDate: LocalDate): LocalDate {
  const day = weekday(checkDate);
  const daysToEnd = day >= 3 && day <= 5 ? 5 - day : (2 - day + 7) % 7;
  const end = addDays(checkDate, daysToEnd);
  const quarterEnd = lastDayOf(quarterOf(checkDate));
  return end > quarterEnd ? quarterEnd : end;
}

function semiweeklyDue(checkDate: LocalDate): Due {
  const day = weekday(checkDate);
  const isWednesdayToFriday = day >= 3 && day <= 5;
  const fullEnd = addDays(checkDate, isWednesdayToFriday ? 5 - day : (2 - day + 7) % 7);
  const nominal = addDays(fullEnd, isWednesdayToFriday ? 5 : 3);
  const rule = isWednesdayToFriday
    ? 'Semiweekly depositor: a check date of Wednesday to Friday is due the Wednesday after'
    : 'Semiweekly depositor: a check date of Saturday to Tuesday is due the Friday after';
  // At least three business days follow the end of the period (Publication 15, section 11, legal holidays).
  if (businessDaysBetween(fullEnd, nominal, 'legal') >= 3) return { due: nominal, rule: `${rule}.` };
  return { due: addBusinessDays(fullEnd, 3, 'legal'), rule: `${rule}; a legal holiday gives a third business day.` };
}

export interface DatedAmount {
  readonly date: LocalDate;
  readonly amount: Cents;
}

/**
 * When federal income tax, OASDI and HI of a check date are due. `reached` is the day on which what had accumulated in
 * the deposit period, this check date's taxes among it, came to 100,000; null where it never did. Source: Publication 15,
 * section 11; 26 CFR 31.6302-1(c).
 */
export function federalDepositDue(checkDate: LocalDate, schedule: DepositSchedule, reached: LocalDate | null): Due {
  if (reached) {
    const gathered = reached === checkDate ? '' : `, this check date’s taxes among them,`;
    return {
      due: addBusinessDays(reached, 1, 'legal'),
      rule: `100,000 next-day rule: the taxes accumulated in the deposit period${gathered} reached 100,000.00 on ${showDate(reached)}; all of them are due the next business day.`,
    };
  }
  return schedule === 'monthly' ? monthlyDue(checkDate) : semiweeklyDue(checkDate);
}

const FUTA_MARK = dollars('500');

/**
 * Federal unemployment tax: due the last day of the month after the quarter in which what is unpaid passes 500; less is
 * carried to the next quarter, and what is left at the year's end is due with Form 940 (Publication 15, section 14).
 * Answers with the due date of each check date.
 */
export function futaDueDates(unpaid: readonly DatedAmount[]): ReadonlyMap<LocalDate, Due> {
  const due = new Map<LocalDate, Due>();
  let carried: DatedAmount[] = [];
  const byQuarter = new Map<LocalDate, DatedAmount[]>();
  for (const line of [...unpaid].sort((a, b) => (a.date < b.date ? -1 : 1))) {
    const end = lastDayOf(quarterOf(line.date));
    byQuarter.set(end, [...(byQuarter.get(end) ?? []), line]);
  }
  for (const [end, lines] of byQuarter) {
    carried = [...carried, ...lines];
    const total = sum(carried.map((line) => line.amount));
    const isLast = monthOf(end) === 12;
    if (total <= FUTA_MARK && !isLast) continue;
    const day = onOrAfter(lastDayOfMonthAfter(end), 'legal');
    const rule =
      total > FUTA_MARK
        ? `Federal unemployment: ${showDollars(total)} unpaid passes ${showDollars(FUTA_MARK)}; due the last day of the month after the quarter.`
        : 'Federal unemployment: what is left of the year is due with Form 940.';
    for (const line of carried) due.set(line.date, { due: day, rule });
    carried = [];
  }
  for (const line of carried) {
    const yearEnd = makeDate(yearOf(line.date), 12, 31);
    due.set(line.date, {
      due: onOrAfter(lastDayOfMonthAfter(yearEnd), 'legal'),
      rule: `Federal unemployment: not more than ${showDollars(FUTA_MARK)} is unpaid, so it is carried forward; at the latest it is due with Form 940.`,
    });
  }
  return due;
}

export function lastDayOfMonthAfter(day: LocalDate): LocalDate {
  const first = addDays(day, 1);
  return addDays(addMonths(first, 1), -1);
}
