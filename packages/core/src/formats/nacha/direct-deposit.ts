import type { Issue } from '../../issues/issue.js';
import { ZERO, type Cents } from '../../money/cents.js';
import { writeAchFile, type AchSender, type TransactionCode } from './file.js';

export interface PayCredit {
  readonly type: 'checking' | 'savings';
  readonly routing: string;
  readonly account: string;
  readonly amount: Cents;
  /** The person's number with the employer. */
  readonly id: string;
  readonly name: string;
}
export interface DirectDepositFile extends AchSender {
  /**
   * Prenotes carry no amount; their entries tell whether the banks know the accounts. A reversal takes back credits that
   * were wrong, each at its whole amount.
   */
  readonly kind: 'pay' | 'prenotes' | 'reversal';
  readonly credits: readonly PayCredit[];
}

/** Transaction codes of the Nacha Operating Rules (recalled). */
const CODES: Readonly<Record<DirectDepositFile['kind'], Readonly<Record<PayCredit['type'], TransactionCode>>>> = {
  pay: { checking: '22', savings: '32' },
  prenotes: { checking: '23', savings: '33' },
  reversal: { checking: '27', savings: '37' },
};
/** Company entry descriptions; that of a reversal is prescribed (Nacha Operating Rules, 2.9; recalled). */
const DESCRIPTIONS: Readonly<Record<DirectDepositFile['kind'], string>> = {
  pay: 'PAYROLL',
  prenotes: 'PRENOTE',
  reversal: 'REVERSAL',
};

/** An ACH file of PPD credits to people's accounts, of their prenotes, or of debits that take credits back. Without an offset. */
export const writeDirectDeposit = (file: DirectDepositFile): { content: string; issues: Issue[]; total: Cents } =>
  writeAchFile(file, {
    entryClass: 'PPD',
    description: DESCRIPTIONS[file.kind],
    path: 'credits',
    entries: file.credits.map((credit) => ({
      code: CODES[file.kind][credit.type],
      routing: credit.routing,
      account: credit.account,
      amount: file.kind === 'prenotes' ? ZERO : credit.amount,
      id: credit.id,
      name: credit.name,
    })),
  });
