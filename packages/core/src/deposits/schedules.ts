import { showDate, yearOf, type LocalDate } from '../calendar/local-date.js';
import { firstDayOf, lastDayOf, nextQuarter, showQuarter, type Quarter } from '../calendar/quarter.js';
import { ZERO, add, showDollars, sum, type Cents } from '../money/cents.js';
import {
  NEXT_DAY_MARK,
  scheduleFromLookback,
  semiweeklyPeriodEnd,
  type DatedAmount,
  type DepositSchedule,
} from './federal-schedule.js';

/** A federal deposit schedule with the reason in words. */
export interface Scheduled {
  readonly schedule: DepositSchedule;
  readonly why: string;
}

/** The four quarters whose Form 941 taxes decide about a year: July two years before to June of the year before. */
export function lookbackQuarters(year: number): readonly Quarter[] {
  const first: Quarter = { year: year - 2, quarter: 3 };
  const second = nextQuarter(first);
  const third = nextQuarter(second);
  return [first, second, third, nextQuarter(third)];
}

/** What is known of the taxes of a lookback period. */
export interface LookbackFacts {
  /** The sum of the amounts entered for the year itself; null when none were. */
  readonly entered: Cents | null;
  /** Liabilities of the ledger. */
  readonly liabilities: readonly DatedAmount[];
  /** The day from which the ledger is complete: its first liability, or the day wages were first paid. */
  readonly completeFrom: LocalDate | null;
  /** What was entered when the client was taken on. */
  readonly otherwise: Cents;
}

/** The schedule with which a year begins: by what was entered for it, else by the ledger, else by the last amount entered. */
export function scheduleOfYear(year: number, facts: LookbackFacts): Scheduled {
  if (facts.entered !== null) return scheduleFromLookback(facts.entered);
  const quarters = lookbackQuarters(year);
  const isKnown = (quarter: Quarter): boolean =>
    facts.completeFrom !== null && facts.completeFrom <= lastDayOf(quarter);
  const missing = quarters.filter((quarter) => !isKnown(quarter));
  const [first, last] = [quarters[0], quarters.at(-1)];
  if (missing.length === 0 && first && last) {
    const [from, to] = [firstDayOf(first), lastDayOf(last)];
    const total = sum(facts.liabilities.filter(({ date }) => date >= from && date <= to).map(({ amount }) => amount));
    const { schedule, why } = scheduleFromLookback(total);
    return { schedule, why: `${why} They are those of the ledger, ${showQuarter(first)} to ${showQuarter(last)}.` };
  }
  const { schedule, why } = scheduleFromLookback(facts.otherwise);
  return {
    schedule,
    why: `${why} They are those entered last; the ledger does not have ${missing.map(showQuarter).join(', ')}.`,
  };
}

export interface FederalDeposits {
  /** Check dates whose taxes are due the next business day. */
  readonly nextDays: ReadonlySet<LocalDate>;
  /** The schedule of the taxes of a check date. */
  readonly on: (day: LocalDate) => Scheduled;
}

/**
 * Follows the taxes of Form 941 through the deposit periods. Where 100,000 gather in one, they are due the next business
 * day, and a monthly depositor is a semiweekly one for the rest of the year and the next (Publication 15, section 11).
 */
export function federalDeposits(
  liabilities: readonly DatedAmount[],
  startOf: (year: number) => Scheduled,
): FederalDeposits {
  const starts = new Map<number, Scheduled>();
  const start = (year: number): Scheduled => {
    const known = starts.get(year) ?? startOf(year);
    starts.set(year, known);
    return known;
  };
  const nextDays = new Set<LocalDate>();
  /** Days that turned a monthly depositor into a semiweekly one. */
  const turned: LocalDate[] = [];
  const on = (day: LocalDate): Scheduled => {
    const year = yearOf(day);
    const begun = start(year);
    const mark =
      begun.schedule === 'semiweekly'
        ? undefined
        : turned.find((hit) => (yearOf(hit) === year && hit < day) || yearOf(hit) === year - 1);
    return mark === undefined
      ? begun
      : {
          schedule: 'semiweekly',
          why: `${showDollars(NEXT_DAY_MARK)} were reached with the check of ${showDate(mark)}: semiweekly for the rest of that year and the next.`,
        };
  };
  let period = '';
  let running: Cents = ZERO;
  for (const { date, amount } of [...liabilities].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))) {
    const { schedule } = on(date);
    const key = schedule === 'monthly' ? date.slice(0, 7) : semiweeklyPeriodEnd(date);
    if (key !== period) {
      period = key;
      running = ZERO;
    }
    running = add(running, amount);
    if (running < NEXT_DAY_MARK) continue;
    nextDays.add(date);
    // Only a monthly depositor is turned by it (26 CFR 31.6302-1(b)(2)(ii)); for a semiweekly one the lookback decides on.
    if (schedule === 'monthly') turned.push(date);
    // Accumulation starts again.
    running = ZERO;
  }
  return { nextDays, on };
}
