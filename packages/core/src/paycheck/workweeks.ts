import type { LocalDate } from '../calendar/local-date.js';
import { inForce, type OwnRules } from '../jurisdictions/dated.js';
import type { DailyOvertime, DayStep } from '../jurisdictions/overtime.js';
import { findState } from '../jurisdictions/states.js';
import { cents } from '../money/cents.js';
import { exact, isBelowZero, minus, plus, times, type Exact } from '../money/exact.js';
import { rate, type Rate } from '../money/rate.js';

const FULL_WEEK = rate('40');
const NONE: Exact = { n: 0, d: 1 };
const DAYS_OF_WEEK = 7;

/**
 * Hours of a pay period as a payroll enters them. What a state's law alone makes overtime is not qualified: the federal
 * law does not ask for its premium (IRC § 225(c)).
 */
export interface SplitHours {
  readonly regular: Rate;
  readonly overtime: Rate;
  readonly doubleTime: Rate;
  readonly overtimeNotQualified: Rate;
  readonly doubleTimeNotQualified: Rate;
}
/** The pay item of each part, in the order of a register. */
export const SPLIT_ITEMS: readonly (readonly [keyof SplitHours, item: string])[] = [
  ['regular', 'regular'],
  ['overtime', 'overtime'],
  ['doubleTime', 'double-time'],
  ['overtimeNotQualified', 'overtime-not-qualified'],
  ['doubleTimeNotQualified', 'double-time-not-qualified'],
];

const over = (hours: Exact, mark: Exact): Exact => {
  const rest = minus(hours, mark);
  return isBelowZero(rest) ? NONE : rest;
};
const smaller = (a: Exact, b: Exact): Exact => (isBelowZero(minus(a, b)) ? a : b);

interface DayHours {
  readonly straight: Exact;
  readonly overtime: Exact;
  readonly doubleTime: Exact;
}
/** Hours of one day, step by step. */
function ofDay(hours: Exact, steps: readonly DayStep[]): DayHours {
  const sums = { straight: hours, overtime: NONE, 'double-time': NONE };
  let last: keyof typeof sums = 'straight';
  for (const { hours: from, item } of steps) {
    const rest = over(hours, { n: from, d: 1 });
    sums[last] = minus(sums[last], rest);
    sums[item] = plus(sums[item], rest);
    last = item;
  }
  return { straight: sums.straight, overtime: sums.overtime, doubleTime: sums['double-time'] };
}

function ofWeek(days: readonly Rate[], rule: DailyOvertime | null): SplitHours {
  const isSevenInARow = days.length === DAYS_OF_WEEK && days.every((hours) => hours.n > 0);
  let [all, straight, overtime, doubleTime] = [NONE, NONE, NONE, NONE];
  days.forEach((hours, index) => {
    const isSeventh = isSevenInARow && index === DAYS_OF_WEEK - 1;
    const day = ofDay(hours, (isSeventh ? rule?.seventhDay : undefined) ?? rule?.day ?? []);
    all = plus(all, hours);
    straight = plus(straight, day.straight);
    overtime = plus(overtime, day.overtime);
    doubleTime = plus(doubleTime, day.doubleTime);
  });
  // An hour is overtime once: of the week only what no day has made overtime already.
  const ofTheWeek = over(straight, FULL_WEEK);
  overtime = plus(overtime, ofTheWeek);
  const federal = over(all, FULL_WEEK);
  const qualified = smaller(overtime, federal);
  const doubleQualified = smaller(doubleTime, minus(federal, qualified));
  return {
    regular: minus(straight, ofTheWeek),
    overtime: qualified,
    doubleTime: doubleQualified,
    overtimeNotQualified: minus(overtime, qualified),
    doubleTimeNotQualified: minus(doubleTime, doubleQualified),
  };
}

/** The hours of each day of a workweek from its first day on, or of all of it, so that no rule by the day can be kept. */
export type WeekHours = readonly Rate[] | Rate;
const isByDay = (week: WeekHours): week is readonly Rate[] => Array.isArray(week);

/**
 * Hours worked: what is over 40 in a workweek is overtime, whatever the other weeks of the period had, and what a rule by
 * the day makes overtime. Source: 29 U.S.C. § 207(a)(1); 29 CFR § 778.104; the rule's own.
 */
export function splitDays(weeks: readonly WeekHours[], rule: DailyOvertime | null): SplitHours {
  const sums = {
    regular: NONE,
    overtime: NONE,
    doubleTime: NONE,
    overtimeNotQualified: NONE,
    doubleTimeNotQualified: NONE,
  };
  for (const hours of weeks) {
    const week = isByDay(hours) ? ofWeek(hours, rule) : ofWeek([hours], null);
    for (const [part] of SPLIT_ITEMS) sums[part] = plus(sums[part], week[part]);
  }
  return sums;
}

/** The same where only the hours of each week are known. */
export const splitWeeks = (weeks: readonly Rate[]): SplitHours => splitDays(weeks, null);

/** The rule by the day of a state on a day, for an hourly rate (null: not known); null: only the week counts. */
export function dailyOvertimeOf(
  state: string,
  day: LocalDate,
  hourly: Rate | null,
  own: OwnRules | null = null,
): DailyOvertime | null {
  const { overtime, minimumWage } = findState(state) ?? {};
  const rule = overtime ? (inForce(overtime, day, own)?.value ?? null) : null;
  if (!rule?.belowMinimumTimes || !hourly) return rule;
  const least = minimumWage ? inForce(minimumWage, day, own) : null;
  // A wage that nobody knows puts nobody above it.
  if (!least) return rule;
  return isBelowZero(minus(times(exact(cents(100)), hourly), times(least.value, rule.belowMinimumTimes))) ? rule : null;
}
