import type { LocalDate } from '../../calendar/local-date.js';
import { transliterate } from '../../identity/transliterate.js';
import type { Issue } from '../../issues/issue.js';
import { problem } from '../../issues/issue.js';
import { ZERO, sum, type Cents } from '../../money/cents.js';
import type { RecordLayout } from '../fixed-width/field.js';
import { writeRecord, type FieldValues } from '../fixed-width/writer.js';
import { ADDENDA, BATCH_CONTROL, BATCH_HEADER, ENTRY_DETAIL, FILE_CONTROL, FILE_HEADER } from './layout.js';

/** Credits to checking (22) and savings (32), debits (27, 37), and their prenotes (23, 33, 28, 38) without an amount. */
export type TransactionCode = '22' | '23' | '32' | '33' | '27' | '28' | '37' | '38';
const PRENOTES: ReadonlySet<TransactionCode> = new Set(['23', '33', '28', '38']);
const DEBITS: ReadonlySet<TransactionCode> = new Set(['27', '28', '37', '38']);
/** Service class codes: a batch of credits only, of debits only (Nacha Operating Rules, Appendix Three; recalled). */
const CREDITS_ONLY = '220';
const DEBITS_ONLY = '225';

export interface AchEntry {
  readonly code: TransactionCode;
  readonly routing: string;
  readonly account: string;
  readonly amount: Cents;
  readonly id: string;
  readonly name: string;
  /** Payment related information of an addenda record. */
  readonly addenda?: string;
}
/** Who sends an ACH file, from which bank and for which day. */
export interface AchSender {
  readonly bankRouting: string;
  readonly bankName: string;
  readonly originName: string;
  /** Company identification: 1 and the EIN. */
  readonly companyId: string;
  readonly companyName: string;
  readonly created: LocalDate;
  readonly settles: LocalDate;
  /** Tells files of one day apart. */
  readonly fileIdModifier: string;
}
export interface AchBatch {
  /** CCD+ to businesses and agencies, PPD to persons. */
  readonly entryClass: 'CCD' | 'PPD';
  readonly description: string;
  readonly entries: readonly AchEntry[];
  /** Where the entries are in what the caller was given, for issues. */
  readonly path: string;
}

export const shortDate = (day: LocalDate): string => day.slice(2).replaceAll('-', '');
const BLOCKING = 10;

/** The trace number of an entry: the originating bank and its place in the file. */
export const traceNumber = (bankRouting: string, sequence: number): string =>
  `${bankRouting.slice(0, 8)}${String(sequence).padStart(7, '0')}`;

/** An ACH file with one batch, of credits or of debits; 94-position records, CR LF, filled with 9s to whole blocks of ten. */
export function writeAchFile(file: AchSender, batch: AchBatch): { content: string; issues: Issue[]; total: Cents } {
  const issues: Issue[] = [];
  const lines: string[] = [];
  const write = (layout: RecordLayout, values: FieldValues, path: string): void => {
    const written = writeRecord(layout, values, path);
    issues.push(...written.issues);
    lines.push(written.line);
  };
  const originDfi = file.bankRouting.slice(0, 8);
  const areDebits = batch.entries.every(({ code }) => DEBITS.has(code));
  if (!areDebits && batch.entries.some(({ code }) => DEBITS.has(code)))
    throw new Error('a batch has credits and debits');
  const serviceClass = areDebits ? DEBITS_ONLY : CREDITS_ONLY;
  write(
    FILE_HEADER,
    {
      'Immediate Destination': ` ${file.bankRouting}`,
      'Immediate Origin': file.companyId,
      'File Creation Date': shortDate(file.created),
      'File Creation Time': '0000',
      'File ID Modifier': file.fileIdModifier,
      'Immediate Destination Name': transliterate(file.bankName).slice(0, 23),
      'Immediate Origin Name': transliterate(file.originName).slice(0, 23),
    },
    'file',
  );
  write(
    BATCH_HEADER,
    {
      'Service Class Code': serviceClass,
      'Company Name': transliterate(file.companyName).slice(0, 16),
      'Company Identification': file.companyId,
      'Standard Entry Class Code': batch.entryClass,
      'Company Entry Description': batch.description,
      'Company Descriptive Date': shortDate(file.created),
      'Effective Entry Date': shortDate(file.settles),
      'Originating DFI Identification': originDfi,
      'Batch Number': 1,
    },
    'batch',
  );
  let hash = 0n;
  let records = 0;
  batch.entries.forEach((entry, index) => {
    const sequence = index + 1;
    const path = `${batch.path}[${index}]`;
    if (PRENOTES.has(entry.code) ? entry.amount !== 0 : entry.amount <= 0)
      issues.push(problem('file.negative', path, { field: 'Amount' }));
    hash += BigInt(entry.routing.slice(0, 8));
    records += entry.addenda === undefined ? 1 : 2;
    write(
      ENTRY_DETAIL,
      {
        'Transaction Code': entry.code,
        'Receiving DFI Identification': entry.routing.slice(0, 8),
        'Check Digit': entry.routing.slice(8),
        'DFI Account Number': entry.account,
        Amount: entry.amount,
        'Identification Number': entry.id,
        'Receiver Name': transliterate(entry.name).slice(0, 22),
        'Addenda Record Indicator': entry.addenda === undefined ? '0' : '1',
        'Trace Number': traceNumber(file.bankRouting, sequence),
      },
      path,
    );
    if (entry.addenda !== undefined)
      write(
        ADDENDA,
        {
          'Payment Related Information': entry.addenda,
          'Addenda Sequence Number': 1,
          'Entry Detail Sequence Number': sequence,
        },
        path,
      );
  });
  const total = sum(batch.entries.map((entry) => entry.amount));
  const totals = { 'Entry/Addenda Count': records, 'Entry Hash': (hash % 10_000_000_000n).toString() };
  const debits = areDebits ? total : ZERO;
  const credits = areDebits ? ZERO : total;
  write(
    BATCH_CONTROL,
    {
      ...totals,
      'Service Class Code': serviceClass,
      'Total Debit Entry Dollar Amount': debits,
      'Total Credit Entry Dollar Amount': credits,
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
      'Total Debit Entry Dollar Amount in File': debits,
      'Total Credit Entry Dollar Amount in File': credits,
    },
    'file',
  );
  while (lines.length % BLOCKING !== 0) lines.push('9'.repeat(94));
  return { content: lines.map((line) => `${line}\r\n`).join(''), issues, total };
}
