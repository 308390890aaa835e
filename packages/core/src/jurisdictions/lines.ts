import { dollars, type Cents } from '../money/cents.js';
import { rate, type Rate } from '../money/rate.js';
import { brackets } from './brackets.js';
import type { ByColumn, ColumnRule, Quantity, RateTier, Tier, Worksheet, WorksheetLine } from './worksheet.js';

/** Words to write a worksheet as the publication prints it: amounts in dollars and rates as decimals, all text. */
type Dollars = string | Readonly<Record<string, string>>;
type Rates = string | Readonly<Record<string, string>>;
type Rows = readonly (readonly [over: string, base: string, rate: string])[];

const each = <T>(given: string | Readonly<Record<string, string>>, make: (text: string) => T): ByColumn<T> =>
  typeof given === 'string'
    ? { '*': make(given) }
    : Object.fromEntries(Object.entries(given).map(([column, text]) => [column, make(text)]));
const amounts = (given: Dollars): ByColumn<Cents> => each(given, dollars);
const ratesOf = (given: Rates): ByColumn<Rate> => each(given, rate);
const byColumn = <T, U>(
  given: readonly T[] | Readonly<Record<string, readonly T[]>>,
  make: (rows: readonly T[]) => U,
): ByColumn<U> =>
  Array.isArray(given)
    ? { '*': make(given as readonly T[]) }
    : Object.fromEntries(
        Object.entries(given as Record<string, readonly T[]>).map(([column, rows]) => [column, make(rows)]),
      );

export const fixed = (by: Dollars): Quantity => ({ is: 'fixed', by: amounts(by) });
export const count = (field: string, by: Dollars, atMost?: number): Quantity =>
  atMost === undefined ? { is: 'count', field, each: amounts(by) } : { is: 'count', field, each: amounts(by), atMost };
/** As count, from a printed table that rounds each multiple up to `tableUpTo`. */
export const countFromTable = (field: string, by: Dollars, tableUpTo: number): Quantity => ({
  is: 'count',
  field,
  each: amounts(by),
  tableUpTo,
});
export const given = (field: string, per: 'year' | 'period' = 'year'): Quantity => ({ is: 'given', field, per });
export const share = (by: string, limits: { least?: Dollars; most?: Dollars } = {}): Quantity => ({
  is: 'share',
  rate: rate(by),
  ...(limits.least === undefined ? {} : { least: amounts(limits.least) }),
  ...(limits.most === undefined ? {} : { most: amounts(limits.most) }),
});
export const slide = (start: Dollars, over: Dollars, by: Rates, least: Dollars = '0'): Quantity => ({
  is: 'slide',
  start: amounts(start),
  over: amounts(over),
  least: amounts(least),
  by: { rate: ratesOf(by) },
});
export const stairs = (start: Dollars, over: Dollars, drop: Dollars, step: Dollars, least: Dollars): Quantity => ({
  is: 'slide',
  start: amounts(start),
  over: amounts(over),
  least: amounts(least),
  by: { drop: amounts(drop), step: amounts(step) },
});
export const fade = (start: Dollars, over: Dollars, until: Dollars): Quantity => ({
  is: 'fade',
  start: amounts(start),
  over: amounts(over),
  until: amounts(until),
});
const tierRows = (rows: readonly (readonly [string, string])[]): readonly Tier[] =>
  rows.map(([over, amount]) => ({ over: dollars(over), amount: dollars(amount) }));
type TierText = readonly (readonly [over: string, amount: string])[];
export const tiers = (rows: TierText | Readonly<Record<string, TierText>>, times?: string): Quantity => ({
  is: 'tiers',
  rows: byColumn(rows, tierRows),
  ...(times === undefined ? {} : { times }),
});
export const federalTax = (most?: TierText | Readonly<Record<string, TierText>>): Quantity =>
  most === undefined ? { is: 'federal-tax' } : { is: 'federal-tax', most: byColumn(most, tierRows) };
export const socialInsurance = (most: string): Quantity => ({ is: 'social-insurance', most: dollars(most) });
export const when = (field: string, then: Quantity, otherwise?: Quantity): Quantity =>
  otherwise === undefined ? { is: 'when', field, then } : { is: 'when', field, then, otherwise };
/** As `when`, by whether the field is filled in: zero is an answer. */
export const whenGiven = (field: string, then: Quantity, otherwise: Quantity): Quantity => ({
  is: 'when',
  field,
  isGiven: true,
  then,
  otherwise,
});

