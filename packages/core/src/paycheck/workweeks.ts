import { minus, plus, type Exact } from '../money/exact.js';
import { rate, type Rate } from '../money/rate.js';

const FULL_WEEK = rate('40');
const NONE: Exact = { n: 0, d: 1 };

/** Hours of a pay period as a payroll enters them. */
export interface SplitHours {
  readonly regular: Rate;
  readonly overtime: Rate;
}

/**
 * Hours worked, week by week, as regular hours and overtime: what is over 40 in a workweek, whatever the other weeks of
 * the period had. Source: 29 U.S.C. § 207(a)(1); 29 CFR § 778.104. State rules by the day are not in it.
 */
export function splitWeeks(weeks: readonly Rate[]): SplitHours {
  let [regular, overtime] = [NONE, NONE];
  for (const hours of weeks) {
    const over = minus(hours, FULL_WEEK);
    const isOver = over.n > 0;
    regular = plus(regular, isOver ? FULL_WEEK : hours);
    if (isOver) overtime = plus(overtime, over);
  }
  return { regular, overtime };
}
