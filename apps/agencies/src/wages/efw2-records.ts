import type { FieldRow, RecordTable } from '../records/record.js';

/** SSA Publication 42-007 (EFW2), as this agency takes files (recalled); 512 positions. */
const table = (name: string, fields: readonly FieldRow[]): RecordTable => ({ name, length: 512, fields });
const FLAG = ['0', '1'];
const STATES =
  'AL AK AZ AR CA CO CT DE DC FL GA HI ID IL IN IA KS KY LA ME MD MA MI MN MS MO MT NE NV NH NJ NM NY NC ND OH OK OR PA RI SC SD TN TX UT VT VA WA WV WI WY PR VI GU AS MP AA AE AP'.split(
    ' ',
  );
/** Address parts, each with where it begins. */
const address = (prefix: string, from: number): FieldRow[] => [
  [`${prefix}Location Address`, from, from + 21, 'text?'],
  [`${prefix}Delivery Address`, from + 22, from + 43, 'text?'],
  [`${prefix}City`, from + 44, from + 65, 'text'],
  [`${prefix}State Abbreviation`, from + 66, from + 67, [...STATES, '  ']],
  [`${prefix}ZIP Code`, from + 68, from + 72, 'digits?'],
  [`${prefix}ZIP Code Extension`, from + 73, from + 76, 'digits?'],
];
const foreign = (prefix: string, from: number): FieldRow[] => [
  [`${prefix}Foreign State/Province`, from, from + 22, 'text?'],
  [`${prefix}Foreign Postal Code`, from + 23, from + 37, 'text?'],
  [`${prefix}Country Code`, from + 38, from + 39, 'text?'],
];

