import type { LocalDate } from '../../calendar/local-date.js';
import { problem, type Issue } from '../../issues/issue.js';
import { sum, type Cents } from '../../money/cents.js';
import { writeRecord } from '../fixed-width/writer.js';
import type { TxpAmount } from '../nacha/tax-payment.js';
import { DEBIT, DEBIT_HEADER, DEBIT_TRAILER } from './layout.js';

/** One payment that an agency takes from a taxpayer's account itself. */
export interface AgencyDebit {
  readonly taxpayerId: string;
  /** What the agency gave the taxpayer for it: four to eight digits. */
  readonly pin: string;
  readonly taxType: string;
  readonly periodEnd: LocalDate;
  readonly settles: LocalDate;
  readonly accountTail: string;
  /** At most three, none below zero. */
  readonly amounts: readonly TxpAmount[];
  readonly reference: string;
}
export interface AgencyDebitFile {
  /** The number under which the agency knows the firm. */
  readonly filerNumber: string;
  readonly filerName: string;
  readonly created: LocalDate;
  readonly debits: readonly AgencyDebit[];
}

const MOST_AMOUNTS = 3;
const PIN = /^\d{4,8}$/;
export const isPin = (text: string): boolean => PIN.test(text);
const digitsOf = (day: LocalDate): string => day.replaceAll('-', '');

/** The file, with its issues; one that has any is not to be sent. */
export function writeDebits(file: AgencyDebitFile): { content: string; issues: Issue[]; total: Cents } {
  const issues: Issue[] = [];
  const lines: string[] = [];
  const write = (...record: Parameters<typeof writeRecord>): void => {
    const written = writeRecord(...record);
    lines.push(written.line);
    issues.push(...written.issues);
  };
  write(
    DEBIT_HEADER,
    {
      'Filer Number': file.filerNumber,
      'Filer Name': file.filerName.slice(0, 35),
      'Date Created': digitsOf(file.created),
    },
    'header',
  );
  for (const [index, debit] of file.debits.entries()) {
    const path = `debits[${index}]`;
    if (!isPin(debit.pin)) issues.push(problem('debit.pin', `${path}.pin`));
    if (debit.amounts.length > MOST_AMOUNTS) issues.push(problem('debit.amounts', `${path}.amounts`));
    write(
      DEBIT,
      {
        'Taxpayer Number': debit.taxpayerId,
        PIN: debit.pin,
        'Tax Type': debit.taxType,
        'Tax Period End': digitsOf(debit.periodEnd),
        'Settlement Date': digitsOf(debit.settles),
        'Account Ending': debit.accountTail,
        Amount: sum(debit.amounts.map(({ amount }) => amount)),
        ...Object.fromEntries(
          debit.amounts
            .slice(0, MOST_AMOUNTS)
            .flatMap(({ type, amount }, at) => [
              [`Subcategory ${at + 1}`, type] as const,
              [`Subcategory ${at + 1} Amount`, amount] as const,
            ]),
        ),
        Reference: debit.reference,
      },
      path,
    );
  }
  const total = sum(file.debits.flatMap(({ amounts }) => amounts.map(({ amount }) => amount)));
  write(DEBIT_TRAILER, { Debits: file.debits.length, Total: total }, 'trailer');
  return { content: `${lines.join('\r\n')}\r\n`, issues, total };
}

/** The file as it may be shown: whoever looks at a slip does not read the taxpayer's PIN. */
export const withoutPins = (content: string): string =>
  content
    .split('\r\n')
    .map((line) => (line.startsWith('D') ? `${line.slice(0, 16)}${'*'.repeat(8)}${line.slice(24)}` : line))
    .join('\r\n');
