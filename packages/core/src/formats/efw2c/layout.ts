import { columns } from '../fixed-width/columns.js';
import type { RecordLayout } from '../fixed-width/field.js';

/**
 * Record layouts of SSA Publication 42-014 (EFW2C), 1,024 positions each, names as in the publication. Positions are
 * recalled; the wage stand-in reads with a table of its own.
 */
const record = (name: string, rows: Parameters<typeof columns>[0]): RecordLayout => ({
  name,
  length: 1024,
  fields: columns(rows),
});
type Rows = Parameters<typeof columns>[0];

export const RCA = record('RCA', [
  ['Record Identifier', 1, 3, '=RCA'],
  ["Submitter's EIN", 4, 12, 'digits', 'required'],
  ['User Identification (User ID)', 13, 20, 'text', 'required'],
  ['Software Vendor Code', 21, 24, 'text'],
  ['Blank 1', 25, 29, 'blank'],
  ['Software Code', 30, 31, 'digits', 'required'],
  ['Company Name', 32, 88, 'text', 'required'],
  ['Location Address', 89, 110, 'text'],
  ['Delivery Address', 111, 132, 'text', 'required'],
  ['City', 133, 154, 'text', 'required'],
  ['State Abbreviation', 155, 156, 'text', 'required'],
  ['ZIP Code', 157, 161, 'digits', 'required'],
  ['ZIP Code Extension', 162, 165, 'text'],
  ['Blank 2', 166, 171, 'blank'],
  ['Foreign State/Province', 172, 194, 'text'],
  ['Foreign Postal Code', 195, 209, 'text'],
  ['Country Code', 210, 211, 'text'],
  ['Contact Name', 212, 238, 'text', 'required'],
  ['Contact Phone Number', 239, 253, 'text', 'required'],
  ['Contact Phone Extension', 254, 258, 'text'],
  ['Blank 3', 259, 261, 'blank'],
  ['Contact E-Mail/Internet', 262, 301, 'text', 'required'],
  ['Blank 4', 302, 304, 'blank'],
  ['Contact Fax', 305, 314, 'text'],
  ['Blank 5', 315, 315, 'blank'],
  ['Preparer Code', 316, 316, 'text', 'required'],
  ['Resub Indicator', 317, 317, 'digits', 'required'],
  ['Resub Wage File Identifier (WFID)', 318, 323, 'text'],
  ['Blank 6', 324, 1024, 'blank'],
]);
export const RCE = record('RCE', [
  ['Record Identifier', 1, 3, '=RCE'],
  ['Tax Year', 4, 7, 'digits', 'required'],
  ["Employer's/Agent's Originally Reported EIN", 8, 16, 'text'],
  ["Employer's/Agent's Correct EIN", 17, 25, 'digits', 'required'],
  ['Agent Indicator Code', 26, 26, 'text'],
  ['Agent for EIN', 27, 35, 'text'],
  ['Establishment Number, Originally Reported', 36, 39, 'text'],
  ['Establishment Number, Correct', 40, 43, 'text'],
  ['Employer Name', 44, 100, 'text', 'required'],
  ['Location Address', 101, 122, 'text'],
  ['Delivery Address', 123, 144, 'text', 'required'],
  ['City', 145, 166, 'text', 'required'],
  ['State Abbreviation', 167, 168, 'text', 'required'],
  ['ZIP Code', 169, 173, 'digits', 'required'],
  ['ZIP Code Extension', 174, 177, 'text'],
  ['Blank 1', 178, 181, 'blank'],
  ['Foreign State/Province', 182, 204, 'text'],
  ['Foreign Postal Code', 205, 219, 'text'],
  ['Country Code', 220, 221, 'text'],
  ['Employment Code, Originally Reported', 222, 222, 'text'],
  ['Employment Code, Correct', 223, 223, 'text', 'required'],
  ['Third-Party Sick Pay Indicator, Originally Reported', 224, 224, 'text'],
  ['Third-Party Sick Pay Indicator, Correct', 225, 225, 'text'],
  ['Blank 2', 226, 226, 'blank'],
  ['Kind of Employer', 227, 227, 'text', 'required'],
  ['Blank 3', 228, 1024, 'blank'],
]);

