import type { Schemas } from '../api/client.js';
import type { CalcCheck } from './calc.worker.js';
import { takenBy } from './taken.js';
import { OTHER, isOther } from '@zakat/core/paycheck/after-taxes';
import { asTyped, readShortLine, type OwnWords, type TypedLine } from './short-line.js';
import { isObject } from '@zakat/core/casefile/reader';
import { findItem } from '@zakat/core/items/registry';
import { plus } from '@zakat/core/money/exact';
import { ZERO_RATE, parseRate, showRate, type Rate } from '@zakat/core/money/rate';
import { parseDate } from '@zakat/core/calendar/local-date';
import type { OwnRules } from '@zakat/core/jurisdictions/dated';
import { dailyOvertimeOf } from '@zakat/core/paycheck/workweeks';
import { lineKey, orderLabels, type OwnItem } from '@zakat/core/casefile/compose';
import { isStateIncomeTax, taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';

export const HOUR_COLUMNS = ['regular', 'overtime', 'holiday', 'sick', 'vacation'] as const;
export const AMOUNT_COLUMNS = ['salary', 'bonus'] as const;
export const DEDUCTION_COLUMNS = ['401k', 'section-125-health'] as const;
export const VALUE_COLUMNS: readonly string[] = ['rate', ...HOUR_COLUMNS, ...AMOUNT_COLUMNS, ...DEDUCTION_COLUMNS];

type Entry = Pick<
  Schemas['PayrollEntry'],
  'employeeId' | 'isPaid' | 'earnings' | 'deductions' | 'leftOut' | 'overridden' | 'withheld' | 'unread'
>;
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
  /** Lines that stay out of this check, each with its reason. */
  readonly leftOut: NonNullable<Entry['leftOut']>;
  /** Lines of which this check takes another amount. */
  readonly overridden: NonNullable<Entry['overridden']>;
  /** What another program withheld, of a check that is only recorded. */
  readonly withheld: NonNullable<Entry['withheld']>;
  readonly check: CalcCheck;
  readonly line: string;
  /** What the line was laid over: without it, this is the row again. Null while no line is. */
  readonly under: Under | null;
  /** What was typed and not understood: it stays where it was typed, and holds the review. */
  readonly unread: Unread | null;
  /** What the server has to say of the person in this payroll. */
  readonly note: string;
}
type Under = Pick<SheetRow, 'values' | 'otherEarnings' | 'otherDeductions'>;
export interface Unread {
  readonly column: 'line' | 'also';
  readonly text: string;
  readonly why: string;
}

/** An amount and nothing else: what has a percentage or a limit is not typed in a cell. */
const isPlain = (deduction: Entry['deductions'][number]): boolean =>
  Object.keys(deduction).every((name) => name === 'item' || name === 'amount');
const isPlainAmount = (deduction: Entry['deductions'][number]): boolean =>
  (DEDUCTION_COLUMNS as readonly string[]).includes(deduction.item) && isPlain(deduction);

