import type { Bracket } from '../jurisdictions/brackets.js';
import type { Dated } from '../jurisdictions/dated.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import type { ByColumn, Worksheet, WorksheetLine } from '../jurisdictions/worksheet.js';
import { ZERO, cents, showDollars, type Cents } from '../money/cents.js';
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
import { parsePercent, showPercent } from '../money/rate.js';
import type { Check } from '../computation/check.js';
import { shownParameter, type Tape, type TapeLine } from '../working/tape.js';
import { bracketFor, bracketTax } from './bracket-tax.js';
import { tableOfPeriod } from './period-tables.js';
import { amountOf, rateAt, scaled, wordsOf, type Setting } from './worksheet-amounts.js';
import { at, columnOf } from './worksheet-columns.js';

/** What a worksheet is worked out on besides the wages of the pay period. */
export interface WorksheetInput extends Pick<
  Setting,
  'certificate' | 'periods' | 'federalTax' | 'socialInsurance' | 'socialInsuranceToDate'
> {
  readonly figure: string;
  readonly row: Dated<Worksheet>;
  /** People the employer has; infinity when it is not known. */
  readonly employees: number;
  /** County rates of the person, where the state withholds them together with its own tax. */
  readonly local?: readonly Bracket[] | undefined;
  readonly tape?: Tape | undefined;
  /** What the wages are made of, for a working. */
  madeOf: (() => string) | null;
}

/** A line of the working, with the parameter by the name and value it is shown with. */
interface Written {
  readonly label: string;
  readonly value: string;
  readonly how?: string;
  readonly parameter?: readonly [name: string, value: string];
}

/** One worksheet being filled in: the taxable amount and the tax so far. */
class Filling implements Setting {
  readonly certificate: StateCertificate;
  readonly basis: Worksheet['basis'];
  readonly column: string;
  readonly wages: Cents;
  readonly periods: number;
  readonly federalTax: Cents;
  readonly socialInsurance: Cents;
  readonly socialInsuranceToDate: Cents;
  isPeriod: boolean;
  taxable: Exact;
  tax: Exact = exact(ZERO);
  isDone = false;

  constructor(
    readonly input: WorksheetInput,
    private readonly ofPeriod: Cents,
  ) {
    const { basis } = input.row.value;
    this.certificate = input.certificate;
    this.basis = basis;
    this.column = columnOf(input.row.value, input.certificate);
    this.isPeriod = basis !== 'annual';
    this.periods = input.periods;
    this.wages = this.isPeriod ? ofPeriod : cents(ofPeriod * input.periods);
    this.federalTax = input.federalTax;
    this.socialInsurance = input.socialInsurance;
    this.socialInsuranceToDate = input.socialInsuranceToDate;
    this.taxable = exact(this.wages);
  }

  write(make: () => Written): void {
    const { tape, figure, row } = this.input;
    tape?.write(figure, (): TapeLine => {
      const { parameter, ...line } = make();
      return parameter ? { ...line, parameter: shownParameter(parameter[0], parameter[1], row) } : line;
    });
  }
  /** A line whose value is the parameter itself. */
  writeAmount(
    line: Extract<WorksheetLine, { do: 'deduct' } | { do: 'credit' } | { do: 'add' }>,
    amount: Exact,
    sign = '',
  ): void {
    // What the worksheet has come to by now; the words are made when they are read.
    const { isPeriod } = this;
    this.write(() => {
      const { parameter, ...how } = wordsOf(line.amount, { ...this, isPeriod }, line.do !== 'deduct');
      return { label: line.label, value: sign + showExact(amount), ...how, parameter: [line.label, parameter] };
    });
  }

  table(tables: ByColumn<readonly Bracket[]>): readonly Bracket[] {
    const own = at(tables, this.column);
    return this.basis === 'annual' ? own : tableOfPeriod(own, this.periods, this.basis.period);
  }

