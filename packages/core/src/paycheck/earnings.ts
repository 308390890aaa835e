import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { ZERO, cents, type Cents } from '../money/cents.js';
import { dividedBy, exact, minus, plus, round, times, type Exact } from '../money/exact.js';
import { rate, type Rate } from '../money/rate.js';
import { EARNING_ITEMS, type EarningItem } from '../items/registry.js';
import type { Earning } from '../computation/input.js';

const DOLLAR = cents(100);
const FACTORS: ReadonlyMap<string, Rate> = new Map(EARNING_ITEMS.map((item) => [item.factor, rate(item.factor)]));
const factorOf = (item: EarningItem): Rate => FACTORS.get(item.factor) ?? rate(item.factor);

/** hours × rate × factor, rounded once, half a cent up; or the amount given. */
export function earningAmount(earning: Earning): Cents {
  if (earning.amount !== null) return earning.amount;
  const { hours, rate: by } = earning;
  if (hours === null || by === null) throw new RangeError('an unchecked earning');
  const factor = factorOf(earning.item);
  // In one step while the numbers are safe; `times` takes the wide ones.
  const n = 100 * by.n * factor.n * hours.n;
  const d = by.d * factor.d * hours.d;
  if (Number.isSafeInteger(n) && Number.isSafeInteger(d)) return round({ n, d }, 'half-up');
  return round(times(times(times(DOLLAR, by), factor), hours), 'half-up');
}

/** Straight pay of a line: hours × rate without the factor, or the amount. */
const straight = (earning: Earning): Exact =>
  earning.amount !== null || earning.hours === null || earning.rate === null
    ? exact(earning.amount ?? cents(0))
    : times(times(DOLLAR, earning.rate), earning.hours);

/**
 * Pay for hours worked ÷ hours worked, an exact amount an hour; null without hours. Leave, benefits in kind, tips,
 * reimbursements and pay for other weeks are outside it; a shift premium is pay without more hours
 * (29 U.S.C. § 207(e); 29 CFR § 778.109).
 */
export function regularRate(earnings: readonly Earning[]): Exact | null {
  const { pay, hours } = regularPay(earnings);
  return hours.n === 0 ? null : times(pay, { n: hours.d, d: hours.n });
}

/** What the regular rate is made of: the pay that counts, in cents, and the hours. */
export function regularPay(earnings: readonly Earning[]): { readonly pay: Exact; readonly hours: Exact } {
  let pay = exact(cents(0));
  let hours = { n: 0, d: 1 };
  for (const earning of earnings) {
    const { item } = earning;
    if (item.isOutsideRegularRate || item.isNoncash || item.outOf.includes('income')) continue;
    pay = plus(pay, straight(earning));
    if (earning.hours !== null && !item.isOnOtherHours) hours = plus(hours, earning.hours);
  }
  return { pay, hours };
}

/** Every line's amount: overtime on the regular rate has its straight pay and the premium share of that rate. */
export function earningAmounts(earnings: readonly Earning[]): Cents[] {
  let isPlain = true;
  for (const earning of earnings) if (earning.isOnRegularRate) isPlain = false;
  return isPlain ? earnings.map(earningAmount) : onRegularRate(earnings);
}

function onRegularRate(earnings: readonly Earning[]): Cents[] {
  const own = regularRate(earnings);
  return earnings.map((earning) => {
    if (!own || !earning.isOnRegularRate || earning.hours === null) return earningAmount(earning);
    const factor = factorOf(earning.item);
    // A line of the premium alone has its straight pay on another line.
    if (factor.n < factor.d) return round(times(times(own, factor), earning.hours), 'half-up');
    const premium = times(times(own, { n: factor.n - factor.d, d: factor.d }), earning.hours);
    return round(plus(straight(earning), premium), 'half-up');
  });
}

/**
 * What of an overtime line the federal law asks for on top of the regular rate, half of that rate for each hour: the
 * qualified overtime of IRC § 225(c). Rounded once, half a cent up; zero on any other line.
 */
export function qualifiedPremium(earning: Earning, amount: Cents): Cents {
  const { overtimePremium } = earning.item;
  if (!overtimePremium) return ZERO;
  const factor = factorOf(earning.item);
  if (!earning.isOnRegularRate || earning.hours === null || factor.n < factor.d)
    return round(dividedBy(cents(amount * overtimePremium.part), overtimePremium.of), 'half-up');
  // All of the premium of time and a half, and of what is less; half of that of double time.
  const premium = minus(exact(amount), straight(earning));
  if (2 * (factor.n - factor.d) <= factor.d) return round(premium, 'half-up');
  return round(times(premium, { n: factor.d, d: 2 * (factor.n - factor.d) }), 'half-up');
}

/** A salary of one frequency as the amount of a period of another: amount × periods ÷ periods, rounded once. */
export function convertSalary(amount: Cents, from: PayFrequency, to: PayFrequency): Cents {
  return round(times(amount, { n: PERIODS_PER_YEAR[from], d: PERIODS_PER_YEAR[to] }), 'half-up');
}