/** Amounts in pairs: as originally reported, and correct. Blank where nothing changes. */
const pairOf = (name: string, from: number, width: number): Rows => [
  [`${name}, Originally Reported`, from, from + width - 1, 'text'],
  [`${name}, Correct`, from + width, from + 2 * width - 1, 'text'],
];
/** Which box each pair carries, from where. */
export const RCW_MONEY: readonly (readonly [box: string, name: string, from: number])[] = [
  ['1', 'Wages, Tips and Other Compensation', 244],
  ['2', 'Federal Income Tax Withheld', 266],
  ['3', 'Social Security Wages', 288],
  ['4', 'Social Security Tax Withheld', 310],
  ['5', 'Medicare Wages and Tips', 332],
  ['6', 'Medicare Tax Withheld', 354],
  ['7', 'Social Security Tips', 376],
  ['10', 'Dependent Care Benefits', 420],
  ['12D', 'Deferred Compensation Contributions to Section 401(k)', 442],
  ['12E', 'Deferred Compensation Contributions to Section 403(b)', 464],
  ['12F', 'Deferred Compensation Contributions to Section 408(k)(6)', 486],
  ['12G', 'Deferred Compensation Contributions to Section 457(b)', 508],
  ['12H', 'Deferred Compensation Contributions to Section 501(c)(18)(D)', 530],
  ['11', 'Nonqualified Plan Not Section 457 Distributions or Contributions', 640],
  ['12W', 'Employer Contributions to a Health Savings Account', 618],
  ['12Q', 'Nontaxable Combat Pay', 662],
  ['12C', 'Employer Cost of Premiums for Group Term Life Insurance Over $50,000', 706],
  ['12V', 'Income from the Exercise of Nonstatutory Stock Options', 728],
  ['12Y', 'Deferrals Under a Section 409A Nonqualified Deferred Compensation Plan', 750],
  ['12AA', 'Designated Roth Contributions Under a Section 401(k) Plan', 772],
  ['12BB', 'Designated Roth Contributions Under a Section 403(b) Salary Reduction Agreement', 794],
  ['12DD', 'Cost of Employer-Sponsored Health Coverage', 816],
  ['12FF', 'Permitted Benefits Under a QSEHRA', 838],
];
/** The rows of the pairs with blanks between them, from one position to another; each of two amounts so wide. */
function moneyRows(pairs: typeof RCW_MONEY, from: number, to: number, width = 11): Rows {
  const rows: Rows[number][] = [];
  const starts = new Map(pairs.map(([, name, start]) => [start, name]));
  let next = from;
  for (const [start, name] of [...starts].sort((a, b) => a[0] - b[0])) {
    if (start > next) rows.push([`Blank ${next}`, next, start - 1, 'blank']);
    rows.push(...pairOf(name, start, width));
    next = start + 2 * width;
  }
  if (next <= to) rows.push([`Blank ${next}`, next, to, 'blank']);
  return rows;
}
export const RCW = record('RCW', [
  ['Record Identifier', 1, 3, '=RCW'],
  ['Social Security Number (SSN), Originally Reported', 4, 12, 'text'],
  ['Social Security Number (SSN), Correct', 13, 21, 'digits', 'required'],
  ['Employee First Name, Originally Reported', 22, 36, 'text'],
  ['Employee Middle Name or Initial, Originally Reported', 37, 51, 'text'],
  ['Employee Last Name, Originally Reported', 52, 71, 'text'],
  ['Employee First Name, Correct', 72, 86, 'text', 'required'],
  ['Employee Middle Name or Initial, Correct', 87, 101, 'text'],
  ['Employee Last Name, Correct', 102, 121, 'text', 'required'],
  ['Location Address', 122, 143, 'text'],
  ['Delivery Address', 144, 165, 'text', 'required'],
  ['City', 166, 187, 'text', 'required'],
  ['State Abbreviation', 188, 189, 'text'],
  ['ZIP Code', 190, 194, 'text'],
  ['ZIP Code Extension', 195, 198, 'text'],
  ['Blank 1', 199, 203, 'blank'],
  ['Foreign State/Province', 204, 226, 'text'],
  ['Foreign Postal Code', 227, 241, 'text'],
  ['Country Code', 242, 243, 'text'],
  ...moneyRows(RCW_MONEY, 244, 1001),
  ['Statutory Employee Indicator, Originally Reported', 1002, 1002, 'text'],
  ['Statutory Employee Indicator, Correct', 1003, 1003, 'text'],
  ['Retirement Plan Indicator, Originally Reported', 1004, 1004, 'text'],
  ['Retirement Plan Indicator, Correct', 1005, 1005, 'text'],
  ['Third-Party Sick Pay Indicator, Originally Reported', 1006, 1006, 'text'],
  ['Third-Party Sick Pay Indicator, Correct', 1007, 1007, 'text'],
  ['Blank 2', 1008, 1024, 'blank'],
]);

