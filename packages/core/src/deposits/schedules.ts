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
  /** Check dates whose taxes are due the business day after a day on which 100,000 were reached, with that day. */
  readonly nextDays: ReadonlyMap<LocalDate, LocalDate>;
  /** The schedule of the taxes of a check date. */
  readonly on: (day: LocalDate) => Scheduled;
}

/**
 * Follows the taxes of Form 941 through the deposit periods. On the day on which 100,000 have accumulated in one, all that
 * has accumulated in it falls due the next business day, counting begins again at zero the day after, and a monthly
 * depositor is a semiweekly one for the rest of the year and the next (Publication 15, section 11; 26 CFR 31.6302-1(c)(3)).
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
  const nextDays = new Map<LocalDate, LocalDate>();
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
  /** What has accumulated in the period and is not due the next day already. */
  let accumulated: DatedAmount[] = [];
  for (const line of byDay(liabilities)) {
    const { schedule } = on(line.date);
    const key = schedule === 'monthly' ? line.date.slice(0, 7) : semiweeklyPeriodEnd(line.date);
    if (key !== period) {
      period = key;
      accumulated = [];
    }
    accumulated.push(line);
    if (sum(accumulated.map(({ amount }) => amount)) < NEXT_DAY_MARK) continue;
    for (const one of accumulated) nextDays.set(one.date, line.date);
    // Only a monthly depositor is turned by it (26 CFR 31.6302-1(b)(2)(ii)); for a semiweekly one the lookback decides on.
    if (schedule === 'monthly') turned.push(line.date);
    accumulated = [];
  }
  return { nextDays, on };
}

/** One line for each day, in their order: what accumulates is looked at when a day has ended. */
function byDay(liabilities: readonly DatedAmount[]): DatedAmount[] {
  const days = new Map<LocalDate, Cents>();
  for (const { date, amount } of liabilities) days.set(date, add(days.get(date) ?? ZERO, amount));
  return [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, amount]) => ({ date, amount }));
}
