import { parseDate, type LocalDate } from '../calendar/local-date.js';
import { readTypedDate } from '../calendar/typed-date.js';
import { problem, type Issue } from '../issues/issue.js';
import { ZERO, add, cents, negate, parseDollars, type Cents } from '../money/cents.js';

/** A line of a bank's statement. */
export interface StatementLine {
  /** The row or record of the file, counted from 1. */
  readonly row: number;
  readonly day: LocalDate;
  /** Money in above zero, money out below. */
  readonly amount: Cents;
  readonly reference: string;
  readonly description: string;
}
export interface Transactions {
  readonly lines: readonly StatementLine[];
  /** The bank's balance at the end of a day, for the days that say one. */
  readonly closing: readonly { readonly day: LocalDate; readonly balance: Cents }[];
  readonly issues: readonly Issue[];
}

const normal = (text: string): string => text.toLowerCase().replace(/[^a-z0-9]+/g, '');
const HEADINGS = {
  day: ['date', 'posted', 'postdate', 'postingdate', 'posteddate', 'transactiondate'],
  amount: ['amount', 'transactionamount'],
  debit: ['debit', 'debits', 'withdrawal', 'withdrawals', 'paidout', 'moneyout'],
  credit: ['credit', 'credits', 'deposit', 'deposits', 'paidin', 'moneyin'],
  reference: ['reference', 'ref', 'bankreference', 'customerreference', 'traceid', 'number'],
  description: ['description', 'details', 'memo', 'text', 'payee', 'narrative'],
  balance: ['balance', 'runningbalance', 'closingbalance', 'ledgerbalance'],
} as const;
type Heading = keyof typeof HEADINGS;
const MOST_ABOVE = 10;

/** An amount as banks write it: signs, brackets, dollar signs and commas; null where it is none. */
function signedAmount(cell: string): Cents | null {
  const typed = cell.trim().replace(/[$,\s]/g, '');
  const isNegative = /^\(.*\)$/.test(typed) || typed.startsWith('-') || typed.endsWith('-');
  const amount = parseDollars(typed.replace(/^\((.*)\)$/, '$1').replace(/^[-+]|-$/g, ''));
  return amount === null ? null : isNegative ? negate(amount) : amount;
}

/**
 * The lines of a statement as a table: a day, and one amount with its sign or a column for each direction. The balance of
 * the last row of a day (in the order in which the days run) is that day's closing balance.
 */
export function readTransactionTable(table: readonly (readonly string[])[]): Transactions {
  const at = (cells: readonly string[], heading: Heading): number =>
    cells.findIndex((cell) => (HEADINGS[heading] as readonly string[]).includes(normal(cell)));
  const head = table
    .slice(0, MOST_ABOVE)
    .findIndex(
      (cells) =>
        at(cells, 'day') >= 0 && (at(cells, 'amount') >= 0 || (at(cells, 'debit') >= 0 && at(cells, 'credit') >= 0)),
    );
  const headings = table[head];
  if (!headings) return { lines: [], closing: [], issues: [problem('bank-statement.no-lines', 'file')] };
  const place = Object.fromEntries(
    (Object.keys(HEADINGS) as Heading[]).map((heading) => [heading, at(headings, heading)]),
  ) as Record<Heading, number>;
  const cell = (cells: readonly string[], heading: Heading): string => (cells[place[heading]] ?? '').trim();
  const lines: StatementLine[] = [];
  const issues: Issue[] = [];
  const balances: { day: LocalDate; balance: Cents }[] = [];
  table.slice(head + 1).forEach((cells, index) => {
    if (cells.every((text) => text.trim() === '')) return;
    const row = head + index + 2;
    const day = readTypedDate(cell(cells, 'day'));
    const amount = amountOf(place, cells);
    const balance = place.balance < 0 ? null : signedAmount(cell(cells, 'balance'));
    // A row with a balance and no amount says how a day began or ended.
    const isBalanceOnly = amount === 'blank' && balance !== null && day !== null;
    if (!isBalanceOnly && (day === null || amount === null || amount === 'blank' || amount === 0)) {
      issues.push(problem('bank-statement.line', `row ${row}`, { row: String(row) }));
      return;
    }
    if (day === null) return;
    if (balance !== null) balances.push({ day, balance });
    if (amount !== 'blank' && amount !== null)
      lines.push({ row, day, amount, reference: cell(cells, 'reference'), description: cell(cells, 'description') });
  });
  const runsDown = balances.length > 1 && (balances[0]?.day ?? '') > (balances.at(-1)?.day ?? '');
  const closing = new Map<LocalDate, Cents>();
  for (const { day, balance } of runsDown ? [...balances].reverse() : balances) closing.set(day, balance);
  if (lines.length === 0 && closing.size === 0 && issues.length === 0)
    issues.push(problem('bank-statement.no-lines', 'file'));
  return { lines, closing: [...closing].map(([day, balance]) => ({ day, balance })), issues };
}

