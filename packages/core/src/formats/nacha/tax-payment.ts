import type { LocalDate } from '../../calendar/local-date.js';
import type { Issue } from '../../issues/issue.js';
import { sum, type Cents } from '../../money/cents.js';
import { shortDate, writeAchFile, type AchSender } from './file.js';

/** Up to three amounts of a TXP addenda, each with its type. */
export interface TxpAmount {
  readonly type: string;
  readonly amount: Cents;
}
export interface TaxCredit {
  readonly taxpayerId: string;
  /** Tax type code of the agency, for example 94105 for Form 941 deposits. */
  readonly taxType: string;
  readonly periodEnd: LocalDate;
  readonly amounts: readonly TxpAmount[];
  readonly receiverName: string;
  readonly receiverRouting: string;
  readonly receiverAccount: string;
  readonly reference: string;
}
export interface TaxPaymentFile extends AchSender {
  readonly credits: readonly TaxCredit[];
}

/** `TXP*123456789*94105*260930*1*0000012345*2*...\` (ANSI ASC X12 TXP segment as used in CCD+ tax payments). */
export function txpSegment(credit: TaxCredit): string {
  const amounts = credit.amounts.flatMap(({ type, amount }) => [type, String(amount).padStart(10, '0')]);
  return `TXP*${[credit.taxpayerId, credit.taxType, shortDate(credit.periodEnd), ...amounts].join('*')}\\`;
}

/** An ACH file of CCD+ credits with TXP addenda. */
export const writeTaxPayments = (file: TaxPaymentFile): { content: string; issues: Issue[]; total: Cents } =>
  writeAchFile(file, {
    entryClass: 'CCD',
    description: 'TAX PYMT',
    path: 'credits',
    entries: file.credits.map((credit) => ({
      code: '22',
      routing: credit.receiverRouting,
      account: credit.receiverAccount,
      amount: sum(credit.amounts.map((line) => line.amount)),
      id: credit.reference,
      name: credit.receiverName,
      addenda: txpSegment(credit),
    })),
  });