export const RA = table('RA', [
  ["Submitter's EIN", 3, 11, 'digits'],
  ['User Identification (User ID)', 12, 19, 'text'],
  ['Software Vendor Code', 20, 23, 'text?'],
  ['Blank', 24, 28, 'blank'],
  ['Resub Indicator', 29, 29, FLAG],
  ['Resub Wage File Identifier (WFID)', 30, 35, 'text?'],
  ['Software Code', 36, 37, ['98', '99']],
  ['Company Name', 38, 94, 'text'],
  ...address('', 95),
  ['Blank', 172, 176, 'blank'],
  ...foreign('', 177),
  ['Submitter Name', 217, 273, 'text'],
  ...address('Submitter ', 274),
  ['Blank', 351, 355, 'blank'],
  ...foreign('Submitter ', 356),
  ['Contact Name', 396, 422, 'text'],
  ['Contact Phone Number', 423, 437, 'text'],
  ['Contact Phone Extension', 438, 442, 'text?'],
  ['Blank', 443, 445, 'blank'],
  ['Contact E-Mail/Internet', 446, 485, 'text'],
  ['Blank', 486, 488, 'blank'],
  ['Contact Fax', 489, 498, 'digits?'],
  ['Blank', 499, 499, 'blank'],
  ['Preparer Code', 500, 500, ['A', 'L', 'S', 'P', 'O', ' ']],
  ['Blank', 501, 512, 'blank'],
]);
export const RE = table('RE', [
  ['Tax Year', 3, 6, 'digits'],
  ['Agent Indicator Code', 7, 7, [' ', '1', '2', '3']],
  ['Employer/Agent EIN', 8, 16, 'digits'],
  ['Agent for EIN', 17, 25, 'digits?'],
  ['Terminating Business Indicator', 26, 26, FLAG],
  ['Establishment Number', 27, 30, 'text?'],
  ['Other EIN', 31, 39, 'digits?'],
  ['Employer Name', 40, 96, 'text'],
  ...address('', 97),
  ['Kind of Employer', 174, 174, ['F', 'S', 'T', 'Y', 'N']],
  ['Blank', 175, 178, 'blank'],
  ...foreign('', 179),
  ['Employment Code', 219, 219, ['A', 'H', 'M', 'Q', 'X', 'F', 'R']],
  ['Tax Jurisdiction Code', 220, 220, [' ', 'V', 'G', 'S', 'N', 'P']],
  ['Third-Party Sick Pay Indicator', 221, 221, FLAG],
  ['Employer Contact Name', 222, 248, 'text?'],
  ['Employer Contact Phone Number', 249, 263, 'text?'],
  ['Employer Contact Phone Extension', 264, 268, 'text?'],
  ['Employer Contact Fax', 269, 278, 'digits?'],
  ['Employer Contact E-Mail/Internet', 279, 318, 'text?'],
  ['Blank', 319, 512, 'blank'],
]);
/** Money of RW, and where RT has its total. */
export const RW_MONEY: readonly (readonly [name: string, from: number, total: number])[] = [
  ['Wages, Tips and Other Compensation', 188, 10],
  ['Federal Income Tax Withheld', 199, 25],
  ['Social Security Wages', 210, 40],
  ['Social Security Tax Withheld', 221, 55],
  ['Medicare Wages and Tips', 232, 70],
  ['Medicare Tax Withheld', 243, 85],
  ['Social Security Tips', 254, 100],
  ['Dependent Care Benefits', 276, 130],
  ['Section 401(k)', 287, 145],
  ['Section 403(b)', 298, 160],
  ['Section 408(k)(6)', 309, 175],
  ['Section 457(b)', 320, 190],
  ['Section 501(c)(18)(D)', 331, 205],
  ['Nonqualified Plan Section 457', 353, 235],
  ['Health Savings Account', 364, 250],
  ['Nonqualified Plan Not Section 457', 375, 265],
  ['Nontaxable Combat Pay', 386, 280],
  ['Group-Term Life', 408, 310],
  ['Nonstatutory Stock Options', 419, 340],
  ['Section 409A', 430, 355],
  ['Roth 401(k)', 441, 370],
  ['Roth 403(b)', 452, 385],
  ['Employer-Sponsored Health Coverage', 463, 295],
  ['QSEHRA', 474, 400],
];
export const RW = table('RW', [
  ['Social Security Number (SSN)', 3, 11, 'digits'],
  ['Employee First Name', 12, 26, 'text'],
  ['Employee Middle Name or Initial', 27, 41, 'text?'],
  ['Employee Last Name', 42, 61, 'text'],
  ['Suffix', 62, 65, 'text?'],
  ...address('', 66),
  ['Blank', 143, 147, 'blank'],
  ...foreign('', 148),
  ...RW_MONEY.map(([name, from]): FieldRow => [name, from, from + 10, 'digits']),
  ['Blank', 265, 275, 'blank'],
  ['Blank', 342, 352, 'blank'],
  ['Blank', 397, 407, 'blank'],
  ['Blank', 485, 485, 'blank'],
  ['Statutory Employee Indicator', 486, 486, FLAG],
  ['Blank', 487, 487, 'blank'],
  ['Retirement Plan Indicator', 488, 488, FLAG],
  ['Third-Party Sick Pay Indicator', 489, 489, FLAG],
  ['Blank', 490, 512, 'blank'],
]);
/** Money of RO, and where RU has its total. Two of RO are one in RU. */
export const RO_MONEY: readonly (readonly [name: string, from: number, total: number])[] = [
  ['Allocated Tips', 12, 10],
  ['Uncollected Employee Tax on Tips', 23, 25],
  ['Medical Savings Account', 34, 40],
  ['Simple Retirement Account', 45, 55],
  ['Qualified Adoption Expenses', 56, 70],
  ['Uncollected Social Security Tax on Group-Term Life', 67, 85],
  ['Uncollected Medicare Tax on Group-Term Life', 78, 100],
  ['Section 409A Income', 89, 115],
  ['Roth 457(b)', 111, 145],
  ['Section 83(i) Income', 122, 160],
  ['Section 83(i) Deferrals', 133, 175],
];
export const RO = table('RO', [
  ['Blank', 3, 11, 'blank'],
  ...RO_MONEY.map(([name, from]): FieldRow => [name, from, from + 10, 'digits']),
  ['Blank', 100, 110, 'blank'],
]);
export const RT = table('RT', [
  ['Number of RW Records', 3, 9, 'digits'],
  ...RW_MONEY.map(([name, , total]): FieldRow => [name, total, total + 14, 'digits']),
  ['Income Tax Withheld by the Payer of Third-Party Sick Pay', 325, 339, 'digits'],
  ['Blank', 115, 129, 'blank'],
  ['Blank', 220, 234, 'blank'],
  ['Blank', 415, 512, 'blank'],
]);
export const RU = table('RU', [
  ['Number of RO Records', 3, 9, 'digits'],
  ...RO_MONEY.map(([name, , total]): FieldRow => [name, total, total + 14, 'digits']),
  ['Blank', 130, 144, 'blank'],
]);
export const RS = table('RS', [
  ['State Code', 3, 4, 'digits'],
  ['Social Security Number (SSN)', 10, 18, 'digits'],
  ['Employee First Name', 19, 33, 'text'],
  ['Employee Last Name', 49, 68, 'text'],
]);
export const RF = table('RF', [
  ['Blank', 3, 7, 'blank'],
  ['Number of RW Records', 8, 16, 'digits'],
  ['Blank', 17, 512, 'blank'],
]);
