import { warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { findState } from '../jurisdictions/states.js';
import { FEDERAL_WAGE } from '../jurisdictions/us/garnishment.js';
import { cents, showDollars, subtract, type Cents } from '../money/cents.js';
import { dividedBy, exact, isBelowZero, minus, plus, round, times, type Exact } from '../money/exact.js';
import { showRate } from '../money/rate.js';
import type { Earning, PaycheckInput } from './input.js';
import type { EarnedAmount } from './wages.js';

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
    const premium = item.overtimePremium;
    const straight = premium
      ? minus(exact(amount), dividedBy(cents(amount * premium.part), premium.of))
      : exact(amount);
    pay = plus(pay, straight);
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
const NOTHING: readonly Issue[] = [];
