import type { DayRule, DepositCalendar } from './deposit-calendar.js';
import type { Provenance } from './dated.js';

/** How long a return is for. */
export type PeriodOfReturn = 'month' | 'quarter' | 'year';
/**
 * Taxes of a state on a return, by the second half of their codes (`SUI`, `SIT`, `SDI`). `LOCAL`: every tax of a place
 * that the agency of the return collects.
 */
export type ReturnTax = string;

/** What a line of a state's return says. Lines are named by their ids, all of them above it. */
export type LineAmount =
  /** People whose pay period includes the 12th of the first, second or third month of the quarter. */
  | { readonly is: 'workers'; readonly month: 1 | 2 | 3 }
  /** People with wages in the period. */
  | { readonly is: 'people'; readonly tax: ReturnTax }
  /** Wages of a tax before its base ends, within it, or beyond it. */
  | { readonly is: 'wages'; readonly tax: ReturnTax; readonly part: 'all' | 'taxable' | 'excess' }
  /** What was withheld or came to be owed, as the ledger has it. */
  | { readonly is: 'tax'; readonly taxes: readonly ReturnTax[] }
  /** A line times the rate of a tax: the client's own, or that of the law; half a cent up. */
  | { readonly is: 'by-rate'; readonly from: string; readonly tax: ReturnTax }
  | { readonly is: 'sum'; readonly of: readonly string[] }
  /** One line less others; `part`: only what is owed, or only what is too much. */
  | {
      readonly is: 'less';
      readonly from: string;
      readonly of: readonly string[];
      readonly part?: 'owed' | 'overpaid';
    }
  /** Deposited for the period. */
  | { readonly is: 'paid'; readonly taxes: readonly ReturnTax[] }
  /** Not in any ledger: entered on the return. */
  | { readonly is: 'entered'; readonly name: string; readonly help: string };

export interface StateLine {
  /** As it is printed on the form; a word where the form has no number of its own here. */
  readonly id: string;
  readonly label: string;
  readonly amount: LineAmount;
}

/** What is reported of each person. */
export type DetailColumn = 'wages' | 'excess' | 'taxable' | 'income-wages' | 'income-tax' | 'weeks' | 'hours';
/**
 * How a return leaves. `275`: the quarterly records of 275 positions that most agencies derive theirs from. `512`: RA to
 * RF with RS records, of 512 positions. `delimited`: a line a person. `lines`: no people, each line of the return with its
 * amount.
 */
export type ReturnFile = '275' | '512' | 'delimited' | 'lines';

/** A return to an agency of a state or its places, all of it data. */
export interface StateReturn {
  /** Code of the kind: `ny-nys-45`. */
  readonly code: string;
  /** `Form NYS-45`. */
  readonly form: string;
  readonly title: string;
  /** Code of the agency that takes it. */
  readonly agency: string;
  readonly edition: Provenance;
  readonly period: PeriodOfReturn;
  readonly due: DayRule;
  /**
   * Deposit frequencies of the agency under which it is filed for a period of its own, with the form that is used then.
   * Whoever deposits otherwise, or of whom no frequency is recorded, files it for `period`.
   */
  readonly follows?: Readonly<Record<string, string>>;
  /** Filed under one deposit frequency alone: set where `follows` is written out. */
  readonly frequency?: string;
  /** The taxes that it reports: it is owed for a period with any of them. */
  readonly taxes: readonly ReturnTax[];
  readonly lines: readonly StateLine[];
  /** Its total, and what is still owed, by their lines. */
  readonly total: string;
  readonly balance: string;
  /** Of each person with wages of the first tax. */
  readonly detail?: readonly DetailColumn[];
  /** Wages and tax by place, where the return is of many places. */
  readonly byPlace?: true;
  readonly file: ReturnFile;
}

/** For what period each deposit frequency files, where a return follows it. */
const PERIODS: Readonly<Record<string, PeriodOfReturn>> = { monthly: 'month', quarterly: 'quarter', yearly: 'year' };

/** The returns of a state, each that follows the deposit frequency once for every period it is filed for. */
export function writtenOut(returns: readonly StateReturn[], calendars: readonly DepositCalendar[]): StateReturn[] {
  return returns.flatMap((spec): StateReturn[] => [
    spec,
    ...Object.entries(spec.follows ?? {}).map(([frequency, form]): StateReturn => {
      const classes = calendars.flatMap(({ rules }) => rules.at(-1)?.value.classes ?? []);
      const due = classes.find(({ code }) => code === frequency)?.due;
      const period = PERIODS[frequency];
      if (!due || due.is === 'accumulated' || due.is === 'carried' || !period)
        throw new Error(`${spec.code} follows ${frequency}, and no calendar has it`);
      const { follows: _follows, ...same } = spec;
      const name = form === spec.form ? `${form} (${frequency})` : form;
      return { ...same, code: `${spec.code}-${frequency}`, form: name, period, due, frequency };
    }),
  ]);
}
