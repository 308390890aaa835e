import type { LocalDate } from '../../calendar/local-date.js';
import { toDollars, type Cents } from '../../money/cents.js';

/** A posting: debit positive, credit negative; department and detail are said in its comment. */
export interface JournalPosting {
  readonly account: string;
  readonly department: string;
  readonly detail: string;
  readonly amount: Cents;
}
/** One transaction of a plain-text journal. */
export interface BookEntry {
  readonly day: LocalDate;
  /** What identifies it in the books it is taken into. */
  readonly code: string;
  readonly memo: string;
  readonly lines: readonly JournalPosting[];
}

/** Two blanks end an account's name, a semicolon begins a comment: neither is in a name. */
const nameOf = (text: string): string =>
  text
    .replace(/[;|()[\]"]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * Transactions in the plain-text accounting format that hledger and Ledger read (hledger manual, "Journal format"): date,
 * status, code and description, then postings of account and amount, which sum to zero.
 */
export const writePlainTextJournal = (entries: readonly BookEntry[]): string =>
  `${entries
    .map(({ day, code, memo, lines }) =>
      [
        `${day} * (${nameOf(code)}) ${nameOf(memo)}`,
        ...lines.map(({ account, department, detail, amount }) => {
          const comment = nameOf([department, detail].filter((part) => part !== '').join(', '));
          return `    ${nameOf(account).padEnd(40)}  ${toDollars(amount)} USD${comment === '' ? '' : `  ; ${comment}`}`;
        }),
      ].join('\n'),
    )
    .join('\n\n')}\n`;