  carryOut(line: WorksheetLine): void {
    switch (line.do) {
      case 'deduct': {
        const amount = amountOf(line.amount, this, false);
        if (amount.n === 0) return;
        this.taxable = minus(this.taxable, amount);
        if (this.input.tape) this.writeAmount(line, amount, '−');
        return;
      }
      case 'tax':
        this.taxByTable(line);
        return;
      case 'tax-at': {
        const by = parsePercent(String(this.certificate[line.field] ?? '0')) ?? { n: 0, d: 1 };
        const { taxable } = this;
        const tax = times(taxable, by);
        this.tax = tax;
        this.write(() => ({
          label: line.label,
          value: showExact(tax),
          how: `${showPercent(by)} of ${showExact(taxable)}`,
          parameter: [line.label, showPercent(by)],
        }));
        return;
      }
      case 'credit': {
        const amount = amountOf(line.amount, this, true);
        if (amount.n === 0) return;
        const left = minus(this.tax, amount);
        this.tax = isBelowZero(left) ? exact(ZERO) : left;
        if (this.input.tape) this.writeAmount(line, amount, '−');
        return;
      }
      case 'add': {
        const amount = amountOf(line.amount, this, true);
        if (amount.n === 0) return;
        this.tax = plus(this.tax, amount);
        if (this.input.tape) this.writeAmount(line, amount);
        return;
      }
      case 'times': {
        const by = rateAt(at(line.rates, this.column), this.wages);
        if (by.n === 0 && line.isCredit) return;
        const part = times(this.tax, by);
        this.tax = line.isCredit ? minus(this.tax, part) : part;
        this.write(() => ({
          label: line.label,
          value: line.isCredit ? `−${showExact(part)}` : showExact(part),
          how: showPercent(by),
          parameter: [line.label, showPercent(by)],
        }));
        return;
      }
      case 'none-up-to': {
        const amount = scaled(this, at(line.amount, this.column));
        if (this.wages > amount) return;
        this.isDone = true;
        this.tax = exact(ZERO);
        this.write(() => ({
          label: line.label,
          value: showDollars(ZERO),
          how: `wages are not above ${showDollars(amount)}`,
          parameter: [line.label, showDollars(amount)],
        }));
        return;
      }
      case 'middle': {
        if (this.taxable.n >= line.below * this.taxable.d || this.taxable.n <= 0) return;
        const step = line.step;
        const middle = cents(Math.floor(this.taxable.n / this.taxable.d / step) * step + step / 2);
        this.taxable = exact(middle);
        this.write(() => ({ label: line.label, value: showDollars(middle) }));
        return;
      }
      case 'at-least': {
        if (this.certificate[line.unless] === true || this.input.employees <= line.employersOver) return;
        const least = times(this.wages, line.rate);
        if (!isBelowZero(minus(this.tax, least))) return;
        this.tax = least;
        this.write(() => ({
          label: line.label,
          value: showExact(least),
          how: `${showPercent(line.rate)} of ${showDollars(this.wages)}`,
          parameter: [line.label, showPercent(line.rate)],
        }));
        return;
      }
      case 'round': {
        const rounded = (line.to === 'dollar' ? roundToDollar : round)(
          line.what === 'tax' ? this.tax : this.taxable,
          line.mode,
        );
        if (line.what === 'tax') this.tax = exact(rounded);
        else this.taxable = exact(rounded);
        this.write(() => ({ label: line.label, value: showDollars(rounded) }));
        return;
      }
      case 'local': {
        const { local } = this.input;
        const part = local ? taxByShares(local, this.taxable) : times(this.taxable, line.otherwise);
        this.tax = plus(this.tax, part);
        this.write(() => ({
          label: line.label,
          value: showExact(part),
          how: local
            ? 'at the rate of the county'
            : `${showPercent(line.otherwise)}: no county of residence in the state`,
        }));
        return;
      }
      case 'period':
        this.toPeriod(line.label);
        return;
    }
  }

