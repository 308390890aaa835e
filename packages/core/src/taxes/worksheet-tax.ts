import { bracketFor, bracketTax } from './bracket-tax.js';
import type { Bracket } from '../jurisdictions/brackets.js';
import type { Dated } from '../jurisdictions/dated.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import type { ByColumn, ColumnRule, Quantity, Worksheet, WorksheetLine } from '../jurisdictions/worksheet.js';
import { ZERO, cents, notBelowZero, parseDollars, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import {
  dividedBy,
  exact,
  isBelowZero,
  minus,
  plus,
  round,
  roundToDollar,
  showExact,
  times,
  type Exact,
} from '../money/exact.js';
import { parsePercent, showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type Tape } from '../working/tape.js';

/** What a worksheet is worked out on, for one pay period. */
export interface WorksheetInput {
  readonly figure: string;
  readonly row: Dated<Worksheet>;
  readonly certificate: StateCertificate;
  readonly wages: Cents;
  readonly periods: number;
  /** Federal income tax of the period on the same wages, without extra withholding. */
  readonly federalTax: Cents;
  /** OASDI and HI of the employee for the period on the same wages. */
  readonly socialInsurance: Cents;
  /** The same in the year before this check. */
  readonly socialInsuranceToDate: Cents;
  /** County rates of the person, where the state withholds them together with its own tax. */
  readonly local?: readonly Bracket[] | undefined;
  readonly tape?: Tape | undefined;
}

const RULES_OF_ROUNDING = 'half a cent up';

/** The value of a column; a table that misses one is a fault of the rule data, found by its tests. */
function at<T>(by: ByColumn<T>, column: string): T {
  const value = by[column] ?? by['*'];
  if (value === undefined) throw new RangeError(`a table has no column ${column}`);
  return value;
}

type Condition = (certificate: StateCertificate) => boolean;
const conditionOf = (field: string, wanted: ColumnRule['when'][string]): Condition => {
  if (typeof wanted === 'string') return (certificate) => certificate[field] === wanted;
  if (typeof wanted === 'boolean') return (certificate) => (certificate[field] === true) === wanted;
  if (isList(wanted)) return (certificate) => wanted.includes(String(certificate[field]));
  return (certificate) => Number(certificate[field] ?? 0) >= wanted.atLeast;
};
const isList = (wanted: readonly string[] | { readonly atLeast: number }): wanted is readonly string[] =>
  Array.isArray(wanted);

/** The conditions of a worksheet's columns, made ready once. */
const columnRules = new WeakMap<
  Worksheet,
  readonly { readonly column: string; readonly conditions: readonly Condition[] }[]
>();
function rulesOf(worksheet: Worksheet) {
  let rules = columnRules.get(worksheet);
  if (!rules) {
    rules = worksheet.columns.map(({ column, when }) => ({
      column,
      conditions: Object.entries(when).map(([field, wanted]) => conditionOf(field, wanted)),
    }));
    columnRules.set(worksheet, rules);
  }
  return rules;
}

/** The column of the tables that a certificate uses. */
export function columnOf(worksheet: Worksheet, certificate: StateCertificate): string {
  for (const { column, conditions } of rulesOf(worksheet)) {
    let holds = true;
    for (const condition of conditions) if (!condition(certificate)) holds = false;
    if (holds) return column;
  }
  throw new RangeError('a worksheet has no column for a certificate');
}

/** An amount on a certificate, which the reader has checked. */
export function certificateAmount(certificate: StateCertificate, field: string): Cents {
  const value = certificate[field];
  if (value === undefined) return ZERO;
  const amount = parseDollars(String(value));
  if (amount === null) throw new RangeError(`unchecked certificate amount ${field}`);
  return amount;
}
const claimedOn = (certificate: StateCertificate, given: Extract<Quantity, { is: 'count' }>): number =>
  Number(certificate[given.field] ?? (given.otherwise === undefined ? 0 : (certificate[given.otherwise] ?? 0)));
const certificateCount = (certificate: StateCertificate, field: string): number => Number(certificate[field] ?? 0);

/** Tables of one pay period made of a year's, as publications print them; kept, because they are asked for every check. */
const periodTables = new WeakMap<readonly Bracket[], Map<number, readonly Bracket[]>>();
function tableOfPeriod(table: readonly Bracket[], periods: number, to: 'dollar' | 'cent'): readonly Bracket[] {
  const known = periodTables.get(table) ?? new Map<number, readonly Bracket[]>();
  const found = known.get(periods);
  if (found) return found;
  let base: Cents = ZERO;
  let before: Bracket | null = null;
  const made = table.map((row) => {
    const over = amountOfPeriod(row.over, periods, to);
    if (before) base = cents(base + round(times(cents(over - before.over), before.rate), 'half-up'));
    before = { over, base, rate: row.rate };
    return before;
  });
  known.set(periods, made);
  periodTables.set(table, known);
  return made;
}
const amountOfPeriod = (amount: Cents, periods: number, to: 'dollar' | 'cent'): Cents =>
  to === 'dollar' ? roundToDollar(dividedBy(amount, periods), 'half-up') : round(dividedBy(amount, periods), 'half-up');

/** One worksheet being filled in: the taxable amount and the tax so far. */
class Filling {
  readonly column: string;
  /** Wages of the year, or of the period where the worksheet works on periods. */
  readonly wages: Cents;
  taxable: Exact;
  tax: Exact = exact(ZERO);
  isPeriod: boolean;
  isDone = false;

  constructor(readonly input: WorksheetInput) {
    this.column = columnOf(input.row.value, input.certificate);
    this.isPeriod = input.row.value.basis !== 'annual';
    this.wages = this.isPeriod ? input.wages : cents(input.wages * input.periods);
    this.taxable = exact(this.wages);
  }

  write(label: string, value: string, how?: string, parameter?: readonly [name: string, value: string]): void {
    const { tape, figure, row } = this.input;
    if (!tape) return;
    tape.write(figure, {
      label,
      value,
      ...(how === undefined ? {} : { how }),
      ...(parameter ? { parameter: shownParameter(parameter[0], parameter[1], row) } : {}),
    });
  }

  /** A year's amount as it stands in this worksheet: divided and rounded where the worksheet works on periods. */
  scaled(amount: Cents): Cents {
    const { basis } = this.input.row.value;
    return basis === 'annual' || amount === 0 ? amount : amountOfPeriod(amount, this.input.periods, basis.period);
  }
  /** As `scaled`, for amounts that the publications print to the cent. */
  scaledToCent(amount: Cents): Cents {
    return this.input.row.value.basis === 'annual' || amount === 0
      ? amount
      : amountOfPeriod(amount, this.input.periods, 'cent');
  }

  quantity(given: Quantity, isCredit: boolean): Exact {
    const { certificate, periods } = this.input;
    const scale = (amount: Cents): Cents => (isCredit ? this.scaledToCent(amount) : this.scaled(amount));
    switch (given.is) {
      case 'fixed':
        return exact(scale(at(given.by, this.column)));
      case 'count': {
        const claimed = claimedOn(certificate, given);
        const number = given.atMost === undefined ? claimed : Math.min(claimed, given.atMost);
        return number === 0 ? exact(ZERO) : exact(cents(scale(at(given.each, this.column)) * number));
      }
      case 'given': {
        const amount = certificateAmount(certificate, given.field);
        if (given.per === 'year')
          return this.isPeriod && this.input.row.value.basis !== 'annual' ? dividedBy(amount, periods) : exact(amount);
        return this.isPeriod ? exact(amount) : exact(cents(amount * periods));
      }
      case 'share': {
        const amount = times(this.wages, given.rate);
        const most = given.most ? exact(scale(at(given.most, this.column))) : null;
        const least = given.least ? exact(scale(at(given.least, this.column))) : null;
        if (most && isBelowZero(minus(most, amount))) return most;
        return least && isBelowZero(minus(amount, least)) ? least : amount;
      }
      case 'slide':
        return this.slide(given);
      case 'fade': {
        const start = at(given.start, this.column);
        const over = at(given.over, this.column);
        const until = at(given.until, this.column);
        if (this.wages <= over) return exact(start);
        if (this.wages >= until) return exact(ZERO);
        return times(exact(start), { n: until - this.wages, d: until - over });
      }
      case 'tiers': {
        const amount = tierAmount(at(given.rows, this.column), this.wages);
        const number = given.times === undefined ? 1 : certificateCount(certificate, given.times);
        return exact(cents(scale(amount) * number));
      }
      case 'federal-tax': {
        const annual = cents(this.input.federalTax * (this.isPeriod ? 1 : periods));
        const most = given.most ? tierAmount(at(given.most, this.column), this.wages) : null;
        return exact(most !== null && most < annual ? most : annual);
      }
      case 'social-insurance': {
        const room = notBelowZero(subtract(given.most, this.input.socialInsuranceToDate));
        return exact(cents(smaller(this.input.socialInsurance, room) * (this.isPeriod ? 1 : periods)));
      }
      case 'when': {
        const value = certificate[given.field];
        const isSet = value === true || Number(value ?? 0) > 0;
        const chosen = isSet ? given.then : given.otherwise;
        return chosen ? this.quantity(chosen, isCredit) : exact(ZERO);
      }
    }
  }

  private slide(given: Extract<Quantity, { is: 'slide' }>): Exact {
    const start = exact(at(given.start, this.column));
    const least = exact(at(given.least, this.column));
    const excess = this.wages - at(given.over, this.column);
    if (excess <= 0) return start;
    const drop =
      'rate' in given.by
        ? times(cents(excess), at(given.by.rate, this.column))
        : exact(cents(Math.floor(excess / at(given.by.step, this.column)) * at(given.by.drop, this.column)));
    const left = minus(start, drop);
    return isBelowZero(minus(left, least)) ? least : left;
  }

  table(tables: ByColumn<readonly Bracket[]>): readonly Bracket[] {
    const { basis } = this.input.row.value;
    const own = at(tables, this.column);
    return basis === 'annual' ? own : tableOfPeriod(own, this.input.periods, basis.period);
  }

  carryOut(line: WorksheetLine): void {
    switch (line.do) {
      case 'deduct': {
        const amount = this.quantity(line.amount, false);
        if (amount.n === 0) return;
        this.taxable = minus(this.taxable, amount);
        if (this.input.tape)
          this.write(line.label, `−${showExact(amount)}`, this.howOf(line.amount), [line.label, showExact(amount)]);
        return;
      }
      case 'tax': {
        if (isBelowZero(this.taxable)) this.taxable = exact(ZERO);
        const row = bracketFor(this.table(line.tables), this.taxable);
        this.tax = bracketTax(row, this.taxable);
        if (this.input.tape) {
          const text = `${showDollars(row.base)} + ${showPercent(row.rate)} of the excess over ${showDollars(row.over)}`;
          this.write('Taxable amount', showExact(this.taxable));
          this.write(line.label, showExact(this.tax), text, [
            this.column === '*' ? 'Table' : `Table, column ${this.column}`,
            `row: over ${showDollars(row.over)}`,
          ]);
        }
        return;
      }
      case 'tax-at': {
        const by = parsePercent(String(this.input.certificate[line.field] ?? '0')) ?? { n: 0, d: 1 };
        this.tax = times(this.taxable, by);
        this.write(line.label, showExact(this.tax), `${showPercent(by)} of ${showExact(this.taxable)}`, [
          line.label,
          showPercent(by),
        ]);
        return;
      }
      case 'credit': {
        const amount = this.quantity(line.amount, true);
        if (amount.n === 0) return;
        const left = minus(this.tax, amount);
        this.tax = isBelowZero(left) ? exact(ZERO) : left;
        if (this.input.tape)
          this.write(line.label, `−${showExact(amount)}`, this.howOf(line.amount), [line.label, showExact(amount)]);
        return;
      }
      case 'add': {
        const amount = this.quantity(line.amount, true);
        if (amount.n === 0) return;
        this.tax = plus(this.tax, amount);
        if (this.input.tape)
          this.write(line.label, showExact(amount), this.howOf(line.amount), [line.label, showExact(amount)]);
        return;
      }
      case 'times': {
        const by = rateAt(at(line.rates, this.column), this.wages);
        if (by.n === 0 && line.isCredit) return;
        const part = times(this.tax, by);
        this.tax = line.isCredit ? minus(this.tax, part) : part;
        this.write(line.label, line.isCredit ? `−${showExact(part)}` : showExact(part), showPercent(by), [
          line.label,
          showPercent(by),
        ]);
        return;
      }
      case 'none-up-to': {
        const amount = this.scaled(at(line.amount, this.column));
        if (this.wages > amount) return;
        this.isDone = true;
        this.tax = exact(ZERO);
        this.write(line.label, showDollars(ZERO), `wages are not above ${showDollars(amount)}`, [
          line.label,
          showDollars(amount),
        ]);
        return;
      }
      case 'middle': {
        if (this.taxable.n >= line.below * this.taxable.d || this.taxable.n <= 0) return;
        const step = line.step;
        this.taxable = exact(cents(Math.floor(this.taxable.n / this.taxable.d / step) * step + step / 2));
        this.write(line.label, showExact(this.taxable));
        return;
      }
      case 'at-least': {
        if (this.input.certificate[line.unless] === true) return;
        const least = times(this.wages, line.rate);
        if (!isBelowZero(minus(this.tax, least))) return;
        this.tax = least;
        this.write(line.label, showExact(least), `${showPercent(line.rate)} of ${showDollars(this.wages)}`, [
          line.label,
          showPercent(line.rate),
        ]);
        return;
      }
      case 'round': {
        const to = line.to === 'dollar' ? roundToDollar : round;
        if (line.what === 'tax') this.tax = exact(to(this.tax, line.mode));
        else this.taxable = exact(to(this.taxable, line.mode));
        this.write(line.label, showExact(line.what === 'tax' ? this.tax : this.taxable));
        return;
      }
      case 'local': {
        const part = this.input.local
          ? taxByShares(this.input.local, this.taxable)
          : times(this.taxable, line.otherwise);
        this.tax = plus(this.tax, part);
        this.write(
          line.label,
          showExact(part),
          this.input.local
            ? 'at the rate of the county'
            : `${showPercent(line.otherwise)}: no county of residence in the state`,
        );
        return;
      }
      case 'period':
        this.toPeriod(line.label);
        return;
    }
  }

  toPeriod(label: string): void {
    if (this.isPeriod) return;
    this.isPeriod = true;
    const { periods } = this.input;
    this.tax = dividedBy(this.tax, periods);
    if (this.input.tape) this.write(label, showExact(this.tax), `÷ ${periods}`);
  }

  private howOf(given: Quantity): string | undefined {
    const { certificate } = this.input;
    if (given.is === 'count') return `${claimedOn(certificate, given)} × ${showDollars(at(given.each, this.column))}`;
    if (given.is === 'tiers' && given.times !== undefined)
      return `${certificateCount(certificate, given.times)} × ${showDollars(tierAmount(at(given.rows, this.column), this.wages))}`;
    return undefined;
  }
}

/** Rows are open at the bottom: wages of exactly `over` still have the row before. */
function tierAmount(rows: readonly { readonly over: Cents; readonly amount: Cents }[], wages: Cents): Cents {
  let found: Cents = rows[0]?.amount ?? ZERO;
  for (const row of rows) {
    if (wages <= row.over) break;
    found = row.amount;
  }
  return found;
}
export function rateAt(rows: readonly { readonly over: Cents; readonly rate: Rate }[], wages: Cents): Rate {
  let found: Rate = rows[0]?.rate ?? { n: 0, d: 1 };
  for (const row of rows) {
    if (wages <= row.over) break;
    found = row.rate;
  }
  return found;
}
/** A graduated local rate: each part of the amount at the rate of its row. */
export const taxByShares = (rows: readonly Bracket[], amount: Exact): Exact =>
  bracketTax(bracketFor(rows, amount), amount);

/**
 * The tax of one pay period by a publication's worksheet, in cents, rounded as the worksheet says. Zero wages give zero.
 * Extra withholding of the certificate is not in it.
 */
export function worksheetTax(input: WorksheetInput): Cents {
  if (input.wages <= 0) return ZERO;
  const filling = new Filling(input);
  const { value } = input.row;
  if (input.tape) {
    filling.write('Wages of the period', showDollars(input.wages));
    if (value.basis === 'annual')
      filling.write('Wages of a year', showDollars(filling.wages), `× ${input.periods} periods`);
  }
  for (const line of value.lines) {
    if (filling.isDone) break;
    filling.carryOut(line);
  }
  if (!filling.isDone) filling.toPeriod('For this period');
  if (isBelowZero(filling.tax)) return ZERO;
  const tax =
    value.result.to === 'dollar'
      ? roundToDollar(filling.tax, value.result.mode)
      : round(filling.tax, value.result.mode);
  if (input.tape)
    input.tape.write(input.figure, {
      label: 'Withholding on these wages',
      value: showDollars(tax),
      rounding: value.result.to === 'dollar' ? 'to the whole dollar, half up' : RULES_OF_ROUNDING,
    });
  return tax;
}
