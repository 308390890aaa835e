import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { cents, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { rate, type Rate } from '../money/rate.js';
import { EARNING_ITEMS, type EarningItem } from '../items/registry.js';
import type { Earning } from './input.js';

const DOLLAR = cents(100);
const FACTORS: ReadonlyMap<string, Rate> = new Map(EARNING_ITEMS.map((item) => [item.factor, rate(item.factor)]));
const factorOf = (item: EarningItem): Rate => FACTORS.get(item.factor) ?? rate(item.factor);

/** hours × rate × factor, rounded once, half a cent up; or the amount given. */
export function earningAmount(earning: Earning): Cents {
  if (earning.amount !== null) return earning.amount;
  if (earning.hours === null || earning.rate === null) throw new RangeError('an unchecked earning');
  return round(times(times(times(DOLLAR, earning.rate), factorOf(earning.item)), earning.hours), 'half-up');
}

/** A salary of one frequency as the amount of a period of another: amount × periods ÷ periods, rounded once. */
export function convertSalary(amount: Cents, from: PayFrequency, to: PayFrequency): Cents {
  return round(times(amount, { n: PERIODS_PER_YEAR[from], d: PERIODS_PER_YEAR[to] }), 'half-up');
}
