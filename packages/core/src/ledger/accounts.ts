import { ZERO, add, negate, sum, type Cents } from '../money/cents.js';
import { ACCOUNT_LABELS, type JournalAccount, type JournalLine } from './postings.js';

/** Accounts of the client's books; blank where it has not said one. Items by the label that their lines have. */
export interface AccountMap {
  readonly wages: string;
  readonly employerTaxes: string;
  readonly payable: string;
  readonly cash: string;
  /** What the firm holds of the client's money. */
  readonly fundsHeld: string;
  readonly fees: string;
  readonly items: ReadonlyMap<string, string>;
}
/** Pay in cash of one entry by item and department: what the wages of the journal are split into. */
export interface EarningPiece {
  readonly department: string;
  readonly label: string;
  readonly amount: Cents;
}
/** A line as the client's books take it. */
export interface BookLine {
  /** The number or name of the account; our own name of it where the client has not said one. */
  readonly account: string;
  readonly isMapped: boolean;
  readonly department: string;
  readonly detail: string;
  /** Debit positive, credit negative. */
  readonly amount: Cents;
}

const OF_MAP: Readonly<Record<JournalAccount, keyof Omit<AccountMap, 'items'>>> = {
  'wages-expense': 'wages',
  'employer-tax-expense': 'employerTaxes',
  'employer-benefit-expense': 'wages',
  'net-pay-payable': 'payable',
  'deductions-payable': 'payable',
  'taxes-payable': 'payable',
  'benefits-payable': 'payable',
  cash: 'cash',
  'funds-held': 'fundsHeld',
  'service-fees': 'fees',
};
/** Accounts whose lines are of an item, which may have an account of its own. */
const BY_ITEM: ReadonlySet<JournalAccount> = new Set([
  'wages-expense',
  'employer-benefit-expense',
  'deductions-payable',
]);

/** Wages by item and department instead of in one line, where the pieces are the whole of them and no job is named. */
function withPieces(
  lines: readonly JournalLine[],
  pieces: readonly EarningPiece[],
): (JournalLine & { department: string })[] {
  const isWages = ({ account }: JournalLine): boolean => account === 'wages-expense';
  const plain = (line: JournalLine) => ({ ...line, department: '' });
  const wages = lines.filter(isWages);
  const isWhole = sum(pieces.map(({ amount }) => amount)) === sum(wages.map(({ amount }) => amount));
  if (!isWhole || wages.length !== 1) return lines.map(plain);
  return [
    ...pieces.map(({ department, label, amount }) => ({
      account: 'wages-expense' as const,
      detail: label,
      amount,
      department,
    })),
    ...lines.filter((line) => !isWages(line)).map(plain),
  ];
}

/** The lines of a journal entry on the client's accounts, equal ones in one. They sum to what the entry sums to: zero. */
export function bookLines(lines: readonly JournalLine[], pieces: readonly EarningPiece[], map: AccountMap): BookLine[] {
  const found = new Map<string, BookLine>();
  for (const { account, detail, amount, department } of withPieces(lines, pieces)) {
    const own = BY_ITEM.has(account) ? (map.items.get(detail) ?? '') : '';
    const said = own === '' ? map[OF_MAP[account]] : own;
    const line: BookLine = {
      account: said === '' ? ACCOUNT_LABELS[account] : said,
      isMapped: said !== '',
      department,
      detail,
      amount,
    };
    const key = JSON.stringify([line.account, department, detail]);
    const before = found.get(key);
    found.set(key, before ? { ...before, amount: add(before.amount, amount) } : line);
  }
  return [...found.values()].filter(({ amount }) => amount !== 0);
}

/** Lines of several entries in one, as a month is booked at once. */
export function mergedLines(entries: readonly (readonly BookLine[])[]): BookLine[] {
  const found = new Map<string, BookLine>();
  for (const line of entries.flat()) {
    const key = JSON.stringify([line.account, line.department, line.detail]);
    const before = found.get(key);
    found.set(key, before ? { ...before, amount: add(before.amount, line.amount) } : line);
  }
  return [...found.values()].filter(({ amount }) => amount !== 0);
}

export const debits = (lines: readonly BookLine[]): Cents =>
  sum(lines.map(({ amount }) => (amount > 0 ? amount : ZERO)));
export const credits = (lines: readonly BookLine[]): Cents =>
  negate(sum(lines.map(({ amount }) => (amount < 0 ? amount : ZERO))));
