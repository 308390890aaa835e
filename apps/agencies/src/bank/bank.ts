import { bankDaysAfter, isBankOpen } from '../calendar.js';
import type { Records, Store, Submission } from '../store.js';
import { AchFault } from './ach-fault.js';
import { readAch } from './ach-reader.js';

/** Entries that come back from the receiving bank, one by one (return reason codes of the Nacha Operating Rules). */
export interface EntryReturn {
  readonly trace: string;
  /** Cents; below zero where a debit came back. */
  readonly amount: number;
  readonly code: string;
  readonly message: string;
  /** What a notification of change corrects, as its addenda has it. */
  readonly corrected?: string;
}
/** Accounts of no one, by the end of their number: what any receiving bank here answers to an entry for them. */
const ACCOUNTS_THAT_ANSWER: Readonly<Record<string, Omit<EntryReturn, 'trace' | 'amount'>>> = {
  '0402': { code: 'R02', message: 'Account closed' },
  '0403': { code: 'R03', message: 'No account, unable to locate' },
  '0404': { code: 'R04', message: 'Invalid account number' },
};
/** Accounts that take credits and refuse debits. */
export const DEBITS_REFUSED: Readonly<Record<string, Omit<EntryReturn, 'trace' | 'amount'>>> = {
  '0401': { code: 'R01', message: 'Insufficient funds' },
  '0429': { code: 'R29', message: 'Corporate customer advises not authorized' },
};
/** Accounts that were renumbered: the entry arrives, and the bank says what the next one is to say. */
const RENUMBERED: Readonly<Record<string, (account: string) => Omit<EntryReturn, 'trace' | 'amount'>>> = {
  '0498': (account) => ({
    code: 'C01',
    message: 'Incorrect account number',
    corrected: `${account.slice(0, -4)}5498`.padEnd(29),
  }),
  '0497': (account) => ({
    code: 'C03',
    message: 'Incorrect routing number and account number',
    corrected: `000000204   ${account.slice(0, -4)}5497`.padEnd(29),
  }),
};
const DAYS_TO_COME_BACK = 1;

/** What has come back by today of a file's entries. */
export function entryReturns(submission: Submission, today: string): EntryReturn[] {
  const effective = submission.notes['effective'] ?? '';
  if (submission.state !== 'settled' || bankDaysAfter(effective, DAYS_TO_COME_BACK) > today) return [];
  return JSON.parse(submission.notes['entryReturns'] ?? '[]') as EntryReturn[];
}

/** Takes an ACH file in: reads it, refuses what is wrong, and keeps the rest until its effective day. */
export function takeFile(store: Store, submission: Submission): void {
  try {
    const file = readAch(submission.content);
    submission.notes = {
      effective: file.effective,
      total: ((file.debits + file.credits) / 100).toFixed(2),
      company: file.company,
      debits: String(file.debits),
      credits: String(file.credits),
      payments: String(file.payments.length),
    };
    if (!isBankOpen(file.effective) || file.effective <= store.records.today) {
      refuse(submission, 'B-DATE', `the effective entry date ${file.effective} cannot be met`);
      return;
    }
    submission.state = 'received';
    submission.notes['entryReturns'] = JSON.stringify(
      file.payments.flatMap(({ trace, account, amount, isDebit }) => {
        const answers = isDebit ? { ...ACCOUNTS_THAT_ANSWER, ...DEBITS_REFUSED } : ACCOUNTS_THAT_ANSWER;
        const answer = Object.entries(answers).find(([tail]) => account.endsWith(tail))?.[1];
        const change = isDebit ? undefined : Object.entries(RENUMBERED).find(([tail]) => account.endsWith(tail))?.[1];
        if (change) return [{ trace, amount: 0, ...change(account) }];
        return answer ? [{ trace, amount: isDebit ? -amount : amount, ...answer }] : [];
      }),
    );
    if (store.records.moods.bank === 'refuse') submission.notes['willReturn'] = 'R01';
  } catch (error) {
    if (!(error instanceof AchFault)) throw error;
    refuse(submission, error.code, error.message);
  }
}

function refuse(submission: Submission, code: string, message: string): void {
  Object.assign(submission, { state: 'rejected', code, message, isFinal: true });
}

const messageOf = (code: string): string =>
  Object.values(DEBITS_REFUSED).find((answer) => answer.code === code)?.message ?? 'Returned';

/** What the bank does at the start of a day: settles what is due, returns what the account could not cover. */
export function startOfDay(records: Records, next: (name: string) => number): void {
  for (const submission of [...records.bank, ...records.debits]) {
    const effective = submission.notes['effective'] ?? '';
    if (submission.state === 'received' && effective <= records.today) {
      submission.state = 'settled';
      submission.settledOn = effective;
      submission.confirmation = `${effective.replaceAll('-', '')}${String(next('confirmation')).padStart(6, '0')}`;
    }
    const returnDay = effective === '' ? '9999-12-31' : bankDaysAfter(effective, 1);
    if (submission.state === 'settled' && submission.notes['willReturn'] && returnDay <= records.today) {
      Object.assign(submission, {
        state: 'returned',
        code: submission.notes['willReturn'],
        message: messageOf(submission.notes['willReturn']),
        isFinal: true,
      });
    }
    // Two banking days after settlement a credit can no longer come back.
    if (submission.state === 'settled' && bankDaysAfter(effective, 2) <= records.today) submission.isFinal = true;
  }
}
