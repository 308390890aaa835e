import type { Schemas } from '../api/client.js';
import type { CalcCheck } from './calc.worker.js';
import { OTHER, isOther } from '@zakat/core/paycheck/after-taxes';
import { readShortLine } from './short-line.js';

export const HOUR_COLUMNS = ['regular', 'overtime', 'holiday', 'sick', 'vacation'] as const;
export const AMOUNT_COLUMNS = ['salary', 'bonus'] as const;
export const DEDUCTION_COLUMNS = ['401k', 'section-125-health'] as const;
export const VALUE_COLUMNS: readonly string[] = ['rate', ...HOUR_COLUMNS, ...AMOUNT_COLUMNS, ...DEDUCTION_COLUMNS];

type Entry = Pick<Schemas['PayrollEntry'], 'employeeId' | 'isPaid' | 'earnings' | 'deductions'>;
/** A line of the payroll sheet: one text a column, and what has no column kept as it is. */
export interface SheetRow {
  readonly employeeId: string;
  readonly number: string;
  readonly name: string;
  readonly state: string;
  readonly base: Record<string, unknown>;
  readonly isPaid: boolean;
  readonly values: Readonly<Record<string, string>>;
  readonly otherEarnings: Entry['earnings'];
  readonly otherDeductions: Entry['deductions'];
  readonly check: CalcCheck;
  readonly line: string;
}

/** An amount and nothing else: what has a percentage or a limit is no cell of a column. */
const isPlainAmount = (deduction: Entry['deductions'][number]): boolean =>
  (DEDUCTION_COLUMNS as readonly string[]).includes(deduction.item) &&
  Object.keys(deduction).every((name) => name === 'item' || name === 'amount');

export function rowOf(person: Schemas['PayrollPerson']): SheetRow {
  const values: Record<string, string> = {};
  const otherEarnings: Entry['earnings'] = [];
  const otherDeductions: Entry['deductions'] = [];
  for (const earning of person.earnings) {
    const isHours = (HOUR_COLUMNS as readonly string[]).includes(earning.item) && earning.hours !== undefined;
    const isAmount = (AMOUNT_COLUMNS as readonly string[]).includes(earning.item) && earning.amount !== undefined;
    const sameRate = earning.rate === undefined || values['rate'] === undefined || values['rate'] === earning.rate;
    if ((!isHours && !isAmount) || values[earning.item] !== undefined || !sameRate) {
      otherEarnings.push(earning);
      continue;
    }
    if (earning.rate !== undefined) values['rate'] = earning.rate;
    values[earning.item] = (isHours ? earning.hours : earning.amount) ?? '';
  }
  for (const deduction of person.deductions) {
    if (isPlainAmount(deduction) && values[deduction.item] === undefined)
      values[deduction.item] = deduction.amount ?? '';
    else otherDeductions.push(deduction);
  }
  const { paycheck } = person;
  return {
    employeeId: person.employeeId,
    number: person.number,
    name: person.name,
    state: person.workState,
    base: person.base,
    isPaid: person.isPaid,
    values,
    otherEarnings,
    otherDeductions,
    line: '',
    check: {
      gross: paycheck.gross,
      net: paycheck.net,
      taxes: paycheck.taxes,
      deductions: paycheck.deductions.reduce((total, line) => total + line.amount, 0),
      problems: paycheck.problems,
    },
  };
}

const given = (values: SheetRow['values'], column: string): string => (values[column] ?? '').trim();

export function entryOf(row: SheetRow): Entry {
  const rate = given(row.values, 'rate');
  const hours = HOUR_COLUMNS.filter((column) => given(row.values, column) !== '').map((item) => ({
    item,
    hours: given(row.values, item),
    ...(rate === '' ? {} : { rate }),
  }));
  const amounts = AMOUNT_COLUMNS.filter((column) => given(row.values, column) !== '').map((item) => ({
    item,
    amount: given(row.values, item),
  }));
  const deductions = DEDUCTION_COLUMNS.filter((column) => given(row.values, column) !== '').map((item) => ({
    item,
    amount: given(row.values, item),
  }));
  return {
    employeeId: row.employeeId,
    isPaid: row.isPaid,
    earnings: [...hours, ...amounts, ...row.otherEarnings],
    deductions: [...deductions, ...row.otherDeductions],
  };
}

