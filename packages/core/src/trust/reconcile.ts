import { daysBetween, type LocalDate } from '../calendar/local-date.js';
import { add, subtract, sum, type Cents } from '../money/cents.js';

/** An entry of the trust ledger that the bank's statement shows sooner or later. */
export interface BookEntry {
  readonly id: string;
  readonly day: LocalDate;
  readonly amount: Cents;
  readonly reference: string;
}
/** A line of the bank's statement: money in above zero, money out below. */
export interface BankLine {
  readonly id: string;
  readonly day: LocalDate;
  readonly amount: Cents;
  /** Reference and text of the bank, as they stand. */
  readonly says: string;
}
export interface Match {
  readonly entryId: string;
  readonly lineId: string;
}

/** A line without our reference is matched by its amount alone within this many days of the entry. */
const DAYS_APART = 5;
const MOST_OF_ONE_REFERENCE = 200;

/**
 * Matches that follow by themselves: first lines that name our reference, with one entry or all open entries of that
 * reference adding up to the line; then a line and an entry that are each other's only ones of an amount within five days.
 * What is not plain is left to a person.
 */
export function plainMatches(entries: readonly BookEntry[], lines: readonly BankLine[]): Match[] {
  const matches: Match[] = [];
  const openEntries = new Map(entries.map((entry) => [entry.id, entry]));
  const openLines = new Map(lines.map((line) => [line.id, line]));
  const take = (found: readonly BookEntry[], line: BankLine): void => {
    for (const entry of found) {
      matches.push({ entryId: entry.id, lineId: line.id });
      openEntries.delete(entry.id);
    }
    openLines.delete(line.id);
  };
  for (const line of lines) {
    const named = [...openEntries.values()].filter(
      ({ reference, amount }) => reference !== '' && line.says.includes(reference) && amount < 0 === line.amount < 0,
    );
    const one = named.find(({ amount }) => amount === line.amount);
    if (one) take([one], line);
    else if (
      named.length > 0 &&
      named.length <= MOST_OF_ONE_REFERENCE &&
      sum(named.map(({ amount }) => amount)) === line.amount
    )
      take(named, line);
  }
  const isNear = (entry: BookEntry, line: BankLine): boolean =>
    entry.amount === line.amount && Math.abs(daysBetween(entry.day, line.day)) <= DAYS_APART;
  for (const line of openLines.values()) {
    const near = [...openEntries.values()].filter((entry) => isNear(entry, line));
    const [entry] = near;
    if (near.length !== 1 || !entry) continue;
    if ([...openLines.values()].filter((other) => isNear(entry, other)).length === 1) take([entry], line);
  }
  return matches;
}

/** The account on one day, three ways. */
export interface Reconciliation {
  readonly day: LocalDate;
  /** What the bank says at the end of the day. */
  readonly bank: Cents;
  /** In the books by this day, not on the statement: paid out and not cleared, collected and not credited. */
  readonly outstanding: readonly BookEntry[];
  /** On the statement by this day, not in the books. */
  readonly unexplained: readonly BankLine[];
  /** The bank's balance with what is outstanding and without what nobody has explained. */
  readonly adjusted: Cents;
  readonly book: Cents;
  readonly clients: Cents;
  readonly firm: Cents;
  /** Bank less book: nothing, where the account reconciles. */
  readonly difference: Cents;
  readonly isReconciled: boolean;
}

/**
 * The bank's balance against the book and the book against the balances of the clients and the firm, to the cent. An entry
 * is outstanding on a day when its line is later or there is none, and a line is unexplained when it has no entry by then.
 */
export function reconcile(
  day: LocalDate,
  bank: Cents,
  entries: readonly BookEntry[],
  lines: readonly BankLine[],
  matches: readonly Match[],
  owners: { readonly clients: Cents; readonly firm: Cents },
): Reconciliation {
  const lineById = new Map(lines.map((line) => [line.id, line]));
  const entryById = new Map(entries.map((entry) => [entry.id, entry]));
  const lineOf = new Map(matches.map(({ entryId, lineId }) => [entryId, lineId]));
  const entriesOf = new Map<string, string[]>();
  for (const { entryId, lineId } of matches) entriesOf.set(lineId, [...(entriesOf.get(lineId) ?? []), entryId]);
  const outstanding = entries.filter((entry) => {
    const line = lineById.get(lineOf.get(entry.id) ?? '');
    return entry.day <= day && (line === undefined || line.day > day);
  });
  const unexplained = lines.filter((line) => {
    const own = entriesOf.get(line.id) ?? [];
    return line.day <= day && !own.some((id) => (entryById.get(id)?.day ?? day) <= day);
  });
  const book = add(owners.clients, owners.firm);
  const adjusted = subtract(
    add(bank, sum(outstanding.map(({ amount }) => amount))),
    sum(unexplained.map(({ amount }) => amount)),
  );
  const difference = subtract(adjusted, book);
  return {
    day,
    bank,
    outstanding,
    unexplained,
    adjusted,
    book,
    ...owners,
    difference,
    isReconciled: difference === 0 && unexplained.length === 0,
  };
}
