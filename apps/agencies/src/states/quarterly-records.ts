import type { RecordTable } from '../records/record.js';

/** Quarterly wage records of 275 positions, as this agency reads them. */
const ZEROS_OR_DIGITS = 'digits' as const;
const table = (name: string, fields: RecordTable['fields']): RecordTable => ({ name, length: 275, fields });

export const A = table('A', [
  ['Year', 2, 5, 'digits'],
  ['Transmitter EIN', 6, 14, 'digits'],
  ['Taxing Entity', 15, 18, ['UTAX']],
  ['Transmitter Name', 24, 73, 'text'],
  ['Creation Date', 243, 250, 'digits'],
]);
export const B = table('B', [
  ['Year', 2, 5, 'digits'],
  ['Transmitter EIN', 6, 14, 'digits'],
  ['Taxing Entity', 35, 38, ['UTAX']],
]);
export const E = table('E', [
  ['Year', 2, 5, 'digits'],
  ['EIN', 6, 14, 'digits'],
  ['Employer Name', 24, 73, 'text'],
  ['State', 139, 140, 'text'],
  ['ZIP', 154, 158, 'digits'],
  ['Taxing Entity', 167, 170, ['UTAX']],
  ['State Code', 171, 172, 'digits'],
  ['Account Number', 173, 187, 'text'],
  ['Reporting Period', 188, 189, ['03', '06', '09', '12']],
  ['No Workers', 190, 190, ['0', '1']],
]);
export const S = table('S', [
  ['SSN', 2, 10, 'digits'],
  ['Last Name', 11, 30, 'text'],
  ['First Name', 31, 42, 'text'],
  ['State Code', 44, 45, 'digits'],
  ['Gross Wages', 50, 63, ZEROS_OR_DIGITS],
  ['Total Wages', 64, 77, ZEROS_OR_DIGITS],
  ['Excess Wages', 78, 91, ZEROS_OR_DIGITS],
  ['Taxable Wages', 92, 105, ZEROS_OR_DIGITS],
  ['Taxing Entity', 143, 146, ['UTAX']],
  ['Account Number', 147, 161, 'text'],
  ['State Taxable Wages', 177, 190, ZEROS_OR_DIGITS],
  ['State Income Tax', 191, 204, ZEROS_OR_DIGITS],
  ['Month 1', 212, 212, ['0', '1']],
  ['Month 2', 213, 213, ['0', '1']],
  ['Month 3', 214, 214, ['0', '1']],
  ['Quarter and Year', 215, 220, 'digits'],
]);
export const T = table('T', [
  ['Employees', 2, 8, 'digits'],
  ['Total Wages', 27, 40, 'digits'],
  ['Excess Wages', 41, 54, 'digits'],
  ['Taxable Wages', 55, 68, 'digits'],
  ['Rate', 82, 87, 'digits'],
  ['Taxes Due', 88, 100, 'digits'],
  ['State Income Tax', 213, 226, 'digits'],
  ['Month 1', 227, 233, 'digits'],
  ['Month 2', 234, 240, 'digits'],
  ['Month 3', 241, 247, 'digits'],
]);
export const F = table('F', [
  ['Employees', 2, 11, 'digits'],
  ['Employers', 12, 21, 'digits'],
  ['Total Wages', 41, 55, 'digits'],
]);
