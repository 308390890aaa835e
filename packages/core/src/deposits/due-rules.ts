import { addBusinessDays, businessDaysBetween, onOrAfter } from '../calendar/business-days.js';
import { LEGAL, type HolidayCalendar } from '../calendar/holidays.js';
import {
  addDays,
  addMonths,
  dayOf,
  daysInMonth,
  endOfMonth,
  makeDate,
  monthOf,
  showDate,
  weekday,
  yearOf,
  type LocalDate,
} from '../calendar/local-date.js';
import { lastDayOf, monthOfQuarter, quarterOf } from '../calendar/quarter.js';
import type { DayOfMonth, DayRule, DueRule } from '../jurisdictions/deposit-calendar.js';
import { showDollars } from '../money/cents.js';

/** A due date with the reason in words. */
export interface Due {
  readonly due: LocalDate;
  readonly rule: string;
}
export const isDayRule = (rule: DueRule): rule is DayRule => rule.is !== 'accumulated' && rule.is !== 'carried';

export function lastDayOfMonthAfter(day: LocalDate): LocalDate {
  return addDays(addMonths(addDays(day, 1), 1), -1);
}
/** A day of a month, or its last day where the month is shorter. */
const dayIn = (year: number, month: number, day: DayOfMonth): LocalDate =>
  makeDate(year, month, day === 'last' ? daysInMonth(year, month) : Math.min(day, daysInMonth(year, month)));
/** A day of the month after the one that `day` is in. */
function inNextMonth(day: LocalDate, of: DayOfMonth): LocalDate {
  const next = addMonths(makeDate(yearOf(day), monthOf(day), 1), 1);
  return dayIn(yearOf(next), monthOf(next), of);
}
const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const ordinal = (of: DayOfMonth): string =>
  of === 'last'
    ? 'last day'
    : `${of}${of % 10 === 1 && of !== 11 ? 'st' : of % 10 === 2 && of !== 12 ? 'nd' : of % 10 === 3 && of !== 13 ? 'rd' : 'th'}`;

/** Last day of the semiweekly period of a check date without its quarter: Tuesday for Sat to Tue, Friday for Wed to Fri. */
function fullPeriodEnd(checkDate: LocalDate): LocalDate {
  const day = weekday(checkDate);
  return addDays(checkDate, isWednesdayToFriday(checkDate) ? 5 - day : (2 - day + 7) % 7);
}
const isWednesdayToFriday = (day: LocalDate): boolean => weekday(day) >= 3 && weekday(day) <= 5;
/** The same; a quarter's end also ends it (Publication 15, section 11, "Semiweekly deposit period spanning two quarters"). */
export function semiweeklyPeriodEnd(checkDate: LocalDate): LocalDate {
  const end = fullPeriodEnd(checkDate);
  const quarterEnd = lastDayOf(quarterOf(checkDate));
  return end > quarterEnd ? quarterEnd : end;
}