/** A row after one cell was typed over. A short line with hours is the whole exception; one with amounts only is added. */
export function typed(row: SheetRow, column: string, value: string): { row: SheetRow; problem: string | null } {
  const text = value
    .trim()
    .replace(/^\$/, '')
    .replace(/,(?=\d{3}(?:\D|$))/g, '');
  if (column === 'isPaid') return { row: { ...row, isPaid: value === 'true' }, problem: null };
  if (column !== 'line') return { row: { ...row, values: { ...row.values, [column]: text } }, problem: null };
  const { values, problem } = readShortLine(value);
  if (problem !== null) return { row: { ...row, line: value }, problem };
  if (Object.keys(values).length === 0) return { row: { ...row, line: value }, problem: null };
  const isHours = (name: string): boolean => (HOUR_COLUMNS as readonly string[]).includes(name);
  const isWhole = Object.keys(values).some((name) => isHours(name) || name === 'double-time');
  const kept = Object.fromEntries(Object.entries(row.values).filter(([name]) => !isWhole || !isHours(name)));
  const replaced = (item: string): boolean =>
    (item === 'commission' || item === 'double-time') && (isWhole || Object.hasOwn(values, item));
  const others = row.otherEarnings.filter((earning) => !replaced(earning.item));
  const rate = given(row.values, 'rate');
  const { commission, 'double-time': doubleTime, ...rest } = values;
  const added = [
    ...(commission === undefined ? [] : [{ item: 'commission', amount: commission }]),
    ...(doubleTime === undefined ? [] : [{ item: 'double-time', hours: doubleTime, ...(rate === '' ? {} : { rate }) }]),
  ];
  return {
    row: { ...row, line: value, values: { ...kept, ...rest }, otherEarnings: [...others, ...added] },
    problem: null,
  };
}

export const taxOfCheck = (check: CalcCheck, matches: (code: string) => boolean): number =>
  check.taxes
    .filter((tax) => tax.payer === 'employee' && matches(tax.code))
    .reduce((total, tax) => total + tax.amount, 0);
/** The computed columns: heading, the figure whose working they show, and how to find the amount. */
export const COMPUTED: readonly {
  readonly id: string;
  readonly label: string;
  readonly figure: (row: SheetRow) => string;
  readonly amount: (check: CalcCheck) => number;
}[] = [
  { id: 'gross', label: 'Gross', figure: () => 'gross', amount: (check) => check.gross },
  {
    id: 'fit',
    label: 'Federal',
    figure: () => 'US-FIT',
    amount: (check) => taxOfCheck(check, (code) => code === 'US-FIT'),
  },
  {
    id: 'oasdi',
    label: 'OASDI',
    figure: () => 'US-OASDI-EE',
    amount: (check) => taxOfCheck(check, (code) => code === 'US-OASDI-EE'),
  },
  {
    id: 'hi',
    label: 'Medicare',
    figure: () => 'US-HI-EE',
    amount: (check) => taxOfCheck(check, (code) => code.startsWith('US-HI')),
  },
  {
    id: 'sit',
    label: 'State',
    figure: (row) => row.check.taxes.find((tax) => tax.code.endsWith('-SIT'))?.code ?? `${row.state}-SIT`,
    amount: (check) => taxOfCheck(check, (code) => code.endsWith('-SIT')),
  },
  {
    id: 'other',
    label: 'Other',
    figure: () => OTHER,
    amount: (check) => taxOfCheck(check, isOther),
  },
  { id: 'net', label: 'Net', figure: () => 'net', amount: (check) => check.net },
];