export const deduct = (label: string, amount: Quantity): WorksheetLine => ({ do: 'deduct', label, amount });
export const credit = (label: string, amount: Quantity): WorksheetLine => ({ do: 'credit', label, amount });
export const addTax = (label: string, amount: Quantity): WorksheetLine => ({ do: 'add', label, amount });
export const table = (
  rows: Rows | Readonly<Record<string, Rows>>,
  label = 'Tax on the taxable amount',
): WorksheetLine => ({
  do: 'tax',
  label,
  tables: byColumn(rows, brackets),
});
/** One rate on all of it. */
export const flat = (by: string, label = 'Tax at the rate'): WorksheetLine => table([['0', '0', by]], label);
/** A table written by thresholds and rates only; the tax at each threshold follows from the rows below it. */
export const steps = (
  rows: Readonly<Record<string, readonly (readonly [over: string, rate: string])[]>>,
  label = 'Tax on the taxable amount',
): WorksheetLine => ({
  do: 'tax',
  label,
  tables: Object.fromEntries(Object.entries(rows).map(([column, list]) => [column, cumulative(list)])),
});
const cumulative = (list: readonly (readonly [string, string])[]) => {
  let base = 0;
  return list.map(([overText, rateText], index) => {
    const over = dollars(overText);
    const before = list[index - 1];
    if (before) {
      const span = over - dollars(before[0]);
      const by = rate(before[1]);
      // Half a cent up, as printed tables show the tax at a threshold.
      base += Math.floor((span * by.n * 2 + by.d) / (2 * by.d));
    }
    return { over, base: base as Cents, rate: rate(rateText) };
  });
};
export const rateTiers = (rows: readonly (readonly [over: string, rate: string])[]): readonly RateTier[] =>
  rows.map(([over, by]) => ({ over: dollars(over), rate: rate(by) }));
export const timesRate = (
  label: string,
  rows: Readonly<Record<string, readonly (readonly [string, string])[]>>,
  isCredit?: true,
): WorksheetLine => ({
  do: 'times',
  label,
  rates: Object.fromEntries(Object.entries(rows).map(([column, list]) => [column, rateTiers(list)])),
  ...(isCredit ? { isCredit } : {}),
});
export const noneUpTo = (label: string, amount: Dollars): WorksheetLine => ({
  do: 'none-up-to',
  label,
  amount: amounts(amount),
});
export const roundLine = (what: 'taxable' | 'tax', to: 'dollar' | 'cent', label: string): WorksheetLine => ({
  do: 'round',
  label,
  what,
  to,
  mode: 'half-up',
});
export const perPeriod: WorksheetLine = { do: 'period', label: 'For this period' };

export const columnIs = (column: string, when: ColumnRule['when'] = {}): ColumnRule => ({ column, when });
/** Columns by filing status: each status on the left uses the column on the right; the last one holds for the rest. */
export const byStatus = (
  map: Readonly<Record<string, string>>,
  otherwise: string,
  field = 'filingStatus',
): ColumnRule[] => [
  ...Object.entries(map).map(([status, column]) => columnIs(column, { [field]: status })),
  columnIs(otherwise),
];
export const ONE_COLUMN: readonly ColumnRule[] = [columnIs('*')];

export const annual = (columns: readonly ColumnRule[], ...lines: WorksheetLine[]): Worksheet => ({
  columns,
  lines,
  basis: 'annual',
  result: { to: 'cent', mode: 'half-up' },
});
export const annualToDollar = (columns: readonly ColumnRule[], ...lines: WorksheetLine[]): Worksheet => ({
  columns,
  lines,
  basis: 'annual',
  result: { to: 'dollar', mode: 'half-up' },
});
export const byPeriod = (
  to: 'dollar' | 'cent',
  columns: readonly ColumnRule[],
  ...lines: WorksheetLine[]
): Worksheet => ({
  columns,
  lines,
  basis: { period: to },
  result: { to: 'cent', mode: 'half-up' },
});
/** The same with amounts and result in whole dollars, credits among them. */
export const byPeriodToDollar = (columns: readonly ColumnRule[], ...lines: WorksheetLine[]): Worksheet => ({
  ...byPeriod('dollar', columns, ...lines),
  result: { to: 'dollar', mode: 'half-up' },
});
