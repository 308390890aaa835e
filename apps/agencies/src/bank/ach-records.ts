import type { RecordTable } from '../records/record.js';

/** Nacha Operating Rules, Appendix Three, as this bank takes files: credits or debits, CCD and PPD (recalled). */
const table = (name: string, fields: RecordTable['fields']): RecordTable => ({ name, length: 94, fields });
const CLASSES = ['200', '220', '225'];

export const FILE_HEADER = table('file header', [
  ['Priority Code', 2, 3, ['01']],
  ['Immediate Destination', 4, 13, 'free'],
  ['Immediate Origin', 14, 23, 'free'],
  ['File Creation Date', 24, 29, 'digits'],
  ['File Creation Time', 30, 33, 'digits?'],
  ['File ID Modifier', 34, 34, [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789']],
  ['Record Size', 35, 37, ['094']],
  ['Blocking Factor', 38, 39, ['10']],
  ['Format Code', 40, 40, ['1']],
  ['Immediate Destination Name', 41, 63, 'text?'],
  ['Immediate Origin Name', 64, 86, 'text?'],
  ['Reference Code', 87, 94, 'text?'],
]);
export const BATCH_HEADER = table('batch header', [
  ['Service Class Code', 2, 4, CLASSES],
  ['Company Name', 5, 20, 'text'],
  ['Company Discretionary Data', 21, 40, 'text?'],
  ['Company Identification', 41, 50, 'text'],
  ['Standard Entry Class Code', 51, 53, ['CCD', 'PPD']],
  ['Company Entry Description', 54, 63, 'text'],
  ['Company Descriptive Date', 64, 69, 'text?'],
  ['Effective Entry Date', 70, 75, 'digits'],
  ['Settlement Date', 76, 78, 'blank'],
  ['Originator Status Code', 79, 79, ['1']],
  ['Originating DFI Identification', 80, 87, 'digits'],
  ['Batch Number', 88, 94, 'digits'],
]);
export const ENTRY_DETAIL = table('entry detail', [
  ['Transaction Code', 2, 3, ['22', '23', '27', '28', '32', '33', '37', '38']],
  ['Receiving DFI Identification', 4, 11, 'digits'],
  ['Check Digit', 12, 12, 'digits'],
  ['DFI Account Number', 13, 29, 'text'],
  ['Amount', 30, 39, 'digits'],
  ['Identification Number', 40, 54, 'text?'],
  ['Receiver Name', 55, 76, 'text'],
  ['Discretionary Data', 77, 78, 'text?'],
  ['Addenda Record Indicator', 79, 79, ['0', '1']],
  ['Trace Number', 80, 94, 'digits'],
]);
export const ADDENDA = table('addenda', [
  ['Addenda Type Code', 2, 3, ['05']],
  ['Payment Related Information', 4, 83, 'text'],
  ['Addenda Sequence Number', 84, 87, ['0001']],
  ['Entry Detail Sequence Number', 88, 94, 'digits'],
]);
export const BATCH_CONTROL = table('batch control', [
  ['Service Class Code', 2, 4, CLASSES],
  ['Entry/Addenda Count', 5, 10, 'digits'],
  ['Entry Hash', 11, 20, 'digits'],
  ['Total Debit Entry Dollar Amount', 21, 32, 'digits'],
  ['Total Credit Entry Dollar Amount', 33, 44, 'digits'],
  ['Company Identification', 45, 54, 'text'],
  ['Message Authentication Code', 55, 73, 'blank'],
  ['Reserved', 74, 79, 'blank'],
  ['Originating DFI Identification', 80, 87, 'digits'],
  ['Batch Number', 88, 94, 'digits'],
]);
export const FILE_CONTROL = table('file control', [
  ['Batch Count', 2, 7, 'digits'],
  ['Block Count', 8, 13, 'digits'],
  ['Entry/Addenda Count', 14, 21, 'digits'],
  ['Entry Hash', 22, 31, 'digits'],
  ['Total Debit Entry Dollar Amount in File', 32, 43, 'digits'],
  ['Total Credit Entry Dollar Amount in File', 44, 55, 'digits'],
  ['Reserved', 56, 94, 'blank'],
]);
