import { recalled, type Provenance } from './dated.js';
import type { DayOfMonth, DayRule } from './deposit-calendar.js';
import { afterMonth, afterQuarter, afterYear } from './deposit-words.js';
import { publication } from './state-words.js';
import type { DetailColumn, LineAmount, ReturnFile, ReturnTax, StateLine, StateReturn } from './state-return.js';

/** Words to write the returns of a state as its forms do. */
export const line = (id: string, label: string, amount: LineAmount): StateLine => ({ id, label, amount });
export const workers = (month: 1 | 2 | 3): LineAmount => ({ is: 'workers', month });
export const people = (tax: ReturnTax): LineAmount => ({ is: 'people', tax });
export const allWages = (tax: ReturnTax): LineAmount => ({ is: 'wages', tax, part: 'all' });
export const taxableWages = (tax: ReturnTax): LineAmount => ({ is: 'wages', tax, part: 'taxable' });
export const excessWages = (tax: ReturnTax): LineAmount => ({ is: 'wages', tax, part: 'excess' });
export const taxOf = (...taxes: readonly ReturnTax[]): LineAmount => ({ is: 'tax', taxes });
export const byRate = (from: string, tax: ReturnTax): LineAmount => ({ is: 'by-rate', from, tax });
export const sumOf = (...of: readonly string[]): LineAmount => ({ is: 'sum', of });
export const less = (from: string, ...of: readonly string[]): LineAmount => ({ is: 'less', from, of });
export const owedOf = (from: string, ...of: readonly string[]): LineAmount => ({ is: 'less', from, of, part: 'owed' });
export const overpaidOf = (from: string, ...of: readonly string[]): LineAmount => ({
  is: 'less',
  from,
  of,
  part: 'overpaid',
});
export const paidOf = (...taxes: readonly ReturnTax[]): LineAmount => ({ is: 'paid', taxes });
export const entered = (name: string, help: string): LineAmount => ({ is: 'entered', name, help });

const NOT_COMPARED = 'Lines, due date and file have not been compared with the agency’s own form and specification.';
/** Where a return of a state comes from. */
export const editionOf = (form: string, publisher: string, doubt = NOT_COMPARED): Provenance =>
  recalled(publication(form, publisher, '2025'), 'all lines', doubt);
/** Where the lines are numbered as on the form. */
export const OWN_NUMBERS =
  'Line numbers are those of the form as recalled; the file has not been compared with the agency’s specification.';

interface Named {
  /** Code of the kind: `ny-nys-45`. */
  readonly code: string;
  readonly form: string;
  readonly title: string;
  readonly agency: string;
  readonly publisher: string;
}

/** A premium beside the unemployment tax on the same report. */
export interface ReportedProgram {
  readonly tax: ReturnTax;
  readonly label: string;
  /** `withheld`: as the ledger has it. `rate`: its own taxable wages times its rate. */
  readonly how: 'withheld' | 'rate';
}

/** The lines that every quarterly report of unemployment tax has, where its own numbers are not recalled. */
export function reportLines(programs: readonly ReportedProgram[], taxes: readonly ReturnTax[]): StateLine[] {
  const added = programs.flatMap(({ tax, label, how }): StateLine[] =>
    how === 'withheld'
      ? [line(tax.toLowerCase(), label, taxOf(tax))]
      : [
          line(`${tax.toLowerCase()}-wages`, `${label}: taxable wages`, taxableWages(tax)),
          line(tax.toLowerCase(), label, byRate(`${tax.toLowerCase()}-wages`, tax)),
        ],
  );
  return [
    line('month-1', 'Covered workers in the first month, on the 12th', workers(1)),
    line('month-2', 'Covered workers in the second month, on the 12th', workers(2)),
    line('month-3', 'Covered workers in the third month, on the 12th', workers(3)),
    line('wages', 'Total wages paid', allWages('SUI')),
    line('excess', 'Wages in excess of the taxable wage base', excessWages('SUI')),
    line('taxable', 'Taxable wages', less('wages', 'excess')),
    line('contributions', 'Unemployment contributions due', byRate('taxable', 'SUI')),
    ...added,
    line('total', 'Total due', sumOf('contributions', ...programs.map(({ tax }) => tax.toLowerCase()))),
    line('paid', 'Paid for this quarter', paidOf(...taxes)),
    line('balance', 'Balance due', owedOf('total', 'paid')),
    line('overpaid', 'Overpayment', overpaidOf('total', 'paid')),
  ];
}
const DETAIL: readonly DetailColumn[] = ['wages', 'excess', 'taxable'];

