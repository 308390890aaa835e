import { columns } from '../fixed-width/columns.js';
import type { RecordLayout } from '../fixed-width/field.js';

/** ACH file records, 94 positions each (Nacha Operating Rules, Appendix Three; recalled). */
const record = (name: string, rows: Parameters<typeof columns>[0]): RecordLayout => ({
  name,
  length: 94,
  fields: columns(rows),
});

export const FILE_HEADER = record('File Header', [
  ['Record Type Code', 1, 1, '=1'],
  ['Priority Code', 2, 3, '=01'],
  ['Immediate Destination', 4, 13, 'text', 'required'],
  ['Immediate Origin', 14, 23, 'text', 'required'],
  ['File Creation Date', 24, 29, 'digits', 'required'],
  ['File Creation Time', 30, 33, 'digits', 'required'],
  ['File ID Modifier', 34, 34, 'text', 'required'],
  ['Record Size', 35, 37, '=094'],
  ['Blocking Factor', 38, 39, '=10'],
  ['Format Code', 40, 40, '=1'],
  ['Immediate Destination Name', 41, 63, 'text'],
  ['Immediate Origin Name', 64, 86, 'text'],
  ['Reference Code', 87, 94, 'text'],
]);
export const BATCH_HEADER = record('Batch Header', [
  ['Record Type Code', 1, 1, '=5'],
  ['Service Class Code', 2, 4, 'digits', 'required'],
  ['Company Name', 5, 20, 'text', 'required'],
  ['Company Discretionary Data', 21, 40, 'text'],
  ['Company Identification', 41, 50, 'text', 'required'],
  ['Standard Entry Class Code', 51, 53, 'text', 'required'],
  ['Company Entry Description', 54, 63, 'text', 'required'],
  ['Company Descriptive Date', 64, 69, 'text'],
  ['Effective Entry Date', 70, 75, 'digits', 'required'],
  ['Settlement Date', 76, 78, 'blank'],
  ['Originator Status Code', 79, 79, '=1'],
  ['Originating DFI Identification', 80, 87, 'digits', 'required'],
  ['Batch Number', 88, 94, 'digits', 'required'],
]);
export const ENTRY_DETAIL = record('Entry Detail', [
  ['Record Type Code', 1, 1, '=6'],
  ['Transaction Code', 2, 3, 'digits', 'required'],
  ['Receiving DFI Identification', 4, 11, 'digits', 'required'],
  ['Check Digit', 12, 12, 'digits', 'required'],
  ['DFI Account Number', 13, 29, 'text', 'required'],
  ['Amount', 30, 39, 'amount', 'required'],
  ['Identification Number', 40, 54, 'text'],
  ['Receiver Name', 55, 76, 'text', 'required'],
  ['Discretionary Data', 77, 78, 'text'],
  ['Addenda Record Indicator', 79, 79, 'digits', 'required'],
  ['Trace Number', 80, 94, 'digits', 'required'],
]);
export const ADDENDA = record('Addenda', [
  ['Record Type Code', 1, 1, '=7'],
  ['Addenda Type Code', 2, 3, '=05'],
  ['Payment Related Information', 4, 83, 'text', 'required'],
  ['Addenda Sequence Number', 84, 87, 'digits', 'required'],
  ['Entry Detail Sequence Number', 88, 94, 'digits', 'required'],
]);
export const BATCH_CONTROL = record('Batch Control', [
  ['Record Type Code', 1, 1, '=8'],
  ['Service Class Code', 2, 4, 'digits', 'required'],
  ['Entry/Addenda Count', 5, 10, 'digits', 'required'],
  ['Entry Hash', 11, 20, 'digits', 'required'],
  ['Total Debit Entry Dollar Amount', 21, 32, 'amount', 'required'],
  ['Total Credit Entry Dollar Amount', 33, 44, 'amount', 'required'],
  ['Company Identification', 45, 54, 'text', 'required'],
  ['Message Authentication Code', 55, 73, 'blank'],
  ['Reserved', 74, 79, 'blank'],
  ['Originating DFI Identification', 80, 87, 'digits', 'required'],
  ['Batch Number', 88, 94, 'digits', 'required'],
]);
export const FILE_CONTROL = record('File Control', [
  ['Record Type Code', 1, 1, '=9'],
  ['Batch Count', 2, 7, 'digits', 'required'],
  ['Block Count', 8, 13, 'digits', 'required'],
  ['Entry/Addenda Count', 14, 21, 'digits', 'required'],
  ['Entry Hash', 22, 31, 'digits', 'required'],
  ['Total Debit Entry Dollar Amount in File', 32, 43, 'amount', 'required'],
  ['Total Credit Entry Dollar Amount in File', 44, 55, 'amount', 'required'],
  ['Reserved', 56, 94, 'blank'],
]);
export const NACHA_RECORDS = [FILE_HEADER, BATCH_HEADER, ENTRY_DETAIL, ADDENDA, BATCH_CONTROL, FILE_CONTROL] as const;
