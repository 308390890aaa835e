import { warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { findState } from '../jurisdictions/states.js';
import { FEDERAL_WAGE } from '../jurisdictions/us/garnishment.js';
import { cents, showDollars, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, isBelowZero, minus, plus, round, times, type Exact } from '../money/exact.js';
import { rate, showRate } from '../money/rate.js';
import type { EarningItem } from '../items/registry.js';
import type { Earning, PaycheckInput } from '../computation/input.js';
import type { EarnedAmount } from '../computation/wages.js';

/** The larger of the federal minimum wage and that of the state of work, where it is known here. */
function minimumOf({ work, checkDate, rules }: PaycheckInput): Dated<Cents> | null {
  const federal = inForce(FEDERAL_WAGE, checkDate, rules);
  const [first] = work;
  const isOnePlace = first !== undefined && work.every((place) => place.state === first.state);
  const rows = isOnePlace ? findState(first.state)?.minimumWage : undefined;
  const own = rows ? inForce(rows, checkDate, rules) : null;
  return own && (!federal || own.value > federal.value) ? own : federal;
}

const isWorked = ({ hours, item }: Earning): boolean => hours !== null && !item.isLeave && !item.isOnOtherHours;
const isAtLeast = ({ rate }: Earning, wage: Cents): boolean => rate !== null && rate.n * 100 >= wage * rate.d;

/**
 * Warns where pay and tips for the hours worked are under the minimum wage: the employer owes the difference, a credit for
 * tips included (29 U.S.C. §§ 203(m), 206). Pay for leave and the premium for overtime do not count toward it.
 */
export function minimumWageWarnings(input: PaycheckInput, earned: readonly EarnedAmount[]): readonly Issue[] {
  // Without hours there is nothing to hold the pay against.
  if (input.worker !== 'employee' || !input.earnings.some(isWorked)) return NOTHING;
  const least = minimumOf(input);
  // Hours that are each paid well are no question.
  if (!least || input.earnings.every((earning) => !isWorked(earning) || isAtLeast(earning, least.value)))
    return NOTHING;
  let hours: Exact = { n: 0, d: 1 };
  let pay = exact(cents(0));
  for (let index = 0; index < input.earnings.length; index += 1) {
    const earning = input.earnings[index];
    const amount = earned[index]?.amount;
    if (!earning || amount === undefined) continue;
    const { item } = earning;
    if (item.isLeave || item.outOf.includes('income') || (item.isNoncash && !item.isTips)) continue;
    if (earning.hours !== null && !item.isOnOtherHours) hours = plus(hours, earning.hours);
    pay = plus(pay, straightOf(item, amount));
  }
  const needed = times(least.value, hours);
  if (!isBelowZero(minus(pay, needed))) return NOTHING;
  const short = subtract(round(needed, 'up'), round(pay, 'down'));
  return [
    warning('pay.below-minimum', 'earnings', {
      hours: showRate(hours),
      wage: showDollars(least.value),
      short: showDollars(short),
    }),
  ];
}
/** Pay without the premium of overtime. */
function straightOf({ overtimePremium, factor }: EarningItem, amount: Cents): Exact {
  if (overtimePremium) return minus(exact(amount), dividedBy(cents(amount * overtimePremium.part), overtimePremium.of));
  const { n, d } = rate(factor);
  return times(exact(amount), { n: d, d: n });
}
const NOTHING: readonly Issue[] = [];
