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
  /** Prenotes carry no amount; their entries tell whether the banks know the accounts. */
  readonly kind: 'pay' | 'prenotes';
  readonly credits: readonly PayCredit[];
}

/** Transaction codes of the Nacha Operating Rules (recalled). */
const CODES: Readonly<Record<DirectDepositFile['kind'], Readonly<Record<PayCredit['type'], TransactionCode>>>> = {
  pay: { checking: '22', savings: '32' },
  prenotes: { checking: '23', savings: '33' },
};

/** An ACH file of PPD credits to people's accounts, or of their prenotes. Without an offsetting debit. */
export const writeDirectDeposit = (file: DirectDepositFile): { content: string; issues: Issue[]; total: Cents } =>
  writeAchFile(file, {
    entryClass: 'PPD',
    description: file.kind === 'pay' ? 'PAYROLL' : 'PRENOTE',
    path: 'credits',
    entries: file.credits.map((credit) => ({
      code: CODES[file.kind][credit.type],
      routing: credit.routing,
      account: credit.account,
      amount: file.kind === 'pay' ? credit.amount : ZERO,
      id: credit.id,
      name: credit.name,
    })),
  });
