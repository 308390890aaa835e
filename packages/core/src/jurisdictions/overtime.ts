import type { Rate } from '../money/rate.js';
import { dated, recalled, years, type Dated } from './dated.js';
import { publication } from './state-words.js';

/** From this many hours of a workday on, hours are paid as this item. */
export interface DayStep {
  readonly hours: number;
  readonly item: 'overtime' | 'double-time';
}
/** Overtime of a state by the workday, beside the 40 hours of the workweek. Steps rise. */
export interface DailyOvertime {
  readonly day: readonly DayStep[];
  /** On the seventh day in a row of one workweek, instead. */
  readonly seventhDay?: readonly DayStep[];
  /** Only for who is paid less an hour than so many times the minimum wage of the state. */
  readonly belowMinimumTimes?: Rate;
}

/** What a state's law says about hours of one day, since 2024. */
export const overtimeByDay = (law: string, rule: DailyOvertime, doubt?: string): readonly Dated<DailyOvertime>[] => [
  dated(years(2024, 2026), recalled(publication(law, 'State legislature', '2025'), 'hours of a workday', doubt), rule),
];
