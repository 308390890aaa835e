import { addBusinessDays } from '../calendar/business-days.js';
import { makeDate, monthOf, showDate, yearOf, type LocalDate } from '../calendar/local-date.js';
import { lastDayOf, quarterOf } from '../calendar/quarter.js';
import { problem, type Issue } from '../issues/issue.js';
import { inForce } from '../jurisdictions/dated.js';
import type { DepositCalendar, DepositClass, DepositRules, DueRule } from '../jurisdictions/deposit-calendar.js';
import { ZERO, add, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { classOfYear, classSaid, type ClassFacts, type ClassFound, type DatedAmount } from './deposit-class.js';
import { dueBy, isDayRule, semiweeklyPeriodEnd, type Due } from './due-rules.js';

/** What was withheld or became owed on a day, and what of it was deposited when. Cents. */
export interface Accrued extends DatedAmount {
  readonly deposited?: readonly DatedAmount[];
  /** Stands for more days than its own, such as a whole quarter brought in: it says nothing of what accumulated by the day. */
  readonly isSummed?: true;
}
/** When what accrued on a day is due; or the question that has to be answered before it has a date. */
export type DepositDue =
  | (Due & { readonly class: string; readonly question: null })
  | { readonly due: null; readonly rule: string; readonly class: null; readonly question: Issue };

export interface DepositDates {
  /** By the day on which it accrued. */
  readonly dues: ReadonlyMap<LocalDate, DepositDue>;
  /** Days whose amounts are due the business day after a day on which the next-day mark was reached, with that day. */
  readonly nextDays: ReadonlyMap<LocalDate, LocalDate>;
  /** How often the depositor deposits what accrues on a day. */
  readonly classOn: (day: LocalDate) => ClassFound;
}

interface Day {
  readonly date: LocalDate;
  readonly amount: Cents;
  /** Of it what counts towards the next-day mark. */
  readonly ofTheDay: Cents;
  readonly deposited: readonly DatedAmount[];
  readonly rules: DepositRules;
  readonly depositClass: DepositClass;
}

/** The calendar that a deposit has no rules in, for questions. */
export interface DepositName {
  readonly code: string;
  readonly label: string;
  /** The period of the return that says it. */
  readonly period: 'quarter' | 'year';
}

/**
 * Reads a deposit calendar over everything that accrued. The next-day rule: on the day on which the mark has accumulated
 * in a deposit period, all that accumulated in it falls due the next business day, counting begins again at zero the day
 * after, and a depositor of the less frequent class is turned for the rest of the year and the next (26 CFR 31.6302-1(c)(3)).
 */
export function depositDates(
  name: DepositName,
  calendar: DepositCalendar | null,
  accrued: readonly Accrued[],
  facts: ClassFacts,
): DepositDates {
  /** Days that turned a depositor into another class. */
  const turned: { readonly day: LocalDate; readonly to: string; readonly why: string }[] = [];
  const ofYears = new Map<DepositRules, Map<number, ClassFound>>();
  /** The class of each year is looked up once; what was said of a day stands before it. */
  const begun = (rules: DepositRules, day: LocalDate): ClassFound => {
    const said = classSaid(rules, day, facts);
    if (said) return said;
    const year = yearOf(day);
    const years = ofYears.get(rules) ?? new Map<number, ClassFound>();
    const found = years.get(year) ?? classOfYear(rules, year, facts);
    ofYears.set(rules, years.set(year, found));
    return found;
  };
  const classAt = (day: LocalDate): ClassFound => {
    const rules = calendar ? inForce(calendar.rules, day)?.value : null;
    if (!rules) return { class: null, why: `No deposit calendar is loaded for ${name.label}.` };
    const found = begun(rules, day);
    const turn =
      found.class === rules.nextDay?.turns.from
        ? turned.find(
            (hit) => (yearOf(hit.day) === yearOf(day) && hit.day < day) || yearOf(hit.day) === yearOf(day) - 1,
          )
        : undefined;
    return turn ? { class: turn.to, why: turn.why } : found;
  };

  const dues = new Map<LocalDate, DepositDue>();
  const nextDays = new Map<LocalDate, LocalDate>();
  const days: Day[] = [];
  let period = '';
  let accumulated: Day[] = [];
  for (const line of byDay(accrued)) {
    const rules = calendar ? inForce(calendar.rules, line.date)?.value : null;
    const found = classAt(line.date);
    const depositClass = rules?.classes.find(({ code }) => code === found.class);
    if (!rules || !depositClass) {
      dues.set(line.date, { due: null, rule: found.why, class: null, question: questionOf(name, rules ?? null) });
      continue;
    }
    const day: Day = { ...line, rules, depositClass };
    days.push(day);
    if (!rules.nextDay) continue;
    const key = periodOf(depositClass.due, line.date);
    if (key !== period) [period, accumulated] = [key, []];
    accumulated.push(day);
    const { mark, turns } = rules.nextDay;
    if (sum(accumulated.map(({ ofTheDay }) => ofTheDay)) < mark) continue;
    for (const one of accumulated) nextDays.set(one.date, line.date);
    // Only the less frequent depositor is turned by it (26 CFR 31.6302-1(b)(2)(ii)); for others the lookback decides on.
    if (depositClass.code === turns.from)
      turned.push({
        day: line.date,
        to: turns.to,
        why: `${showDollars(mark)} were reached with the check of ${showDate(line.date)}: ${turns.to} for the rest of that year and the next.`,
      });
    accumulated = [];
  }

  const put = (day: Day, { due, rule }: Due): void =>
    void dues.set(day.date, {
      due,
      rule: `${day.depositClass.label}: ${rule}.`,
      class: day.depositClass.code,
      question: null,
    });
  const returnOf = ({ date }: Day): string => (name.period === 'year' ? date.slice(0, 4) : lastDayOf(quarterOf(date)));
  const returns = new Map<string, Cents>();
  for (const day of days) returns.set(returnOf(day), add(returns.get(returnOf(day)) ?? ZERO, day.amount));
  /** Words for an amount so small for the period of its return that it may wait for it. */
  const mayWait = (day: Day): string => {
    const mark = day.rules.withReturnUnder;
    if (mark === undefined) return '';
    return (returns.get(returnOf(day)) ?? ZERO) < mark
      ? `; while it stays under ${showDollars(mark)} for the ${name.period}, it may be paid with the return instead`
      : '';
  };
  const gathered = new Map<string, Day[]>();
  for (const day of days) {
    const { due: rule } = day.depositClass;
    const reached = nextDays.get(day.date);
    if (reached) put(day, nextDay(day, reached));
    else if (isDayRule(rule)) {
      const found = dueBy(rule, day.date, day.rules.holidays);
      put(day, { due: found.due, rule: `${found.rule}${mayWait(day)}` });
    } else {
      const key = `${rule.is === 'carried' ? yearOf(day.date) : lastDayOf(quarterOf(day.date))} ${day.depositClass.code}`;
      gathered.set(key, [...(gathered.get(key) ?? []), day]);
    }
  }
  for (const group of gathered.values()) {
    const rule = group[0]?.depositClass.due;
    if (rule?.is === 'accumulated') accumulate(rule, group, put);
    if (rule?.is === 'carried') carry(rule, group, put);
  }
  return { dues, nextDays, classOn: classAt };
}

const questionOf = ({ code, label }: DepositName, rules: DepositRules | null): Issue =>
  rules
    ? problem('deposit.no-class', `frequency.${code}`, {
        what: label,
        choices: rules.classes.map((one) => one.label.toLowerCase()).join(', '),
      })
    : problem('deposit.no-calendar', `frequency.${code}`, { what: label });

/** Deposit periods of the next-day rule: a month, or the half of a week. */
const periodOf = (rule: DueRule, day: LocalDate): string =>
  rule.is === 'semiweekly' ? semiweeklyPeriodEnd(day) : day.slice(0, 7);

function nextDay({ date, rules }: Day, reached: LocalDate): Due {
  const mark = showDollars(rules.nextDay?.mark ?? ZERO);
  const gathered = reached === date ? '' : ', this check date’s taxes among them,';
  return {
    due: addBusinessDays(reached, 1, rules.holidays),
    rule: `the taxes accumulated in the deposit period${gathered} reached ${mark} on ${showDate(reached)}; all of them are due the next business day`,
  };
}

type Put = (day: Day, due: Due) => void;
/** What of some days is not deposited at the end of a day. */
const undeposited = (days: readonly Day[], until: LocalDate): Cents =>
  sum(
    days.map(({ amount, deposited }) =>
      subtract(amount, sum(deposited.filter(({ date }) => date <= until).map((one) => one.amount))),
    ),
  );

/** Within a quarter: as soon as what is not deposited comes to the mark, all of it is due. */
function accumulate(rule: Extract<DueRule, { is: 'accumulated' }>, days: readonly Day[], put: Put): void {
  let waiting: Day[] = [];
  for (const day of days) {
    waiting.push(day);
    const total = undeposited(waiting, day.date);
    if (total < rule.mark) continue;
    const { due, rule: words } = dueBy(rule.reached, day.date, day.rules.holidays);
    for (const one of waiting)
      put(one, {
        due,
        rule: `${showDollars(total)} not deposited of the quarter reach ${showDollars(rule.mark)} with the payroll of ${showDate(day.date)}; ${words}`,
      });
    waiting = [];
  }
  for (const one of waiting) {
    const { due, rule: words } = dueBy(rule.otherwise, one.date, one.rules.holidays);
    put(one, { due, rule: `less than ${showDollars(rule.mark)} is not deposited of the quarter; ${words}` });
  }
}

/** Within a year: with the quarter in which what is not deposited is more than the mark. */
function carry(rule: Extract<DueRule, { is: 'carried' }>, days: readonly Day[], put: Put): void {
  let waiting: Day[] = [];
  const ends = [...new Set(days.map(({ date }) => lastDayOf(quarterOf(date))))];
  for (const end of ends) {
    waiting.push(...days.filter(({ date }) => lastDayOf(quarterOf(date)) === end));
    const total = undeposited(waiting, end);
    if (total <= rule.mark) continue;
    for (const one of waiting) {
      const { due, rule: words } = dueBy(rule.over, end, one.rules.holidays);
      put(one, { due, rule: `${showDollars(total)} not deposited are more than ${showDollars(rule.mark)}; ${words}` });
    }
    waiting = [];
  }
  for (const one of waiting) {
    const isLast = monthOf(ends.at(-1) ?? one.date) === 12;
    const { due, rule: words } = dueBy(rule.otherwise, makeDate(yearOf(one.date), 12, 31), one.rules.holidays);
    put(one, {
      due,
      rule: isLast
        ? `what is left of the year; ${words}`
        : `not more than ${showDollars(rule.mark)} is not deposited, so it is carried forward; at the latest ${words}`,
    });
  }
}

/** One line for each day, in their order: what accumulates is looked at when a day has ended. */
function byDay(accrued: readonly Accrued[]): Pick<Day, 'date' | 'amount' | 'ofTheDay' | 'deposited'>[] {
  const days = new Map<LocalDate, { amount: Cents; ofTheDay: Cents; deposited: DatedAmount[] }>();
  for (const { date, amount, deposited = [], isSummed } of accrued) {
    const day = days.get(date) ?? { amount: ZERO, ofTheDay: ZERO, deposited: [] };
    days.set(date, {
      amount: add(day.amount, amount),
      ofTheDay: isSummed ? day.ofTheDay : add(day.ofTheDay, amount),
      deposited: [...day.deposited, ...deposited],
    });
  }
  return [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, day]) => ({ date, ...day }));
}
