import { parseDate, type LocalDate } from '../calendar/local-date.js';
import { readTypedDate } from '../calendar/typed-date.js';
import { problem, type Issue } from '../issues/issue.js';
import { cents, parseDollars, type Cents } from '../money/cents.js';

/** A check that the bank says it paid. */
export interface PaidCheck {
  /** The row or record of the file, counted from 1. */
  readonly row: number;
  readonly number: number;
  readonly amount: Cents;
  readonly day: LocalDate;
}
export interface ReadStatement {
  readonly checks: readonly PaidCheck[];
  readonly issues: readonly Issue[];
}

const normal = (text: string): string => text.toLowerCase().replace(/[^a-z0-9#]+/g, '');
const NUMBER = [
  'checknumber',
  'checkno',
  'check#',
  'check',
  'serial',
  'serialnumber',
  'number',
  'num',
  'customerreference',
];
const AMOUNT = ['amount', 'debit', 'withdrawal', 'withdrawals', 'paidamount', 'checkamount'];
const DAY = [
  'date',
  'posted',
  'postdate',
  'postingdate',
  'posteddate',
  'paiddate',
  'datepaid',
  'cleared',
  'transactiondate',
];
/** Rows above the headings that are looked at. */
const MOST_ABOVE = 10;

const at = (headings: readonly string[], known: readonly string[]): number =>
  headings.findIndex((heading) => known.includes(normal(heading)));

/** The checks of a statement as a table: a row with a number, an amount and a day; rows without a number are no checks. */
export function readStatementTable(table: readonly (readonly string[])[]): ReadStatement {
  const row = table
    .slice(0, MOST_ABOVE)
    .findIndex((cells) => [NUMBER, AMOUNT, DAY].every((known) => at(cells, known) >= 0));
  if (row < 0) return { checks: [], issues: [problem('bank-statement.headings', 'file')] };
  const headings = table[row] ?? [];
  const [number, amount, day] = [at(headings, NUMBER), at(headings, AMOUNT), at(headings, DAY)];
  const checks: PaidCheck[] = [];
  const issues: Issue[] = [];
  table.slice(row + 1).forEach((cells, index) => {
    const place = row + index + 2;
    const digits = (cells[number] ?? '').trim().replace(/^#/, '');
    if (digits === '') return;
    // A debit is written with a minus or in brackets by some banks.
    const typed = (cells[amount] ?? '')
      .trim()
      .replace(/^\((.*)\)$/, '$1')
      .replace(/^-/, '')
      .replace(/[$,\s]/g, '');
    const paid = parseDollars(typed);
    const on = dayOf((cells[day] ?? '').trim());
    if (!/^\d{1,9}$/.test(digits) || paid === null || paid <= 0 || on === null)
      issues.push(problem('bank-statement.row', `row ${place}`, { row: String(place) }));
    else checks.push({ row: place, number: Number(digits), amount: paid, day: on });
  });
  return { checks, issues };
}
const dayOf = (text: string): LocalDate | null => readTypedDate(text);

/** Fields of a funds type that stand before the references: S has three amounts, V a day and a time, D pairs it counts. */
function fundsFields(type: string, rest: readonly string[]): number {
  if (type === 'S') return 3;
  if (type === 'V') return 2;
  return type === 'D' ? 1 + 2 * Number(rest[0] ?? 0) : 0;
}
/** Check paid (Cash Management Balance Reporting Specifications, version 2, as recalled: `BAI2`). */
const CHECK_PAID = '475';

export const isBai2 = (text: string): boolean => /^\s*01,/.test(text);

/**
 * The checks of a BAI2 file: detail records (16) of the type check paid, on the as-of day of their group (02), with the
 * serial number as the customer's reference. Amounts are cents without a point; a record goes on in records 88.
 */
export function readBai2(text: string): ReadStatement {
  const checks: PaidCheck[] = [];
  const issues: Issue[] = [];
  let day: LocalDate | null = null;
  const lines = text.split(/\r?\n/);
  lines.forEach((line, index) => {
    const fields = line
      .trim()
      .replace(/\/\s*$/, '')
      .split(',');
    if (fields[0] === '02') day = parseDate(`20${(fields[4] ?? '').replace(/^(\d\d)(\d\d)(\d\d)$/, '$1-$2-$3')}`);
    if (fields[0] !== '16' || fields[1] !== CHECK_PAID) return;
    const rest = fields.slice(4);
    const [, reference = ''] = rest.slice(fundsFields(fields[3] ?? '', rest));
    const digits = reference.trim().replace(/^0+/, '');
    if (!/^\d{1,9}$/.test(digits) || !/^\d{1,12}$/.test(fields[2] ?? '') || day === null)
      issues.push(problem('bank-statement.row', `row ${index + 1}`, { row: String(index + 1) }));
    else checks.push({ row: index + 1, number: Number(digits), amount: cents(Number(fields[2])), day });
  });
  if (checks.length === 0 && issues.length === 0) issues.push(problem('bank-statement.no-checks', 'file'));
  return { checks, issues };
}
