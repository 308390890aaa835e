import type { LocalDate } from '../../calendar/local-date.js';
import type { Issue } from '../../issues/issue.js';
import { problem } from '../../issues/issue.js';
import { sum, type Cents } from '../../money/cents.js';
import type { RecordLayout } from '../fixed-width/field.js';
import { writeRecord, type FieldValues } from '../fixed-width/writer.js';
import { ADDENDA, BATCH_CONTROL, BATCH_HEADER, ENTRY_DETAIL, FILE_CONTROL, FILE_HEADER } from './layout.js';

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
export interface TaxPaymentFile {
  readonly bankRouting: string;
  readonly bankName: string;
  readonly originName: string;
  /** Company identification: 1 and the EIN. */
  readonly companyId: string;
  readonly companyName: string;
  readonly created: LocalDate;
  readonly settles: LocalDate;
  readonly fileIdModifier: string;
  readonly credits: readonly TaxCredit[];
}

const shortDate = (day: LocalDate): string => day.slice(2).replaceAll('-', '');

/** `TXP*123456789*94105*260930*1*0000012345*2*...\` (ANSI ASC X12 TXP segment as used in CCD+ tax payments). */
export function txpSegment(credit: TaxCredit): string {
  const amounts = credit.amounts.flatMap(({ type, amount }) => [type, String(amount).padStart(10, '0')]);
  return `TXP*${[credit.taxpayerId, credit.taxType, shortDate(credit.periodEnd), ...amounts].join('*')}\\`;
}

const BLOCKING = 10;

/** An ACH file of CCD+ credits with TXP addenda; 94-position records, CR LF, filled with 9s to whole blocks of ten. */
export function writeTaxPayments(file: TaxPaymentFile): { content: string; issues: Issue[]; total: Cents } {
  const issues: Issue[] = [];
  const lines: string[] = [];
  const write = (layout: RecordLayout, values: FieldValues, path: string): void => {
    const written = writeRecord(layout, values, path);
    issues.push(...written.issues);
    lines.push(written.line);
  };
  const originDfi = file.bankRouting.slice(0, 8);
  write(
    FILE_HEADER,
    {
      'Immediate Destination': ` ${file.bankRouting}`,
      'Immediate Origin': file.companyId,
      'File Creation Date': shortDate(file.created),
      'File Creation Time': '0000',
      'File ID Modifier': file.fileIdModifier,
      'Immediate Destination Name': file.bankName.slice(0, 23),
      'Immediate Origin Name': file.originName.slice(0, 23),
    },
    'file',
  );
  write(
    BATCH_HEADER,
    {
      'Company Name': file.companyName.slice(0, 16),
      'Company Identification': file.companyId,
      'Company Entry Description': 'TAX PYMT',
      'Company Descriptive Date': shortDate(file.created),
      'Effective Entry Date': shortDate(file.settles),
      'Originating DFI Identification': originDfi,
      'Batch Number': 1,
    },
    'batch',
  );
  let hash = 0n;
  file.credits.forEach((credit, index) => {
    const sequence = index + 1;
    const amount = sum(credit.amounts.map((line) => line.amount));
    if (amount <= 0) issues.push(problem('file.negative', `credits[${index}]`, { field: 'Amount' }));
    hash += BigInt(credit.receiverRouting.slice(0, 8));
    write(
      ENTRY_DETAIL,
      {
        'Receiving DFI Identification': credit.receiverRouting.slice(0, 8),
        'Check Digit': credit.receiverRouting.slice(8),
        'DFI Account Number': credit.receiverAccount,
        Amount: amount,
        'Identification Number': credit.reference,
        'Receiving Company Name': credit.receiverName.slice(0, 22),
        'Trace Number': `${originDfi}${String(sequence).padStart(7, '0')}`,
      },
      `credits[${index}]`,
    );
    write(
      ADDENDA,
      {
        'Payment Related Information': txpSegment(credit),
        'Addenda Sequence Number': 1,
        'Entry Detail Sequence Number': sequence,
      },
      `credits[${index}]`,
    );
  });
  const total = sum(file.credits.flatMap((credit) => credit.amounts.map((line) => line.amount)));
  const totals = { 'Entry/Addenda Count': file.credits.length * 2, 'Entry Hash': (hash % 10_000_000_000n).toString() };
  write(
    BATCH_CONTROL,
    {
      ...totals,
      'Total Debit Entry Dollar Amount': 0,
      'Total Credit Entry Dollar Amount': total,
      'Company Identification': file.companyId,
      'Originating DFI Identification': originDfi,
      'Batch Number': 1,
    },
    'batch',
  );
  const blocks = Math.ceil((lines.length + 1) / BLOCKING);
  write(
    FILE_CONTROL,
    {
      ...totals,
      'Batch Count': 1,
      'Block Count': blocks,
      'Total Debit Entry Dollar Amount in File': 0,
      'Total Credit Entry Dollar Amount in File': total,
    },
    'file',
  );
  while (lines.length % BLOCKING !== 0) lines.push('9'.repeat(94));
  return { content: lines.map((line) => `${line}\r\n`).join(''), issues, total };
}