/** The amount of a row: of its one column, or of the direction that has one. */
function amountOf(place: Record<Heading, number>, cells: readonly string[]): Cents | null | 'blank' {
  if (place.amount >= 0) {
    const text = (cells[place.amount] ?? '').trim();
    return text === '' ? 'blank' : signedAmount(text);
  }
  const [out, into] = [place.debit, place.credit].map((column) => (cells[column] ?? '').trim());
  if (!out && !into) return 'blank';
  const [debit, credit] = [out ? signedAmount(out) : ZERO, into ? signedAmount(into) : ZERO];
  // Some banks write a withdrawal with a minus in its own column.
  return debit === null || credit === null ? null : add(credit, debit > 0 ? negate(debit) : debit);
}

/** Fields of a funds type that stand before the references: S has three amounts, V a day and a time, D pairs it counts. */
function fundsFields(type: string, rest: readonly string[]): number {
  if (type === 'S') return 3;
  if (type === 'V') return 2;
  return type === 'D' ? 1 + 2 * Number(rest[0] ?? 0) : 0;
}
/** Cash Management Balance Reporting Specifications, version 2, as recalled: closing ledger balance; credits and debits. */
const CLOSING_LEDGER = '015';
const isCredit = (type: string): boolean => /^[123]\d\d$/.test(type);
const isDebit = (type: string): boolean => /^[456]\d\d$/.test(type);
const shortDay = (text: string): LocalDate | null => parseDate(`20${text.replace(/^(\d\d)(\d\d)(\d\d)$/, '$1-$2-$3')}`);

/** Records of a BAI2 file, with continuation records (88) joined to what they continue. */
function recordsOf(text: string): { row: number; fields: string[] }[] {
  const records: { row: number; fields: string[] }[] = [];
  text.split(/\r?\n/).forEach((line, index) => {
    const plain = line.trim().replace(/\/\s*$/, '');
    if (plain === '') return;
    const fields = plain.split(',');
    const before = records.at(-1);
    if (fields[0] === '88' && before) before.fields.push(...fields.slice(1));
    else records.push({ row: index + 1, fields });
  });
  return records;
}

/** The lines of a BAI2 file for one account; a file with several is refused, because nothing would say whose each is. */
export function readBai2Transactions(text: string): Transactions {
  const lines: StatementLine[] = [];
  const issues: Issue[] = [];
  const closing: { day: LocalDate; balance: Cents }[] = [];
  const accounts = new Set<string>();
  let day: LocalDate | null = null;
  for (const { row, fields } of recordsOf(text)) {
    const [code, second = '', third = ''] = fields;
    if (code === '02') day = shortDay(fields[4] ?? '');
    if (code === '03') {
      accounts.add(second);
      // Type, amount, item count, funds type, and so on.
      for (let at = 3; at + 1 < fields.length; at += 4)
        if (fields[at] === CLOSING_LEDGER && /^[-+]?\d{1,14}$/.test(fields[at + 1] ?? '') && day !== null)
          closing.push({ day, balance: cents(Number(fields[at + 1])) });
    }
    if (code !== '16') continue;
    const isSound =
      day !== null && /^\d{1,14}$/.test(third) && Number(third) > 0 && (isCredit(second) || isDebit(second));
    if (!isSound || day === null) {
      issues.push(problem('bank-statement.line', `row ${row}`, { row: String(row) }));
      continue;
    }
    const rest = fields.slice(4);
    const [bankReference = '', customerReference = '', ...words] = rest.slice(fundsFields(fields[3] ?? '', rest));
    lines.push({
      row,
      day,
      amount: cents(isCredit(second) ? Number(third) : -Number(third)),
      reference: [bankReference, customerReference].filter((part) => part !== '').join(' '),
      description: words.join(',').trim(),
    });
  }
  if (accounts.size > 1) return { lines: [], closing: [], issues: [problem('bank-statement.accounts', 'file')] };
  if (lines.length === 0 && closing.length === 0 && issues.length === 0)
    issues.push(problem('bank-statement.no-lines', 'file'));
  return { lines, closing, issues };
}
