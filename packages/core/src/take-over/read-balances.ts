import { yearOf, type LocalDate } from '../calendar/local-date.js';
import { firstDayOf, lastDayOf, quarterOf, type QuarterNumber } from '../calendar/quarter.js';
import { problem, type Issue } from '../issues/issue.js';
import { ZERO, parseDollars, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { readCell } from '../people-file/read-cell.js';
import { taxOf, type TaxCode } from '../tax-registry/registry.js';
import { findBalanceColumn, type BalanceItem } from './columns.js';

/** One tax of one row. Wages before the base are those that are taxed where the file does not say more. */
export interface TaxBalance {
  readonly tax: TaxCode;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
}
/** What a person was paid and withheld on a day, or in a whole quarter (dated on its last day). Amounts in cents. */
export interface Balance {
  readonly row: number;
  readonly employeeId: string;
  readonly who: string;
  readonly from: LocalDate;
  readonly day: LocalDate;
  readonly isWholeQuarter: boolean;
  readonly gross: Cents;
  readonly net: Cents;
  readonly supplemental: Cents;
  readonly qualifiedOvertime: Cents;
  readonly qualifiedTips: Cents;
  readonly otherDeductions: Cents;
  readonly taxes: readonly TaxBalance[];
  readonly deductions: readonly (BalanceItem & { readonly amount: Cents })[];
}
export interface BalanceRow {
  /** The row in the file; headings are row 1. */
  readonly row: number;
  readonly who: string;
  readonly balance: Balance | null;
  readonly issues: readonly Issue[];
}
export interface ReadBalances {
  readonly issues: readonly Issue[];
  readonly rows: readonly BalanceRow[];
}
export interface BalanceFile {
  readonly table: readonly (readonly string[])[];
  readonly mapping: readonly string[];
}
export interface KnownPerson {
  readonly id: string;
  readonly number: string;
  readonly name: string;
}
export interface BalanceSurroundings {
  readonly year: number;
  readonly today: LocalDate;
  readonly people: readonly KnownPerson[];
  /** The person with a social security number of nine digits. */
  readonly bySsn: (ssn: string) => KnownPerson | null;
  readonly items: readonly BalanceItem[];
}

const QUARTER =
  /^(?:(\d{4})[\s-]*)?(?:q|qtr|quarter)?\s*([1-4])(?:st|nd|rd|th)?(?:\s*(?:q|qtr|quarter))?(?:[\s,-]+(\d{4}))?$/i;

/** Reads `Q1`, `1`, `1st quarter`, `2026 Q1`, `Q1 2026`. */
export function readQuarter(text: string, year: number): QuarterNumber | null {
  const match = QUARTER.exec(text.trim());
  if (!match) return null;
  const said = match[1] ?? match[3];
  return said !== undefined && Number(said) !== year ? null : (Number(match[2]) as QuarterNumber);
}

type Cells = Readonly<Record<string, string | number | boolean>>;

function mappingIssues({ mapping }: BalanceFile): Issue[] {
  const needs: Issue[] = [];
  const none = (what: string): void => void needs.push(problem('file.column-unmapped', 'mapping', { what }));
  const has = (name: string): boolean => mapping.includes(name);
  if (!has('number') && !has('ssn')) none('the number of the person, or the social security number');
  if (!has('quarter') && !has('day')) none('the quarter or the check date');
  if (!has('gross')) none('gross pay');
  if (!has('net')) none('net pay');
  const twice = mapping.filter((name, index) => name !== '' && mapping.indexOf(name) !== index);
  return [...needs, ...twice.map((what) => problem('file.column-twice', 'mapping', { what }))];
}

function whenOf(
  cells: Cells,
  { year, today }: BalanceSurroundings,
  issues: Issue[],
): Pick<Balance, 'from' | 'day' | 'isWholeQuarter'> | null {
  const day = cells['day'] as LocalDate | undefined;
  if (day !== undefined) {
    if (yearOf(day) !== year) issues.push(problem('brought-in.other-year', 'day', { day, year: String(year) }));
    else if (day > today) issues.push(problem('brought-in.future', 'day', { day }));
    else return { from: day, day, isWholeQuarter: false };
    return null;
  }
  const said = String(cells['quarter'] ?? '');
  const quarter = readQuarter(said, year);
  if (quarter === null) {
    issues.push(
      said === ''
        ? problem('input.missing', 'quarter', { what: 'The quarter or the check date' })
        : problem('brought-in.quarter', 'quarter', { value: said, year: String(year) }),
    );
    return null;
  }
  const last = lastDayOf({ year, quarter });
  if (last > today) {
    issues.push(problem('brought-in.quarter-open', 'quarter', { quarter: String(quarter) }));
    return null;
  }
  return { from: firstDayOf({ year, quarter }), day: last, isWholeQuarter: true };
}

function personOf(cells: Cells, around: BalanceSurroundings, issues: Issue[]): KnownPerson | null {
  const number = String(cells['number'] ?? '').trim();
  const ssn = String(cells['ssn'] ?? '');
  const byNumber = number === '' ? null : (around.people.find((person) => person.number === number) ?? null);
  const bySsn = ssn === '' ? null : around.bySsn(ssn);
  if (number === '' && ssn === '')
    issues.push(problem('input.missing', 'number', { what: 'The number of the person' }));
  else if (number !== '' && !byNumber) issues.push(problem('brought-in.nobody', 'number', { who: number }));
  else if (ssn !== '' && !bySsn)
    issues.push(problem('brought-in.nobody', 'ssn', { who: 'this social security number' }));
  else if (byNumber && bySsn && byNumber.id !== bySsn.id)
    issues.push(problem('brought-in.two-people', 'ssn', { number, name: byNumber.name }));
  else return byNumber ?? bySsn;
  return null;
}

const amountOf = (cells: Cells, name: string): Cents | null => {
  const given = cells[name];
  return given === undefined ? null : parseDollars(String(given));
};
const orZero = (amount: Cents | null): Cents => amount ?? ZERO;

/** The employer's half is of the employee's wages and, where the file does not say more, as much (IRC §§ 3111, 3121). */
const EMPLOYEE_HALF: ReadonlyMap<TaxCode, TaxCode> = new Map([
  ['US-OASDI-ER', 'US-OASDI-EE'],
  ['US-HI-ER', 'US-HI-EE'],
]);

function taxesOf(cells: Cells, mapping: readonly string[], issues: Issue[]): TaxBalance[] {
  const codes = [...new Set(mapping.flatMap((name) => /^(?:subject|wages|amount):(.+)$/.exec(name)?.[1] ?? []))];
  const wagesOf = (tax: string): Cents | null => amountOf(cells, `wages:${tax}`) ?? amountOf(cells, `subject:${tax}`);
  const taxes = (codes as TaxCode[]).map((tax): TaxBalance => {
    const amount = orZero(amountOf(cells, `amount:${tax}`));
    const wages = wagesOf(tax) ?? wagesOf(EMPLOYEE_HALF.get(tax) ?? '');
    const subject = amountOf(cells, `subject:${tax}`) ?? wages;
    const { label } = taxOf(tax);
    if (wages === null && amount !== 0)
      issues.push(problem('brought-in.no-wages', `wages:${tax}`, { tax: label, amount: showDollars(amount) }));
    if (subject !== null && wages !== null && wages > subject)
      issues.push(problem('brought-in.wages-above', `wages:${tax}`, { tax: label }));
    return { tax, subject: orZero(subject), wages: orZero(wages), amount };
  });
  const halves = [...EMPLOYEE_HALF].flatMap(([employer, employee]): TaxBalance[] => {
    const own = taxes.find((line) => line.tax === employee);
    return own && !codes.includes(employer) ? [{ ...own, tax: employer }] : [];
  });
  return [...taxes, ...halves].filter((line) => line.subject !== 0 || line.amount !== 0);
}

function readRow(row: readonly string[], at: number, file: BalanceFile, around: BalanceSurroundings): BalanceRow {
  const issues: Issue[] = [];
  const cells: Record<string, string | number | boolean> = {};
  file.mapping.forEach((name, index) => {
    const cell = row[index] ?? '';
    const column = name === '' || cell.trim() === '' ? null : findBalanceColumn(name, around.items);
    if (!column) return;
    const read = readCell(column, cell);
    if ('issue' in read) issues.push(read.issue);
    else cells[name] = read.value;
  });
  const person = personOf(cells, around, issues);
  const when = whenOf(cells, around, issues);
  const who = person?.name ?? String(cells['name'] ?? '');
  const taxes = taxesOf(cells, file.mapping, issues);
  const deductions = around.items.flatMap((item) => {
    const amount = amountOf(cells, `deduction:${item.code}`);
    return amount === null || amount === 0 ? [] : [{ ...item, amount }];
  });
  const [gross, net] = [amountOf(cells, 'gross'), amountOf(cells, 'net')];
  for (const [name, amount] of [
    ['gross', gross],
    ['net', net],
  ] as const)
    if (amount === null && !issues.some((issue) => issue.field === name))
      issues.push(problem('input.missing', name, { what: name === 'gross' ? 'Gross pay' : 'Net pay' }));
  const otherDeductions = orZero(amountOf(cells, 'otherDeductions'));
  if (gross !== null && net !== null) {
    const withheld = taxes.filter((line) => taxOf(line.tax).payer === 'employee').map((line) => line.amount);
    const off = sum([...withheld, ...deductions.map((line) => line.amount), otherDeductions]);
    const computed = subtract(subtract(gross, orZero(amountOf(cells, 'notPaid'))), off);
    if (computed !== net)
      issues.push(
        problem('brought-in.net', 'net', {
          net: showDollars(net),
          computed: showDollars(computed),
          difference: showDollars(subtract(net, computed)),
        }),
      );
  }
  if (!person || !when || gross === null || net === null || issues.length > 0)
    return { row: at, who, balance: null, issues };
  return {
    row: at,
    who,
    issues,
    balance: {
      row: at,
      employeeId: person.id,
      who,
      ...when,
      gross,
      net,
      supplemental: orZero(amountOf(cells, 'supplemental')),
      qualifiedOvertime: orZero(amountOf(cells, 'qualifiedOvertime')),
      qualifiedTips: orZero(amountOf(cells, 'qualifiedTips')),
      otherDeductions,
      taxes,
      deductions,
    },
  };
}

const MOST_ROWS = 20_000;

/** Reads a table of balances: each row is one person and one quarter, or one person and one check date. */
export function readBalances(file: BalanceFile, around: BalanceSurroundings): ReadBalances {
  const issues = mappingIssues(file);
  const amounts = file.mapping.flatMap((name, index) =>
    findBalanceColumn(name, around.items)?.kind === 'amount' ? [index] : [],
  );
  // A row of the form without any amount is a person who was not paid in that quarter.
  const body = file.table
    .slice(1)
    .map((cells, index) => ({ cells, at: index + 2 }))
    .filter(({ cells }) => amounts.some((index) => (cells[index] ?? '').trim() !== ''));
  if (body.length === 0) issues.push(problem('file.no-rows', 'file'));
  if (body.length > MOST_ROWS) issues.push(problem('file.too-many-rows', 'file', { most: String(MOST_ROWS) }));
  if (issues.length > 0) return { issues, rows: [] };
  const rows = body.map(({ cells, at }) => readRow(cells, at, file, around));
  const twice = twiceIssues(rows);
  return {
    issues,
    rows: rows.map((row) => {
      const own = twice.get(row.row);
      return own ? { ...row, balance: null, issues: [...row.issues, own] } : row;
    }),
  };
}

/** A person stands once for a day; a quarter is brought in as a whole or by check dates, not both. By row. */
function twiceIssues(rows: readonly BalanceRow[]): Map<number, Issue> {
  const groups = new Map<string, Balance[]>();
  for (const { balance } of rows) {
    if (!balance) continue;
    const key = `${balance.employeeId} ${quarterOf(balance.day).quarter}`;
    groups.set(key, [...(groups.get(key) ?? []), balance]);
  }
  const found = new Map<number, Issue>();
  for (const group of groups.values())
    for (const balance of group) {
      const clashes = group.filter(
        (other) => other.day === balance.day || other.isWholeQuarter || balance.isWholeQuarter,
      );
      if (clashes.length < 2) continue;
      const at = clashes.map((other) => other.row).join(', ');
      found.set(balance.row, problem('brought-in.twice', 'number', { who: balance.who, rows: at }));
    }
  return found;
}
