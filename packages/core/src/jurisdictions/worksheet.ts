import type { Cents } from '../money/cents.js';
import type { Rounding } from '../money/exact.js';
import type { Rate } from '../money/rate.js';
import type { Bracket } from './brackets.js';

/** A value for each column of a table (a filing status, a table letter); `*` stands for every column not named. */
export type ByColumn<T> = Readonly<Record<string, T>>;

/** An amount of a worksheet, a year's unless it stands after the line `period`. */
export type Quantity =
  | { readonly is: 'fixed'; readonly by: ByColumn<Cents> }
  /** A whole number on the certificate × an amount each; `atLeast` puts a floor under the number. */
  | {
      readonly is: 'count';
      readonly field: string;
      readonly each: ByColumn<Cents>;
      readonly atMost?: number;
      /** The publication prints a table of multiples up to this number, each rounded; above it, so many times one. */
      readonly tableUpTo?: number;
    }
  /** An amount as the certificate gives it, for the year or for each pay period. */
  | { readonly is: 'given'; readonly field: string; readonly per: 'year' | 'period' }
  | { readonly is: 'share'; readonly rate: Rate; readonly least?: ByColumn<Cents>; readonly most?: ByColumn<Cents> }
  /** `start`, less `rate` of the wages over `over`, or less `drop` for each whole `step` over; never under `least`. */
  | {
      readonly is: 'slide';
      readonly start: ByColumn<Cents>;
      readonly over: ByColumn<Cents>;
      readonly least: ByColumn<Cents>;
      readonly by:
        { readonly rate: ByColumn<Rate> } | { readonly drop: ByColumn<Cents>; readonly step: ByColumn<Cents> };
    }
  /** `start` × (`until` − wages) ÷ (`until` − `over`) between the two, whole under and nothing above. */
  | {
      readonly is: 'fade';
      readonly start: ByColumn<Cents>;
      readonly over: ByColumn<Cents>;
      readonly until: ByColumn<Cents>;
    }
  /** The amount of the last row whose wages are not above (or, with `from`, not at or above) the annual wages. */
  | { readonly is: 'tiers'; readonly rows: ByColumn<readonly Tier[]>; readonly times?: string }
  /** The annual federal income tax on the same wages, up to an amount that may depend on the wages. */
  | { readonly is: 'federal-tax'; readonly most?: ByColumn<readonly Tier[]> }
  /** OASDI and HI of the employee on the same wages, period by period until the year's reach an amount. */
  | { readonly is: 'social-insurance'; readonly most: Cents }
  /** One amount or another, as a field of the certificate is above zero or not; `isGiven`: filled in, be it with zero. */
  | {
      readonly is: 'when';
      readonly field: string;
      readonly isGiven?: true;
      readonly then: Quantity;
      readonly otherwise?: Quantity;
    };

/** From annual wages over `over` on, `amount`. */
export interface Tier {
  readonly over: Cents;
  readonly amount: Cents;
}
export interface RateTier {
  readonly over: Cents;
  readonly rate: Rate;
}

/** One line of a publication's withholding worksheet, carried out in order. */
export type WorksheetLine =
  | { readonly do: 'deduct'; readonly label: string; readonly amount: Quantity }
  | { readonly do: 'tax'; readonly label: string; readonly tables: ByColumn<readonly Bracket[]> }
  /** A percentage that the person elected on the certificate. */
  | { readonly do: 'tax-at'; readonly label: string; readonly field: string }
  | { readonly do: 'credit'; readonly label: string; readonly amount: Quantity }
  | { readonly do: 'add'; readonly label: string; readonly amount: Quantity }
  /** The tax × a rate that depends on the annual wages. */
  | {
      readonly do: 'times';
      readonly label: string;
      readonly rates: ByColumn<readonly RateTier[]>;
      readonly isCredit?: true;
    }
  /** Nothing is withheld when the wages are not above the amount. */
  | { readonly do: 'none-up-to'; readonly label: string; readonly amount: ByColumn<Cents> }
  /** The middle of the range of `step` dollars that the taxable amount falls in, below `below`. */
  | { readonly do: 'middle'; readonly label: string; readonly step: Cents; readonly below: Cents }
  /** At least this share of the taxable wages before the table, unless the person may have less; only by larger employers. */
  | {
      readonly do: 'at-least';
      readonly label: string;
      readonly rate: Rate;
      readonly unless: string;
      /** Employers of no more people than this need not; a size that is not known is taken to be larger. */
      readonly employersOver: number;
    }
  | {
      readonly do: 'round';
      readonly label: string;
      readonly what: 'taxable' | 'tax';
      readonly to: 'dollar' | 'cent';
      readonly mode: Rounding;
    }
  /** The county rate of the person on the taxable amount, where the state withholds both together (Maryland). */
  | { readonly do: 'local'; readonly label: string; readonly otherwise: Rate }
  /** The year's tax ÷ the pay periods; stands at the end when no line says it. */
  | { readonly do: 'period'; readonly label: string };

/** Chooses the column: the first rule all of whose conditions hold. */
export interface ColumnRule {
  readonly column: string;
  readonly when: Readonly<Record<string, string | boolean | readonly string[] | { readonly atLeast: number }>>;
}

/** A published withholding computation as data. */
export interface Worksheet {
  readonly columns: readonly ColumnRule[];
  readonly lines: readonly WorksheetLine[];
  /**
   * `annual`: wages × periods through the lines, then ÷ periods. `period`: the lines on the period's wages with every
   * amount ÷ periods first, rounded as the publication prints its period tables.
   */
  readonly basis: 'annual' | { readonly period: 'dollar' | 'cent' };
  readonly result: { readonly to: 'cent' | 'dollar'; readonly mode: Rounding };
}