/** Rarer pairs of a person, in a record after the RCW; only where one of them changes. From position 189 on recalled less surely. */
export const RCO_MONEY: typeof RCW_MONEY = [
  ['8', 'Allocated Tips', 13],
  // Codes A and B are one amount of the file.
  ['12A', 'Uncollected Employee Tax on Tips', 35],
  ['12B', 'Uncollected Employee Tax on Tips', 35],
  ['12R', 'Medical Savings Account', 57],
  ['12S', 'Simple Retirement Account', 79],
  ['12T', 'Qualified Adoption Expenses', 101],
  ['12M', 'Uncollected Social Security or RRTA Tax on Cost of Group Term Life Insurance Over $50,000', 123],
  ['12N', 'Uncollected Medicare Tax on Cost of Group Term Life Insurance Over $50,000', 145],
  ['12Z', 'Income Under a Nonqualified Deferred Compensation Plan That Fails to Satisfy Section 409A', 167],
  ['12EE', 'Designated Roth Contributions Under a Governmental Section 457(b) Plan', 211],
  ['12GG', 'Income from Qualified Equity Grants Under Section 83(i)', 233],
  ['12HH', 'Aggregate Deferrals Under Section 83(i) Elections', 255],
];
export const RCO = record('RCO', [
  ['Record Identifier', 1, 3, '=RCO'],
  ['Blank 1', 4, 12, 'blank'],
  ...moneyRows(RCO_MONEY, 13, 1024),
]);

/** Where the sums of RCW stand, fifteen positions each: after position 580 recalled less surely, by the order of the RT record. */
const TOTAL_AT: Readonly<Record<string, number>> = {
  '1': 11,
  '2': 41,
  '3': 71,
  '4': 101,
  '5': 131,
  '6': 161,
  '7': 191,
  '10': 251,
  '12D': 281,
  '12E': 311,
  '12F': 341,
  '12G': 371,
  '12H': 401,
  '12W': 521,
  '11': 551,
  '12Q': 581,
  '12DD': 611,
  '12C': 641,
  '12V': 701,
  '12Y': 731,
  '12AA': 761,
  '12BB': 791,
  '12FF': 821,
};
const RCT_MONEY = RCW_MONEY.map(([box, name]) => [box, name, TOTAL_AT[box] ?? 0] as const);
export const RCT = record('RCT', [
  ['Record Identifier', 1, 3, '=RCT'],
  ['Total Number of RCW Records', 4, 10, 'digits', 'required'],
  ...moneyRows(RCT_MONEY, 11, 1024, 15),
]);
/** Sums of the RCO records, in their order; only in a file that has some. */
const RCU_MONEY = RCO_MONEY.map(([box, name, from]) => [box, name, 11 + ((from - 13) / 22) * 30] as const);
export const RCU = record('RCU', [
  ['Record Identifier', 1, 3, '=RCU'],
  ['Total Number of RCO Records', 4, 10, 'digits', 'required'],
  ...moneyRows(RCU_MONEY, 11, 1024, 15),
]);
export const RCF = record('RCF', [
  ['Record Identifier', 1, 3, '=RCF'],
  ['Number of RCW Records', 4, 12, 'digits', 'required'],
  ['Blank 1', 13, 1024, 'blank'],
]);
