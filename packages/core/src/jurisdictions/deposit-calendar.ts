import type { HolidayCalendar } from '../calendar/holidays.js';
import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { Dated } from './dated.js';

/** When a deposit is due. Every date that is no business day of the agency moves to the next one that is. */
export type DayRule =
  /** So many days after the check date. */
  | { readonly is: 'after-check'; readonly days: number; readonly counted: 'business' | 'calendar' }
  /** Wednesday for check dates of Wednesday to Friday, Friday for those of Saturday to Tuesday; three business days at least. */
  | { readonly is: 'semiweekly' }
  /** A weekday (0 is Sunday) of the week after the one, Sunday to Saturday, that has the check date. */
  | { readonly is: 'after-week'; readonly weekday: number }
  /** So many days after the part of the month that has the check date: halves, quarters or eighths of a month by their ends. */
  | {
      readonly is: 'after-part';
      readonly ends: readonly DayOfMonth[];
      readonly days: number;
      readonly counted: 'business' | 'calendar';
    }
  /** Check dates to the 15th by a day of their own month, later ones by a day of the month after. */
  | { readonly is: 'by-half'; readonly first: DayOfMonth; readonly second: DayOfMonth }
  /** So many calendar days after the last day of the month. */
  | { readonly is: 'after-month-end'; readonly days: number }
  /** A day of the month after; months that end a quarter, or the year, may have another. */
  | {
      readonly is: 'after-month';
      readonly day: DayOfMonth;
      readonly endsQuarter?: DayOfMonth;
      readonly endsYear?: DayOfMonth;
    }
  /** A day of the month after the quarter. */
  | { readonly is: 'after-quarter'; readonly day: DayOfMonth }
  /** A day of the year after. */
  | { readonly is: 'after-year'; readonly month: number; readonly day: DayOfMonth };

/** Rules of one day, and those that look at what came before as well. */
export type DueRule =
  | DayRule
  /** By `reached` once what is not deposited comes to `mark` within a quarter; what is left at its end by `otherwise`. */
  | { readonly is: 'accumulated'; readonly mark: Cents; readonly reached: DayRule; readonly otherwise: DayRule }
  /** By the quarter in which what is not deposited is more than `mark`; less is carried on, and the rest of the year by `otherwise`. */
  | { readonly is: 'carried'; readonly mark: Cents; readonly over: DayRule; readonly otherwise: DayRule };
export type DayOfMonth = number | 'last';

/** How often somebody deposits, as the agency calls it. */
export interface DepositClass {
  readonly code: string;
  readonly label: string;
  readonly due: DueRule;
}

/** Which earlier amounts decide about a year. */
export type LookbackPeriod =
  /** The four quarters that end on June 30 of the year before. */
  | 'year-to-june'
  /** The calendar year before. */
  | 'year-before'
  /** The calendar year two years before. */
  | 'second-year-before';
export interface Lookback {
  readonly period: LookbackPeriod;
  /** From the lowest: the class of those whose amounts are more than `over` (with `isReached`, `over` or more). */
  readonly steps: readonly { readonly over: Cents; readonly class: string }[];
  readonly isReached?: true;
}

/** The rules of an agency for one kind of deposit. */
export interface DepositRules {
  readonly holidays: HolidayCalendar;
  readonly classes: readonly DepositClass[];
  /** How the class of a year follows from earlier amounts; without it the agency assigns it. */
  readonly lookback?: Lookback;
  /** What accumulates to this in one deposit period of a class is due the next business day, and turns the depositor. */
  readonly nextDay?: { readonly mark: Cents; readonly turns: { readonly from: string; readonly to: string } };
  /** Under this for the return's period, what is owed may be paid with the return. */
  readonly withReturnUnder?: Cents;
}

/** The penalty for a deposit that is late by more than so many calendar days, as a share of what is late. */
export interface LateTier {
  readonly overDays: number;
  readonly rate: Rate;
}
/** What an agency adds to a deposit that is late, apart from interest; `least` is the lowest penalty in cents. */
export type LatePenalty =
  | { readonly is: 'tiers'; readonly tiers: readonly LateTier[]; readonly least?: Cents }
  /** A share for each month late or part of one: `first` for the first `firstMonths` together, `each` for every one after. */
  | {
      readonly is: 'by-month';
      readonly first: Rate;
      readonly firstMonths: number;
      readonly each: Rate;
      readonly most: Rate;
      /** Counted by the calendar, or by spans of 30 days. */
      readonly counted: 'months' | '30 days';
      readonly least?: Cents;
    };

/** How taxes that are paid together are deposited, by the day on which wages are paid. */
export interface DepositCalendar {
  /** Code of the deposit: `US-941`, `NY-SIT`. */
  readonly family: string;
  readonly rules: readonly Dated<DepositRules>[];
  /** By the due date. Left out, no penalty of the agency is loaded, and none is estimated. */
  readonly late?: readonly Dated<LatePenalty>[];
}
