import { isWeekend } from '../calendar/business-days.js';
import { addDays, type LocalDate } from '../calendar/local-date.js';
import { allocate } from '../money/allocate.js';
import { ZERO, cents, parseDollars, toDollars } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { parseRate, showRate } from '../money/rate.js';
import { EMPLOYEE_FACTS } from './employee-facts.js';
import { text, type FactValue } from './fact-kind.js';
import { inForceOn, type DatedFact } from './in-force.js';

/** Days of a pay period on which one record of pay holds; null: the person is not employed on them. */
export interface PaySpan {
  readonly from: LocalDate;
  readonly to: LocalDate;
  readonly pay: FactValue | null;
  /** Mondays to Fridays of the span. */
  readonly workdays: number;
}
/** The days of a pay period and, in it, the employment of a person. */
export interface EmployedPeriod {
  readonly start: LocalDate;
  readonly end: LocalDate;
  readonly hiredOn: string | null;
  /** The last day of the employment; null while it goes on. */
  readonly lastDay: string | null;
}

const payOn = (facts: readonly DatedFact[], day: string): DatedFact | null =>
  inForceOn(
    facts.filter((fact) => fact.kind === 'pay'),
    day,
    EMPLOYEE_FACTS.slotOf,
  )[0] ?? null;

/** The records of pay of a period, day after day, given the facts of a person newest first. */
export function paySpans(facts: readonly DatedFact[], period: EmployedPeriod): PaySpan[] {
  const spans: { from: LocalDate; to: LocalDate; id: string | null; pay: FactValue | null; workdays: number }[] = [];
  for (let day = period.start; day <= period.end; day = addDays(day, 1)) {
    const isEmployed =
      (period.hiredOn === null || day >= period.hiredOn) && (period.lastDay === null || day <= period.lastDay);
    const fact = isEmployed ? payOn(facts, day) : null;
    const id = isEmployed ? (fact?.id ?? '') : null;
    const workday = isWeekend(day) ? 0 : 1;
    const last = spans.at(-1);
    if (last?.id === id) {
      last.to = day;
      last.workdays += workday;
    } else spans.push({ from: day, to: day, id, pay: fact?.value ?? null, workdays: workday });
  }
  return spans.map(({ from, to, pay, workdays }) => ({ from, to, pay, workdays }));
}

/** Whether two records pay the same for the same work. */
const isSamePay = (one: FactValue | null, other: FactValue | null): boolean =>
  ['basis', 'rate', 'amount', 'frequency', 'hours'].every((name) => text(one ?? {}, name) === text(other ?? {}, name));

/** Spans that pay the same, as one: a record that changes something else splits nothing. */
export function joined(spans: readonly PaySpan[]): PaySpan[] {
  const kept: PaySpan[] = [];
  for (const span of spans) {
    const last = kept.at(-1);
    if (last && (last.pay === null) === (span.pay === null) && isSamePay(last.pay, span.pay))
      kept[kept.length - 1] = { ...last, to: span.to, workdays: last.workdays + span.workdays };
    else kept.push(span);
  }
  return kept;
}

/** Hours may have more places than an amount has: shares of them are then of ten-thousandths. */
const FINE = cents(10_000);

/**
 * A value of the whole period (hours, or dollars of salary) shared out over spans by their workdays, to the hundredth; the
 * parts add up to it. Common practice: pay of part of a period is reckoned by the working days of the period.
 */
export function shareByWorkdays(whole: string, spans: readonly PaySpan[], index: number): string {
  const weights = spans.map(({ workdays }) => cents(workdays));
  const hundredths = parseDollars(whole);
  if (hundredths !== null) return toDollars(allocate(hundredths, weights)[index] ?? ZERO);
  const exact = parseRate(whole);
  if (exact === null) throw new RangeError(`not a number: ${whole}`);
  const fine = allocate(round(times(FINE, exact), 'half-up'), weights)[index] ?? ZERO;
  return showRate({ n: fine, d: FINE });
}
