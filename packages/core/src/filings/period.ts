import { date, daysInMonth, makeDate, monthOf, yearOf, type LocalDate } from '../calendar/local-date.js';
import { firstDayOf, lastDayOf, quarterOf, showQuarter, type QuarterNumber } from '../calendar/quarter.js';

export const PERIOD_KINDS = ['month', 'quarter', 'year'] as const;
export type PeriodKind = (typeof PERIOD_KINDS)[number];
/** What a return is for, by its days. */
export interface FilingPeriod {
  readonly kind: PeriodKind;
  readonly start: LocalDate;
  readonly end: LocalDate;
}

/** The period of a kind that a day is in. */
export function periodWith(kind: PeriodKind, day: LocalDate): FilingPeriod {
  const [year, month] = [yearOf(day), monthOf(day)];
  switch (kind) {
    case 'month':
      return { kind, start: makeDate(year, month, 1), end: makeDate(year, month, daysInMonth(year, month)) };
    case 'quarter':
      return { kind, start: firstDayOf(quarterOf(day)), end: lastDayOf(quarterOf(day)) };
    case 'year':
      return { kind, start: makeDate(year, 1, 1), end: makeDate(year, 12, 31) };
  }
}

/** A period as it is written down: `2026`, `2026-Q1`, `2026-03`. */
export function periodKey({ kind, start }: FilingPeriod): string {
  if (kind === 'quarter') return `${yearOf(start)}-Q${quarterOf(start).quarter}`;
  return kind === 'year' ? start.slice(0, 4) : start.slice(0, 7);
}
const KEY = /^(\d{4})(?:-(?:Q([1-4])|(0[1-9]|1[0-2])))?$/;
/** Reads a period as periodKey writes it; null when it is none. */
export function parsePeriod(key: string): FilingPeriod | null {
  const [, year, quarter, month] = KEY.exec(key) ?? [];
  if (year === undefined || Number(year) < 1900 || Number(year) > 2199) return null;
  if (quarter !== undefined)
    return periodWith('quarter', firstDayOf({ year: Number(year), quarter: Number(quarter) as QuarterNumber }));
  return month === undefined
    ? periodWith('year', date(`${year}-01-01`))
    : periodWith('month', date(`${year}-${month}-01`));
}
/** The day on which people are counted: the 12th of a month, by default of the last one of the period. */
export const twelfthOf = (month: 'last' | number | undefined, { end }: FilingPeriod): LocalDate =>
  makeDate(yearOf(end), typeof month === 'number' ? month : monthOf(end), 12);
/** A period in words: `2026`, `Q1 2026`, `2026-03`. */
export const periodLabel = (period: FilingPeriod): string =>
  period.kind === 'quarter' ? showQuarter(quarterOf(period.start)) : periodKey(period);
/** Every period of a kind in a year, in order. */
export const periodsOfYear = (kind: PeriodKind, year: number): readonly FilingPeriod[] =>
  Array.from({ length: { month: 12, quarter: 4, year: 1 }[kind] }, (_, index) =>
    periodWith(kind, makeDate(year, index * { month: 1, quarter: 3, year: 12 }[kind] + 1, 1)),
  );