/** The day a rule names before holidays move it, and its words. */
function nominal(rule: DayRule, checkDate: LocalDate, holidays: HolidayCalendar): Due {
  const [year, month] = [yearOf(checkDate), monthOf(checkDate)];
  switch (rule.is) {
    case 'after-check': {
      const days = `${rule.days} ${rule.counted} ${rule.days === 1 ? 'day' : 'days'}`;
      return {
        due:
          rule.counted === 'business' ? addBusinessDays(checkDate, rule.days, holidays) : addDays(checkDate, rule.days),
        rule: `${days} after the payroll`,
      };
    }
    case 'semiweekly': {
      const end = fullPeriodEnd(checkDate);
      const [from, to, day, after] = isWednesdayToFriday(checkDate)
        ? (['Wednesday', 'Friday', 'Wednesday', 5] as const)
        : (['Saturday', 'Tuesday', 'Friday', 3] as const);
      const words = `a check date of ${from} to ${to} is due the ${day} after`;
      const due = addDays(end, after);
      // At least three business days follow the end of the period (Publication 15, section 11, legal holidays).
      return businessDaysBetween(end, due, holidays) >= 3
        ? { due, rule: words }
        : { due: addBusinessDays(end, 3, holidays), rule: `${words}; a legal holiday gives a third business day` };
    }
    case 'after-week': {
      const sunday = addDays(checkDate, 7 - weekday(checkDate));
      return {
        due: addDays(sunday, rule.weekday),
        rule: `the ${WEEKDAYS[rule.weekday] ?? ''} of the week after the check date`,
      };
    }
    case 'after-part': {
      const ends = rule.ends.map((end) => dayIn(year, month, end));
      const end = ends.find((one) => checkDate <= one) ?? endOfMonth(checkDate);
      return {
        due: rule.counted === 'business' ? addBusinessDays(end, rule.days, holidays) : addDays(end, rule.days),
        rule: `${rule.days} ${rule.counted} days after the part of the month that ends on the ${ordinal(dayOf(end))}`,
      };
    }
    case 'by-half': {
      const isFirst = dayOf(checkDate) <= 15;
      return isFirst
        ? {
            due: dayIn(year, month, rule.first),
            rule: `a check date to the 15th is due the ${ordinal(rule.first)} of its month`,
          }
        : {
            due: inNextMonth(checkDate, rule.second),
            rule: `a check date after the 15th is due the ${ordinal(rule.second)} of the month after`,
          };
    }
    case 'after-month-end':
      return {
        due: addDays(endOfMonth(checkDate), rule.days),
        rule: `${rule.days} calendar days after the end of the month of the check date`,
      };
    case 'after-month': {
      const endsQuarter = monthOfQuarter(checkDate) === 3 ? rule.endsQuarter : undefined;
      const of = (month === 12 ? rule.endsYear : undefined) ?? endsQuarter ?? rule.day;
      return { due: inNextMonth(checkDate, of), rule: `the ${ordinal(of)} of the month after the check date` };
    }
    case 'after-quarter':
      return {
        due: inNextMonth(lastDayOf(quarterOf(checkDate)), rule.day),
        rule: `the ${ordinal(rule.day)} of the month after the quarter`,
      };
    case 'after-year':
      return {
        due: dayIn(year + 1, rule.month, rule.day),
        rule: 'with the return of the year',
      };
  }
}

/** When something of this check date is due by a rule: on a business day of the agency. */
export function dueBy(rule: DayRule, checkDate: LocalDate, holidays: HolidayCalendar): Due {
  const named = nominal(rule, checkDate, holidays);
  const due = onOrAfter(named.due, holidays);
  const moved = due === named.due ? '' : `, moved from ${showDate(named.due)}, not a business day`;
  return { due, rule: `${named.rule}${moved}` };
}

/** A rule in words, as the setting-up pages and documents show it. */
export function ruleWords(rule: DueRule): string {
  switch (rule.is) {
    case 'accumulated':
      return `${ruleWords(rule.reached)} that brings what is not deposited of the quarter to ${showDollars(rule.mark)}; less, ${ruleWords(rule.otherwise)}`;
    case 'carried':
      return `${ruleWords(rule.over)} in which what is not deposited is more than ${showDollars(rule.mark)}; less is carried, and ${ruleWords(rule.otherwise)}`;
    case 'semiweekly':
      return 'Wednesday to Friday by the Wednesday after, Saturday to Tuesday by the Friday after';
    case 'after-year':
      return `with the return of the year (month ${rule.month}, ${ordinal(rule.day)})`;
    case 'after-part':
      return `${rule.days} ${rule.counted} days after each part of the month, ending on the ${rule.ends.map(ordinal).join(', ')}`;
    case 'by-half':
      return `check dates to the 15th by the ${ordinal(rule.first)} of their month, later ones by the ${ordinal(rule.second)} of the month after`;
    case 'after-month': {
      const others = [
        rule.endsQuarter === undefined ? '' : `the ${ordinal(rule.endsQuarter)} after the end of a quarter`,
        rule.endsYear === undefined ? '' : `the ${ordinal(rule.endsYear)} after the end of the year`,
      ].filter((part) => part !== '');
      return [`the ${ordinal(rule.day)} of the month after the check date`, ...others].join(', ');
    }
    default:
      return nominal(rule, makeDate(2026, 1, 9), LEGAL).rule;
  }
}
