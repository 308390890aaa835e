import { addDays, daysBetween, type LocalDate } from '../calendar/local-date.js';
import { makeUpDate, shortfall } from '../deposits/shortfall.js';
import { inForce } from '../jurisdictions/dated.js';
import { ZERO, add, smaller, subtract, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { ZERO_RATE, type Rate } from '../money/rate.js';
import type { LateTier } from '../jurisdictions/deposit-calendar.js';
import { DEPOSIT_PENALTY } from './rates.js';

/** What had to be deposited for one deposit period. Cents. */
export interface DepositOwed {
  /** The last day of the deposit period. */
  readonly ended: LocalDate;
  readonly due: LocalDate;
  readonly amount: Cents;
  readonly depositClass: string;
}
export interface DepositMade {
  readonly date: LocalDate;
  readonly amount: Cents;
  /** The last day of the deposit period that the employer designated; left out: none. */
  readonly designated?: LocalDate;
}
/** A part of a deposit with what became of it; `paid` null: it is not deposited yet. */
export interface DepositPart {
  readonly ended: LocalDate;
  readonly due: LocalDate;
  readonly amount: Cents;
  readonly paid: LocalDate | null;
  readonly daysLate: number;
  readonly rate: Rate;
  readonly penalty: Cents;
  readonly rule: string;
}
export interface DepositPenalty {
  readonly parts: readonly DepositPart[];
  readonly penalty: Cents;
  /** What was deposited beyond everything owed. */
  readonly unapplied: Cents;
}

interface Open {
  readonly owed: DepositOwed;
  left: Cents;
  readonly paid: { readonly date: LocalDate; readonly amount: Cents }[];
}

/**
 * Applies deposits as the Service does: to the deposit period that the employer designated (within 90 days of the notice),
 * then to the periods that have ended, the most recent first, then to what is still to end, in its order (Rev. Proc. 2001-58;
 * Publication 15, section 11, "Order in which deposits are applied").
 */
function applied(owed: readonly DepositOwed[], made: readonly DepositMade[]): { open: Open[]; unapplied: Cents } {
  const open = owed
    .map((one): Open => ({ owed: one, left: one.amount, paid: [] }))
    .sort((a, b) => (a.owed.ended < b.owed.ended ? -1 : 1));
  let unapplied = ZERO;
  for (const deposit of [...made].sort((a, b) => (a.date < b.date ? -1 : 1))) {
    const ended = open.filter((one) => one.owed.ended <= deposit.date).reverse();
    const ahead = open.filter((one) => one.owed.ended > deposit.date);
    let rest = deposit.amount;
    const chosen = open.filter((one) => one.owed.ended === deposit.designated);
    for (const one of [...chosen, ...ended, ...ahead]) {
      const part = smaller(rest, one.left);
      if (part <= 0) continue;
      one.left = subtract(one.left, part);
      one.paid.push({ date: deposit.date, amount: part });
      rest = subtract(rest, part);
    }
    unapplied = add(unapplied, rest);
  }
  return { open, unapplied };
}

export function tierOf({ tiers }: { readonly tiers: readonly LateTier[] }, days: number): Rate {
  const reached = tiers.filter((tier) => days > tier.overDays);
  return reached.at(-1)?.rate ?? ZERO_RATE;
}

/** What was short on the due day and may be short: 100.00 or 2%, deposited by the make-up date. */
function isForgiven({ owed, paid, left }: Open): boolean {
  const inTime = sum(paid.filter(({ date }) => date <= owed.due).map(({ amount }) => amount));
  const by = makeUpDate(owed.depositClass, owed.ended, owed.due);
  return shortfall(owed.amount, inTime).isAllowed && left === 0 && paid.every(({ date }) => date <= by);
}

/**
 * The penalty for deposits that were late or are missing (26 U.S.C. § 6656): 2% to 5 days, 5% to 15, 10% beyond, 15% of what
 * is missing ten days after the first notice. Each part is rounded half up to the cent (our choice: the Service publishes no
 * rounding). Null: no rule is known for the day.
 */
export function depositPenalty(
  owed: readonly DepositOwed[],
  made: readonly DepositMade[],
  { asOf, noticeOn }: { readonly asOf: LocalDate; readonly noticeOn: LocalDate | null },
): DepositPenalty | null {
  const rules = inForce(DEPOSIT_PENALTY, asOf)?.value;
  if (!rules) return null;
  const { open, unapplied } = applied(
    owed,
    made.filter(({ date }) => date <= asOf),
  );
  const lastDay = noticeOn === null ? null : addDays(noticeOn, rules.afterNotice.days);
  const parts = open.flatMap((one): DepositPart[] => {
    const isPassed = isForgiven(one);
    const part = (amount: Cents, paid: LocalDate | null): DepositPart => {
      const daysLate = Math.max(0, daysBetween(one.owed.due, paid ?? asOf));
      const isNoticed = lastDay !== null && (paid ?? asOf) > lastDay && one.owed.due < lastDay;
      const own = daysLate === 0 || isPassed ? ZERO_RATE : isNoticed ? rules.afterNotice.rate : tierOf(rules, daysLate);
      return {
        ended: one.owed.ended,
        due: one.owed.due,
        amount,
        paid,
        daysLate,
        rate: own,
        penalty: round(times(amount, own), 'half-up'),
        rule: ruleWords(daysLate, isPassed, isNoticed, paid),
      };
    };
    return [...one.paid.map(({ date, amount }) => part(amount, date)), ...(one.left > 0 ? [part(one.left, null)] : [])];
  });
  return { parts, penalty: sum(parts.map(({ penalty }) => penalty)), unapplied };
}

function ruleWords(days: number, isPassed: boolean, isNoticed: boolean, paid: LocalDate | null): string {
  if (days === 0) return paid === null ? 'not due yet' : 'in time';
  if (isPassed) return 'short by no more than 100.00 or 2%, and made up in time';
  if (isNoticed) return 'not deposited within ten days of the first notice';
  return `${days} ${days === 1 ? 'day' : 'days'} late`;
}
