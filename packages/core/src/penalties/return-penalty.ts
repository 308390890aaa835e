import { addDays, addMonths, dayOf, endOfMonth, type LocalDate } from '../calendar/local-date.js';
import { inForce } from '../jurisdictions/dated.js';
import { ZERO, cents, larger, notBelowZero, smaller, subtract, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import type { DepositMade } from './deposit-penalty.js';
import { RETURN_PENALTY, UNDERPAYMENT_RATES } from './rates.js';

export interface ReturnOwed {
  /** The due date of the return, extended where it was. */
  readonly due: LocalDate;
  readonly tax: Cents;
  readonly paid: readonly DepositMade[];
  /** Null: it is not filed yet. */
  readonly filedOn: LocalDate | null;
  readonly asOf: LocalDate;
}
export interface MonthlyPenalty {
  readonly months: number;
  /** Unpaid on the due date, of a return; on the first day of each month, of a payment. */
  readonly bases: readonly Cents[];
  readonly penalty: Cents;
  readonly rule: string;
}
export interface ReturnPenalty {
  readonly filing: MonthlyPenalty;
  readonly payment: MonthlyPenalty;
}

/** First days of the months after a due date: the day after it, and the same day of each month that follows. */
export function monthStarts(due: LocalDate, until: LocalDate): LocalDate[] {
  const starts: LocalDate[] = [];
  const isLast = due === endOfMonth(due);
  for (let count = 0; count < 1200; count += 1) {
    const mark = addMonths(due, count);
    const end = isLast ? endOfMonth(mark) : dayOf(mark) < dayOf(due) ? endOfMonth(mark) : mark;
    if (end >= until) break;
    starts.push(addDays(end, 1));
  }
  return starts;
}
const unpaidOn = ({ tax, paid }: ReturnOwed, day: LocalDate): Cents =>
  notBelowZero(subtract(tax, sum(paid.filter((one) => one.date <= day).map(({ amount }) => amount))));
/** How many months of a rate make up the most. */
const monthsOf = (most: Rate, monthly: Rate): number => Math.trunc((most.n * monthly.d) / (most.d * monthly.n));
const shareOf = (base: Cents, by: Rate): Cents => round(times(base, by), 'half-up');

/**
 * Failure to file, 5% of the net amount due for each month or part of one up to 25%, less failure to pay of the same month;
 * failure to pay, 0.5% of what is unpaid at the beginning of each month up to 25% (26 U.S.C. § 6651(a)(1), (a)(2), (b),
 * (c)(1)). Rounded half up for each month. Null: no rule is known.
 */
export function returnPenalty(owed: ReturnOwed): ReturnPenalty | null {
  const rules = inForce(RETURN_PENALTY, owed.due)?.value;
  if (!rules) return null;
  const lastUnpaid = lastDayUnpaid(owed);
  const paying = lastUnpaid === null ? [] : monthStarts(owed.due, lastUnpaid);
  const base = unpaidOn(owed, owed.due);
  const bases = paying.map((start) => unpaidOn(owed, addDays(start, -1)));
  const most = shareOf(base, rules.paymentMost);
  const payments = bases.map((one) => shareOf(one, rules.payment));
  const filedOn = owed.filedOn ?? owed.asOf;
  const filing = filedOn <= owed.due ? [] : monthStarts(owed.due, filedOn);
  const counted = filing.slice(0, monthsOf(rules.filingMost, rules.filing));
  const filings = counted.map((_, index) =>
    notBelowZero(subtract(shareOf(base, rules.filing), payments[index] ?? ZERO)),
  );
  return {
    filing: {
      months: counted.length,
      bases: counted.map(() => base),
      penalty: sum(filings),
      rule: `${showPercent(rules.filing)} a month or part of one, at most ${showPercent(rules.filingMost)}, less the addition for not paying`,
    },
    payment: {
      months: bases.length,
      bases,
      penalty: smaller(sum(payments), most),
      rule: `${showPercent(rules.payment)} a month or part of one of what is unpaid, at most ${showPercent(rules.paymentMost)}`,
    },
  };
}

/** The day on which the last of it was paid, or the day of asking; null where nothing was unpaid on the due date. */
function lastDayUnpaid(owed: ReturnOwed): LocalDate | null {
  if (unpaidOn(owed, owed.due) === 0) return null;
  const paid = owed.paid
    .filter(({ date }) => date > owed.due && date <= owed.asOf)
    .sort((a, b) => (a.date < b.date ? -1 : 1));
  for (const { date } of paid) if (unpaidOn(owed, date) === 0) return date;
  return owed.asOf;
}

const SCALE = 10n ** 24n;

/** Interest on an unpaid tax from its due date; null where the rate of a quarter is not published here. */
export function interestOn(owed: ReturnOwed): { readonly interest: Cents; readonly missing: LocalDate | null } {
  let day = addDays(owed.due, 1);
  let balance = BigInt(unpaidOn(owed, owed.due)) * SCALE;
  let charged = 0n;
  while (day <= owed.asOf && balance > 0n) {
    const row = inForce(UNDERPAYMENT_RATES, day);
    if (!row) return { interest: ZERO, missing: day };
    const own = row.value;
    // Compounded daily on what is unpaid and on the interest before (26 U.S.C. § 6622); 366 days in a leap year.
    const year = BigInt(isLeap(day) ? 366 : 365);
    const interest = ((balance + charged) * BigInt(own.n)) / (BigInt(own.d) * year);
    charged += interest;
    const paid = owed.paid.filter(({ date }) => date === day).map(({ amount }) => amount);
    if (paid.length > 0) balance = BigInt(larger(ZERO, unpaidOn(owed, day))) * SCALE;
    day = addDays(day, 1);
  }
  // Half a cent up.
  return { interest: cents(Number((charged * 2n + SCALE) / (SCALE * 2n))), missing: null };
}
const isLeap = (day: LocalDate): boolean => {
  const year = Number(day.slice(0, 4));
  return (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
};
