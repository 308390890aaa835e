import { daysBetween, type LocalDate } from '../calendar/local-date.js';
import type { DepositFamily } from '../deposits/family.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import type { LatePenalty } from '../jurisdictions/deposit-calendar.js';
import { ZERO, showDollars, smaller, type Cents } from '../money/cents.js';
import { isBelowZero, minus, plus, round, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import { tierOf } from './deposit-penalty.js';
import { DEPOSIT_PENALTY } from './rates.js';
import { monthStarts } from './return-penalty.js';

/** What an agency adds to a deposit that settles after its due date, apart from interest. */
export interface LateEstimate {
  readonly penalty: Cents;
  /** How it comes about, with its source. */
  readonly rule: string;
}
const FEDERAL: readonly Dated<LatePenalty>[] = DEPOSIT_PENALTY.map((row) => ({
  ...row,
  value: { is: 'tiers', tiers: row.value.tiers },
}));
const rowsOf = ({ agency, calendar }: DepositFamily): readonly Dated<LatePenalty>[] =>
  agency === 'IRS' ? FEDERAL : (calendar?.late ?? []);

/** Whether a penalty of the agency is loaded for a deposit due on a day; without one none is estimated. */
export const hasLateRule = (family: DepositFamily, due: LocalDate): boolean => inForce(rowsOf(family), due) !== null;

/**
 * What a deposit would be fined if it settles on a day. Rounded half up to the cent, as our choice: no agency publishes a
 * rounding. Null: it is in time, or no penalty of the agency is loaded.
 */
export function lateEstimate(
  family: DepositFamily,
  amount: Cents,
  due: LocalDate,
  settles: LocalDate,
): LateEstimate | null {
  const row = inForce(rowsOf(family), due);
  const days = daysBetween(due, settles);
  if (!row || days <= 0) return null;
  const { penalty, words } =
    row.value.is === 'tiers' ? byTiers(row.value, amount, days) : byMonths(row.value, amount, due, settles);
  const least = penalty > 0 ? (row.value.least ?? ZERO) : ZERO;
  const source = `${agencyLaw(family)}${row.place}, ${row.standing}`;
  return penalty < least
    ? { penalty: least, rule: `the lowest, ${showDollars(least)}; ${source}` }
    : { penalty, rule: `${words}; ${source}` };
}
const agencyLaw = ({ agency }: DepositFamily): string => (agency === 'IRS' ? '26 U.S.C. ' : '');

type ByMonth = LatePenalty & { is: 'by-month' };
const spanOf = ({ counted }: ByMonth): string => (counted === 'months' ? 'month' : '30 days');
const firstWords = (rules: ByMonth): string =>
  `${showPercent(rules.first)} for the first ${rules.firstMonths === 1 ? spanOf(rules) : `${rules.firstMonths} months`}`;

interface Worked {
  readonly penalty: Cents;
  readonly words: string;
}
function byTiers(rules: LatePenalty & { is: 'tiers' }, amount: Cents, days: number): Worked {
  const rate = tierOf(rules, days);
  return { penalty: round(times(amount, rate), 'half-up'), words: `${showPercent(rate)} of the deposit` };
}
function byMonths(rules: ByMonth, amount: Cents, due: LocalDate, settles: LocalDate): Worked {
  const months =
    rules.counted === 'months' ? monthStarts(due, settles).length : Math.ceil(daysBetween(due, settles) / 30);
  let share = times(amount, rules.first);
  const more = months - rules.firstMonths;
  if (more > 0) share = plus(share, times(times(amount, rules.each), { n: more, d: 1 }));
  const most = times(amount, rules.most);
  const isMost = isBelowZero(minus(most, share));
  const first = firstWords(rules);
  return {
    penalty: smaller(round(share, 'half-up'), round(most, 'half-up')),
    words: isMost
      ? `${showPercent(rules.most)}, the most there is`
      : months === 1 || more <= 0
        ? first
        : `${first}, ${showPercent(rules.each)} for each of ${more} more`,
  };
}

/** The penalty in words, as a page of rules says it. */
export function lateWords(rules: LatePenalty): string {
  const least = rules.least === undefined ? '' : `, at least ${showDollars(rules.least)}`;
  if (rules.is === 'tiers')
    return `${rules.tiers
      .map(({ overDays, rate }) => `${showPercent(rate)}${overDays === 0 ? '' : ` after ${overDays} days`}`)
      .join(', ')}${least}`;
  return `${firstWords(rules)}, ${showPercent(rules.each)} for each ${spanOf(rules)} after, at most ${showPercent(rules.most)}${least}`;
}