export function rowOf(person: Schemas['PayrollPerson']): SheetRow {
  const values: Record<string, string> = {};
  const otherEarnings: Entry['earnings'] = [];
  const otherDeductions: Entry['deductions'] = [];
  for (const earning of person.earnings) {
    const isHours = (HOUR_COLUMNS as readonly string[]).includes(earning.item) && earning.hours !== undefined;
    const isAmount = (AMOUNT_COLUMNS as readonly string[]).includes(earning.item) && earning.amount !== undefined;
    const sameRate = earning.rate === undefined || values['rate'] === undefined || values['rate'] === earning.rate;
    if (earning.job !== undefined || (!isHours && !isAmount) || values[earning.item] !== undefined || !sameRate) {
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
    leftOut: person.leftOut ?? [],
    overridden: person.overridden ?? [],
    withheld: person.withheld ?? [],
    line: person.unread?.column === 'line' ? person.unread.text : '',
    under: null,
    unread: (person.unread as Unread | undefined) ?? null,
    note: person.note,
    check: {
      gross: paycheck.gross,
      net: paycheck.net,
      taxes: paycheck.taxes,
      ...takenBy(paycheck),
      leave: paycheck.leave ?? [],
      variances: paycheck.variances ?? [],
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
  const taken = [...deductions, ...row.otherDeductions];
  // Another amount of a line that was taken away since is no longer one.
  const lines = new Set([
    ...taken.map(({ item }) => lineKey('item', item)),
    ...orderLabels(row.base['employee']).map((label) => lineKey('order', label)),
  ]);
  const overridden = row.overridden.filter(({ line }) => lines.has(line));
  return {
    employeeId: row.employeeId,
    isPaid: row.isPaid,
    earnings: [...hours, ...amounts, ...row.otherEarnings],
    deductions: taken,
    ...(row.leftOut.length > 0 ? { leftOut: row.leftOut } : {}),
    ...(overridden.length > 0 ? { overridden } : {}),
    ...(row.withheld.length > 0 ? { withheld: row.withheld } : {}),
    ...(row.unread ? { unread: row.unread } : {}),
  };
}

/** Jobs and customers that a line of the person may name. */
export const jobNames = ({ base: { jobs } }: Pick<SheetRow, 'base'>): readonly string[] =>
  isObject(jobs) && Array.isArray(jobs['names']) ? jobs['names'].map(String) : [];

/** Codes of the client's own pay items, which a line may name. */
export const itemCodes = (row: Pick<SheetRow, 'base'> | undefined): readonly string[] =>
  Array.isArray(row?.base['items']) ? (row.base['items'] as OwnItem[]).map(({ code }) => code) : [];

/** What the words of a line may mean for this person. */
function wordsOf(row: SheetRow, rules: OwnRules | null = null): OwnWords {
  const listOf = <T>(name: string): readonly T[] => (Array.isArray(row.base[name]) ? (row.base[name] as T[]) : []);
  const day = parseDate(typeof row.base['checkDate'] === 'string' ? row.base['checkDate'] : '');
  return {
    items: listOf<OwnItem>('items'),
    rates: listOf<OwnWords['rates'][number]>('rates'),
    jobs: jobNames(row),
    usualRate: given(row.values, 'rate'),
    dailyRule: (hourly) => day && dailyOvertimeOf(row.state, day, hourly, rules),
  };
}

/** The lines that have no column, as they could be typed; deductions with a percentage or a limit stay out of it. */
export function alsoOf(row: SheetRow): string {
  if (row.unread?.column === 'also') return row.unread.text;
  const rate = given(row.values, 'rate');
  const words = wordsOf(row);
  const deductions = row.otherDeductions.filter(isPlain).map((line) => asTyped(line, rate, words));
  return [...row.otherEarnings.map((line) => asTyped(line, rate, words)), ...deductions].join(', ');
}

const columnOf = (line: TypedLine): string | null => {
  const columns: readonly string[] =
    line.list === 'deduction' ? DEDUCTION_COLUMNS : line.measure === 'hours' ? HOUR_COLUMNS : AMOUNT_COLUMNS;
  return line.rate === null && line.job === null && columns.includes(line.item) ? line.item : null;
};

/** Typed lines, shared out: those that have a column, and the others as the entry holds them. */
function shareOut(row: SheetRow, lines: readonly TypedLine[]) {
  const usual = given(row.values, 'rate');
  const values: Record<string, string> = {};
  const earnings: Entry['earnings'] = [];
  const deductions: Entry['deductions'] = [];
  for (const line of lines) {
    const column = columnOf(line);
    const rate = line.rate ?? usual;
    if (column !== null) values[column] = line.value;
    else if (line.list === 'deduction') deductions.push({ item: line.item, amount: line.value });
    else {
      const measure =
        line.measure === 'amount' ? { amount: line.value } : { hours: line.value, ...(rate === '' ? {} : { rate }) };
      earnings.push({ item: line.item, ...measure, ...(line.job === null ? {} : { job: line.job }) });
    }
  }
  return { values, earnings, deductions };
}

/** The row after an exception: a line changes what it names and leaves the rest, as a cell does. */
function withException(row: SheetRow, lines: readonly TypedLine[]): SheetRow {
  const { values, earnings, deductions } = shareOut(row, lines);
  const isSame = (line: Entry['earnings'][number], other: Entry['earnings'][number]): boolean =>
    line.item === other.item && line.rate === other.rate && line.job === other.job;
  const others = row.otherEarnings.filter((line) => !earnings.some((other) => isSame(line, other)));
  return {
    ...row,
    values: { ...row.values, ...values },
    otherEarnings: [...others, ...earnings],
    otherDeductions: [
      ...row.otherDeductions.filter((line) => !deductions.some((other) => other.item === line.item)),
      ...deductions,
    ],
  };
}

/** The row after all lines without a column were typed anew. */
function withOthers(row: SheetRow, lines: readonly TypedLine[]): SheetRow {
  const { values, earnings, deductions } = shareOut(row, lines);
  return {
    ...row,
    values: { ...row.values, ...values },
    otherEarnings: earnings,
    otherDeductions: [...row.otherDeductions.filter((line) => !isPlain(line)), ...deductions],
  };
}

/** What a line is to leave in the hand: its amount is still to be found. */
export interface InHand {
  readonly item: string;
  readonly net: string;
  readonly job: string | null;
}
export interface Typed {
  readonly row: SheetRow;
  readonly problem: string | null;
  /** What the line leaves beside what it names, where that may surprise. */
  readonly said?: string;
  readonly inHand?: InHand;
}

/** The row with an item of this amount, in place of one it had. */
export function paying(row: SheetRow, { item, job }: Pick<InHand, 'item' | 'job'>, amount: string): SheetRow {
  const { values, earnings } = shareOut(row, [
    { item, list: 'earning', measure: 'amount', value: amount, rate: null, job },
  ]);
  const others = row.otherEarnings.filter(
    (line) => line.item !== item || line.hours !== undefined || (line.job ?? null) !== job,
  );
  return { ...row, values: { ...row.values, ...values }, otherEarnings: [...others, ...earnings] };
}

/** The row with a line left out for a reason; null: in again. */
export function leavingOut(row: SheetRow, line: string, reason: string | null): SheetRow {
  const others = row.leftOut.filter((other) => other.line !== line);
  return { ...row, leftOut: reason === null ? others : [...others, { line, reason }] };
}

/** The row with another amount of a line, and whether the rest is owed; null: as it is computed. */
export function overriding(
  row: SheetRow,
  line: string,
  instead: Omit<SheetRow['overridden'][number], 'line'> | null,
): SheetRow {
  const others = row.overridden.filter((other) => other.line !== line);
  return { ...row, overridden: instead === null ? others : [...others, { line, ...instead }] };
}

/** The row with what was withheld for a tax, as typed; blank: as it is computed. `reason`: of an override. */
export function withholding(row: SheetRow, tax: string, amount: string, reason?: string): SheetRow {
  const others = row.withheld.filter((line) => line.tax !== tax);
  const plain = asPlainAmount(amount);
  return {
    ...row,
    withheld: plain === '' ? others : [...others, { tax, amount: plain, ...(reason === undefined ? {} : { reason }) }],
  };
}

const asPlainAmount = (value: string): string =>
  value
    .trim()
    .replace(/^\$/, '')
    .replace(/,(?=\d{3}(?:\D|$))/g, '');

/** The row as it was before its line. */
const withoutLine = (row: SheetRow): SheetRow => ({
  ...row,
  ...(row.under ?? {}),
  under: null,
  line: '',
  unread: row.unread?.column === 'line' ? null : row.unread,
});

/** What stands beside the hours that a line names: they add to it. */
function saidOf(before: SheetRow, after: SheetRow, lines: readonly TypedLine[]): string | undefined {
  const named = lines.filter((line) => line.measure === 'hours' && !isOnOthers(line.item));
  const stays = given(before.values, 'regular');
  if (named.length === 0 || stays === '' || named.some((line) => line.item === 'regular')) return undefined;
  const all = HOUR_COLUMNS.reduce<Rate>(
    (total, column) => plus(total, parseRate(given(after.values, column)) ?? ZERO_RATE),
    ZERO_RATE,
  );
  const added = named.map((line) => `${line.value} ${line.item}`).join(', ');
  return `${after.name}: ${added} added; ${stays} regular hours stay, ${showRate(all)} hours in all. To replace them, name them too`;
}
const isOnOthers = (code: string): boolean => {
  const item = findItem(code);
  return item?.list === 'earning' && item.isOnOtherHours;
};

/**
 * A row after one cell was typed over, by the rules of the firm. What cannot be read stays as it was typed and changes
 * nothing else; a line that is typed over another takes its place, a blank one takes it away.
 */
export function typed(row: SheetRow, column: string, value: string, rules: OwnRules | null = null): Typed {
  if (column === 'isPaid') return { row: { ...row, isPaid: value === 'true' }, problem: null };
  if (column === 'line') return typedLine(withoutLine(row), value, rules);
  if (column === 'also') {
    const { lines, problem } = readShortLine(value, wordsOf(row, rules));
    if (problem !== null) return { row: { ...row, unread: { column, text: value, why: problem } }, problem };
    const read = row.unread?.column === 'also' ? { ...row, unread: null } : row;
    return { row: withOthers(read, linesOf(lines)), problem: null, ...inHandOf(lines) };
  }
  const put = (values: SheetRow['values']): SheetRow['values'] => ({ ...values, [column]: asPlainAmount(value) });
  const under = row.under ? { ...row.under, values: put(row.under.values) } : null;
  return { row: { ...row, values: put(row.values), under }, problem: null };
}

function typedLine(row: SheetRow, value: string, rules: OwnRules | null): Typed {
  if (value.trim() === '') return { row, problem: null };
  const { lines, problem } = readShortLine(value, wordsOf(row, rules));
  const noted = { ...row, line: value };
  if (problem !== null) return { row: { ...noted, unread: { column: 'line', text: value, why: problem } }, problem };
  const { values, otherEarnings, otherDeductions } = row;
  const known = linesOf(lines);
  const next = {
    ...(known.length === 0 ? noted : withException(noted, known)),
    under: { values, otherEarnings, otherDeductions },
  };
  const said = saidOf(row, next, known);
  return { row: next, problem: null, ...(said === undefined ? {} : { said }), ...inHandOf(lines) };
}

const linesOf = (lines: readonly TypedLine[]): TypedLine[] => lines.filter((line) => line.measure !== 'net');
function inHandOf(lines: readonly TypedLine[]): { inHand?: InHand } {
  const net = lines.find((line) => line.measure === 'net');
  return net ? { inHand: { item: net.item, net: net.value, job: net.job } } : {};
}

export const taxOfCheck = (check: CalcCheck, matches: (code: TaxCode) => boolean): number =>
  check.taxes
    .filter((tax) => tax.payer === 'employee' && matches(tax.code as TaxCode))
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
    amount: (check) => taxOfCheck(check, (code) => taxOf(code).kind === 'medicare'),
  },
  {
    id: 'sit',
    label: 'State',
    figure: (row) =>
      row.check.taxes.find((tax) => isStateIncomeTax(taxOf(tax.code as TaxCode)))?.code ?? `${row.state}-SIT`,
    amount: (check) => taxOfCheck(check, (code) => isStateIncomeTax(taxOf(code))),
  },
  {
    id: 'other',
    label: 'Other',
    figure: () => OTHER,
    amount: (check) => taxOfCheck(check, isOther),
  },
  { id: 'net', label: 'Net', figure: () => 'net', amount: (check) => check.net },
];
