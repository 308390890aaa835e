import type { Issue } from '../../issues/issue.js';
import { ZERO, type Cents } from '../../money/cents.js';
import { writeAchFile, type AchSender } from './file.js';

/** One debit of an account that its holder has authorized. */
export interface CollectionFile extends AchSender {
  /** CCD for the account of a business, PPD for that of a person (a household employer). */
  readonly entryClass: 'CCD' | 'PPD';
  /** A prenote carries no amount; a retry is the debit that came back, sent once more. */
  readonly kind: 'debit' | 'retry' | 'prenote';
  readonly routing: string;
  readonly account: string;
  readonly amount: Cents;
  readonly reference: string;
  readonly name: string;
}

/** Company entry descriptions; that of a reinitiated entry is prescribed (Nacha Operating Rules, 2.12.4; recalled). */
const DESCRIPTIONS: Readonly<Record<CollectionFile['kind'], string>> = {
  debit: 'PAYROLL',
  retry: 'RETRY PYMT',
  prenote: 'PRENOTE',
};

/** An ACH file of one debit (27), or of the prenote before it (28), to a checking account. */
export const writeCollection = (file: CollectionFile): { content: string; issues: Issue[]; total: Cents } =>
  writeAchFile(file, {
    entryClass: file.entryClass,
    description: DESCRIPTIONS[file.kind],
    path: 'debits',
    entries: [
      {
        code: file.kind === 'prenote' ? '28' : '27',
        routing: file.routing,
        account: file.account,
        amount: file.kind === 'prenote' ? ZERO : file.amount,
        id: file.reference,
        name: file.name,
      },
    ],
  });
