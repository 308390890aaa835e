import { showDate, type LocalDate } from '../calendar/local-date.js';
import { firstDayOf, lastDayOf, nextQuarter, showQuarter, type Quarter } from '../calendar/quarter.js';
import type { DepositRules, Lookback, LookbackPeriod } from '../jurisdictions/deposit-calendar.js';
import { showDollars, sum, type Cents } from '../money/cents.js';

export interface DatedAmount {
  readonly date: LocalDate;
  readonly amount: Cents;
}
/** How often somebody deposits, with the reason in words; null when it is not known, and then the reason says what is missing. */
export interface ClassFound {
  readonly class: string | null;
  readonly why: string;
}

const FIRST: Readonly<Record<LookbackPeriod, readonly [yearsBefore: number, quarter: 1 | 3]>> = {
  'year-to-june': [2, 3],
  'year-before': [1, 1],
  'second-year-before': [2, 1],
};
/** The four quarters whose amounts decide about a year. */
export function lookbackQuarters(period: LookbackPeriod, year: number): readonly Quarter[] {
  const [before, quarter] = FIRST[period];
  const first: Quarter = { year: year - before, quarter };
  const second = nextQuarter(first);
  const third = nextQuarter(second);
  return [first, second, third, nextQuarter(third)];
}

/** The class that the amounts of a lookback period give (for federal deposits Publication 15, section 11). */
export function classFromLookback({ classes }: DepositRules, { steps, isReached }: Lookback, total: Cents): ClassFound {
  const isOver = (over: Cents): boolean => total > over || (isReached === true && total === over);
  const [lowest, ...higher] = steps;
  const step = higher.findLast(({ over }) => isOver(over)) ?? lowest;
  const mark = (higher.findLast(({ over }) => isOver(over)) ?? higher[0])?.over ?? total;
  const found = classes.find(({ code }) => code === step?.class);
  const compared = isOver(mark)
    ? isReached
      ? 'not less than'
      : 'more than'
    : isReached
      ? 'less than'
      : 'not more than';
  return {
    class: found?.code ?? null,
    why: `Lookback taxes of ${showDollars(total)} are ${compared} ${showDollars(mark)}.`,
  };
}

/** What is known of how often somebody deposits. */
export interface ClassFacts {
  /** What the agency assigned, or somebody entered, for the day; it stands before everything. */
  readonly said: (day: LocalDate) => { readonly class: string; readonly since: LocalDate } | null;
  /** The amounts of the lookback period entered for a year, added up; null when none were. */
  readonly entered: (year: number) => Cents | null;
  /** Liabilities of the ledger. */
  readonly liabilities: readonly DatedAmount[];
  /** The day from which the ledger is complete: its first liability, or the day wages were first paid. */
  readonly completeFrom: LocalDate | null;
  /** Wages were paid from this day on: before it nothing was owed. Null: not known. */
  readonly firstWages: LocalDate | null;
  /** What was entered when the client was taken on; null: nothing was. */
  readonly otherwise: Cents | null;
}

/** The class with which a year begins: the only one, or as entered, else by the ledger, else by the last amount entered. */
export function classOfYear(rules: DepositRules, year: number, facts: ClassFacts): ClassFound {
  const [only, second] = rules.classes;
  if (only && !second) return { class: only.code, why: `${only.label}: the agency knows no other.` };
  const { lookback } = rules;
  if (!lookback) return { class: null, why: 'The agency assigns how often is deposited; it is not entered.' };
  const entered = facts.entered(year);
  if (entered !== null) return classFromLookback(rules, lookback, entered);
  const quarters = lookbackQuarters(lookback.period, year);
  const missing = quarters.filter(
    (quarter) =>
      !(facts.completeFrom !== null && facts.completeFrom <= lastDayOf(quarter)) &&
      !(facts.firstWages !== null && facts.firstWages > lastDayOf(quarter)),
  );
  const [first, last] = [quarters[0], quarters.at(-1)];
  if (missing.length === 0 && first && last) {
    const [from, to] = [firstDayOf(first), lastDayOf(last)];
    const total = sum(facts.liabilities.filter(({ date }) => date >= from && date <= to).map(({ amount }) => amount));
    const found = classFromLookback(rules, lookback, total);
    return {
      ...found,
      why: `${found.why} They are those of the ledger, ${showQuarter(first)} to ${showQuarter(last)}.`,
    };
  }
  const names = missing.map(showQuarter).join(', ');
  if (facts.otherwise === null) return { class: null, why: `The ledger does not have ${names}.` };
  const found = classFromLookback(rules, lookback, facts.otherwise);
  return { ...found, why: `${found.why} They are those entered last; the ledger does not have ${names}.` };
}

/** The class that somebody entered for a day; null: nobody did, and it is that with which the year begins. */
export function classSaid(rules: DepositRules, day: LocalDate, facts: ClassFacts): ClassFound | null {
  const said = facts.said(day);
  const known = rules.classes.find(({ code }) => code === said?.class);
  return said && known ? { class: known.code, why: `${known.label}: as entered since ${showDate(said.since)}.` } : null;
}