/** A quarterly report of wages and unemployment tax with its wage detail. */
export function unemploymentReport(
  { code, form, title, agency, publisher }: Named,
  more: {
    readonly day?: DayOfMonth;
    readonly programs?: readonly ReportedProgram[];
    readonly lines?: readonly StateLine[];
    readonly total?: string;
    readonly balance?: string;
    readonly detail?: readonly DetailColumn[];
    readonly file?: ReturnFile;
  } = {},
): StateReturn {
  const programs = more.programs ?? [];
  const taxes = ['SUI', ...programs.map(({ tax }) => tax)];
  return {
    code,
    form,
    title,
    agency,
    edition: editionOf(form, publisher, more.lines ? OWN_NUMBERS : NOT_COMPARED),
    period: 'quarter',
    due: afterQuarter(more.day ?? 'last'),
    taxes,
    lines: more.lines ?? reportLines(programs, taxes),
    total: more.total ?? 'total',
    balance: more.balance ?? 'balance',
    detail: more.detail ?? DETAIL,
    file: more.file ?? '275',
  };
}

/** A return of income tax withheld. */
export function withholdingReturn(
  { code, form, title, agency, publisher }: Named,
  more: {
    readonly period?: StateReturn['period'];
    readonly due?: DayRule;
    readonly follows?: StateReturn['follows'];
    /** Taxes besides the state's own: `LOCAL` for those of its places. */
    readonly with?: readonly { readonly tax: ReturnTax; readonly label: string }[];
    readonly lines?: readonly StateLine[];
    readonly total?: string;
    readonly balance?: string;
  } = {},
): StateReturn {
  const period = more.period ?? 'quarter';
  const besides = more.with ?? [];
  const taxes = ['SIT', ...besides.map(({ tax }) => tax)];
  const due = more.due ?? (period === 'month' ? afterMonth(20) : period === 'quarter' ? afterQuarter() : afterYear(1));
  const lines = more.lines ?? [
    line('people', 'Employees with wages in the period', people('SIT')),
    line('wages', 'Wages subject to withholding', allWages('SIT')),
    line('withheld', 'Income tax withheld', taxOf('SIT')),
    ...besides.map(({ tax, label }) => line(tax.toLowerCase(), label, taxOf(tax))),
    line('total', 'Total tax', sumOf('withheld', ...besides.map(({ tax }) => tax.toLowerCase()))),
    line('paid', 'Deposited for the period', paidOf(...taxes)),
    line('balance', 'Balance due', owedOf('total', 'paid')),
    line('overpaid', 'Overpayment', overpaidOf('total', 'paid')),
  ];
  return {
    code,
    form,
    title,
    agency,
    edition: editionOf(form, publisher, more.lines ? OWN_NUMBERS : NOT_COMPARED),
    period,
    due,
    ...(more.follows ? { follows: more.follows } : {}),
    taxes,
    lines,
    total: more.total ?? 'total',
    balance: more.balance ?? 'balance',
    file: 'lines',
  };
}

/** A report of a program that has an agency or an account of its own. */
export function programReport(
  { code, form, title, agency, publisher }: Named,
  programs: readonly (ReportedProgram & { readonly id: string })[],
  more: { readonly day?: DayOfMonth } = {},
): StateReturn {
  const taxes = programs.map(({ tax }) => tax);
  const first = taxes[0] ?? '';
  return {
    code,
    form,
    title,
    agency,
    edition: editionOf(form, publisher),
    period: 'quarter',
    due: afterQuarter(more.day ?? 'last'),
    taxes,
    lines: [
      line('people', 'Employees with wages in the quarter', people(first)),
      line('wages', 'Wages subject to the premium', taxableWages(first)),
      ...programs.map(({ id, label, tax }) => line(id, label, taxOf(tax))),
      line('total', 'Total premium', sumOf(...programs.map(({ id }) => id))),
      line('paid', 'Paid for this quarter', paidOf(...taxes)),
      line('balance', 'Balance due', owedOf('total', 'paid')),
      line('overpaid', 'Overpayment', overpaidOf('total', 'paid')),
    ],
    total: 'total',
    balance: 'balance',
    detail: ['wages', 'taxable'],
    file: 'delimited',
  };
}

/** A return of the taxes that places of a state levy, one row for each place. */
export function placesReturn(
  { code, form, title, agency, publisher }: Named,
  more: {
    readonly period?: StateReturn['period'];
    readonly due?: DayRule;
    /** Left out, every tax of a place that the agency collects. */
    readonly taxes?: readonly ReturnTax[];
  } = {},
): StateReturn {
  const taxes = more.taxes ?? ['LOCAL'];
  return {
    code,
    form,
    title,
    agency,
    edition: editionOf(form, publisher),
    period: more.period ?? 'quarter',
    due: more.due ?? afterQuarter(),
    taxes,
    lines: [
      line('people', 'People with wages there', people(taxes[0] ?? '')),
      line('tax', 'Tax of all places', taxOf(...taxes)),
      line('paid', 'Deposited for the period', paidOf(...taxes)),
      line('balance', 'Balance due', owedOf('tax', 'paid')),
      line('overpaid', 'Overpayment', overpaidOf('tax', 'paid')),
    ],
    total: 'tax',
    balance: 'balance',
    byPlace: true,
    file: 'delimited',
  };
}