  private taxByTable(line: Extract<WorksheetLine, { do: 'tax' }>): void {
    if (isBelowZero(this.taxable)) this.taxable = exact(ZERO);
    const row = bracketFor(this.table(line.tables), this.taxable);
    this.tax = bracketTax(row, this.taxable);
    if (this.input.tape) this.writeTable(line.label, row);
  }
  private writeTable(label: string, row: Bracket): void {
    const { taxable, tax, column } = this;
    this.write(() => ({ label: 'Taxable amount', value: showExact(taxable) }));
    this.write(() => ({
      label,
      value: showExact(tax),
      how: `${showDollars(row.base)} + ${showPercent(row.rate)} of the excess over ${showDollars(row.over)}`,
      parameter: [column === '*' ? 'Table' : `Table, column ${column}`, `row: over ${showDollars(row.over)}`],
    }));
  }

  toPeriod(label: string): void {
    if (this.isPeriod) return;
    this.isPeriod = true;
    this.tax = dividedBy(this.tax, this.periods);
    if (this.input.tape) this.writePeriod(label);
  }
  private writePeriod(label: string): void {
    const { tax } = this;
    this.write(() => ({ label, value: showExact(tax), how: `÷ ${this.periods}` }));
  }

  writeWages(): void {
    const { madeOf } = this.input;
    this.write(() => ({
      label: 'Wages of the period',
      value: showDollars(this.ofPeriod),
      ...(madeOf ? { how: madeOf() } : {}),
    }));
    if (this.basis === 'annual')
      this.write(() => ({
        label: 'Wages of a year',
        value: showDollars(this.wages),
        how: `× ${this.periods} periods`,
      }));
  }
  writeResult(tax: Cents): void {
    const { tape, figure, row } = this.input;
    tape?.write(figure, () => ({
      label: 'Withholding on these wages',
      value: showDollars(tax),
      rounding: row.value.result.to === 'dollar' ? 'to the whole dollar, half up' : 'half a cent up',
    }));
  }
}

/** A graduated local rate: each part of the amount at the rate of its row. */
export const taxByShares = (rows: readonly Bracket[], amount: Exact): Exact =>
  bracketTax(bracketFor(rows, amount), amount);

/**
 * The tax of one pay period by a publication's worksheet, in cents, rounded as the worksheet says. Zero wages give zero.
 * Extra withholding of the certificate is not in it.
 */
export function worksheetTax(input: WorksheetInput, wages: Cents): Cents {
  if (wages <= 0) return ZERO;
  const filling = new Filling(input, wages);
  const { lines, result } = input.row.value;
  if (input.tape) filling.writeWages();
  for (const line of lines) {
    if (filling.isDone) break;
    filling.carryOut(line);
  }
  if (!filling.isDone) filling.toPeriod('For this period');
  if (isBelowZero(filling.tax)) return ZERO;
  const tax = result.to === 'dollar' ? roundToDollar(filling.tax, result.mode) : round(filling.tax, result.mode);
  if (input.tape) filling.writeResult(tax);
  return tax;
}

/** What a worksheet takes of a check. */
export const worksheetOf = (
  check: Check,
  figure: string,
  row: Dated<Worksheet>,
  certificate: StateCertificate,
  tape: Tape | undefined,
  local?: readonly Bracket[],
): WorksheetInput => ({
  figure,
  row,
  certificate,
  periods: check.periods,
  employees: check.employees,
  federalTax: check.federalOnRegular,
  socialInsurance: check.socialInsurance,
  socialInsuranceToDate: check.socialInsuranceToDate,
  tape,
  local,
  madeOf: null,
});

/**
 * The tax of a check's period by a worksheet. A miscellaneous period of several days is taken as that many daily ones
 * (Publication 15-T, worksheets for miscellaneous periods).
 */
export function worksheetTaxOf(check: Check, input: WorksheetInput, wages: Cents): Cents {
  const { payFrequency, daysInPeriod } = check.input;
  if (payFrequency !== 'miscellaneous' || daysInPeriod === 1) return worksheetTax(input, wages);
  return cents(worksheetTax(input, round(dividedBy(wages, daysInPeriod), 'half-up')) * daysInPeriod);
}
