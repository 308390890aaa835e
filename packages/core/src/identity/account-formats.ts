import { problem, type Issue } from '../issues/issue.js';

/** How an agency writes its account numbers. A pattern is matched without blanks, hyphens, slashes and dots. */
export interface AccountFormat {
  readonly agency: string;
  readonly pattern: RegExp;
  /** The shape in words and an invented example. */
  readonly says: string;
  readonly example: string;
}

const digits = (agency: string, count: number, example: string): AccountFormat => ({
  agency,
  pattern: new RegExp(`^\\d{${count}}$`),
  says: `${count} digits`,
  example,
});
const either = (agency: string, least: number, most: number, example: string): AccountFormat => ({
  agency,
  pattern: new RegExp(`^\\d{${least},${most}}$`),
  says: `${least} to ${most} digits`,
  example,
});
const shaped = (agency: string, pattern: RegExp, says: string, example: string): AccountFormat => ({
  agency,
  pattern,
  says,
  example,
});

/**
 * Account numbers by agency. Recalled from the agencies' registration guides, not yet verified against them: a number
 * that does not match may still be stored when somebody says that it stands so on the agency's own letter.
 */
export const ACCOUNT_FORMATS: readonly AccountFormat[] = [
  shaped('IRS', /^\d{9}$/, 'the EIN, nine digits', '12-3456789'),
  digits('AL-DOR', 10, '0000123456'),
  digits('AL-DOL', 10, '0012345678'),
  digits('AK-DOLWD', 8, '00123456'),
  either('AZ-DOR', 8, 9, '00-123456'),
  digits('AZ-DES', 8, '0012345-6'),
  shaped('AR-DFA', /^\d{8}(WHW|WHA)?$/, 'eight digits, WHW after them', '00123456-WHW'),
  digits('AR-DWS', 9, '000123456'),
  digits('CA-EDD', 8, '000-1234-5'),
  digits('CO-DOR', 8, '00123456'),
  either('CO-DLE', 8, 10, '0123456.00-9'),
  digits('CT-DRS', 10, '0012345-678'),
  digits('CT-DOL', 7, '00-123-45'),
  shaped('DE-DOR', /^\d{9,13}$/, 'the EIN, with a digit before and three after it where they are', '1-12-3456789-001'),
  digits('DE-DOL', 8, '001234-56'),
  shaped('DC-OTR', /^\d{12}$|^\d{9}$/, 'twelve digits, or the EIN', '3000-0012-3456'),
  digits('DC-DOES', 6, '012-345'),
  digits('FL-DOR', 7, '0123456'),
  shaped('GA-DOR', /^\d{7}[A-Z]{2}$/i, 'seven digits and two letters', '0012345-AB'),
  digits('GA-DOL', 8, '001234-56'),
  shaped('HI-DOTAX', /^(WH)?\d{12}$/i, 'WH and twelve digits', 'WH-000-123-4567-01'),
  digits('HI-DLIR', 10, '0000123456'),
  digits('ID-STC', 9, '000123456'),
  digits('ID-DOL', 10, '0001234567'),
  shaped('IL-DOR', /^\d{8}$|^\d{12}$/, 'eight digits, or the EIN and three', '0012-3456'),
  digits('IL-DES', 7, '0123456'),
  shaped('IN-DOR', /^\d{13}$/, 'ten digits and a location of three', '0001234567-001'),
  digits('IN-DWD', 6, '012345'),
  shaped('IA-DOR', /^\d{12}$/, 'the EIN and three digits', '12-3456789-001'),
  digits('IA-IWD', 8, '001234-56'),
  shaped('KS-DOR', /^(036)?\d{9}F?(01)?$/i, '036, the EIN, F, 01', '036-123456789-F01'),
  digits('KS-DOL', 6, '012345'),
  digits('KY-DOR', 6, '012345'),
  digits('KY-OUI', 8, '00123456'),
  shaped('LA-LDR', /^\d{7}001$|^\d{10}$/, 'seven digits and 001', '0012345-001'),
  digits('LA-LWC', 7, '001234-5'),
  shaped('ME-MRS', /^\d{11}$/, 'the EIN and two digits', '12-3456789-00'),
  digits('ME-DOL', 10, '0001234567'),
  digits('MD-COMP', 8, '00123456'),
  digits('MD-DOL', 10, '0001234567'),
  shaped('MA-DOR', /^(WTH)?\d{8,11}$/i, 'WTH and eight digits, or the EIN', 'WTH-00123456-001'),
  digits('MA-DUA', 8, '00-123456'),
  shaped('MI-TREAS', /^\d{9}$|^TR\d{7}$/i, 'the EIN', '12-3456789'),
  shaped('MI-UIA', /^\d{7}(\d{3})?$/, 'seven digits and three', '0123456-000'),
  digits('MN-DOR', 7, '0123456'),
  shaped('MN-DEED', /^\d{8}(\d{4})?$/, 'eight digits', '00123456'),
  digits('MS-DOR', 8, '1000-1234'),
  shaped('MS-MDES', /^\d{10}$/, 'ten digits', '00-12345-0-00'),
  digits('MO-DOR', 8, '00123456'),
  shaped('MO-DES', /^\d{14}$|^\d{7}$/, 'fourteen digits', '00-12345-0-00-0000'),
  shaped('MT-DOR', /^\d{10}(WTH)?$/i, 'ten digits and WTH', '0012345-678-WTH'),
  digits('MT-DLI', 7, '001 2345'),
  shaped('NE-DOR', /^(21)?\d{7,9}$/, '21 and seven digits', '21-0012345'),
  digits('NE-DOL', 10, '0001234567'),
  shaped('NV-DETR', /^\d{9}$/, 'nine digits', '000123456'),
  digits('NH-NHES', 9, '000123456'),
  shaped('NJ-TAX', /^\d{12}$/, 'the EIN and three digits', '123-456-789/000'),
  shaped('NJ-DOL', /^\d{12}$|^\d{15}$/, 'the EIN and three digits', '123-456-789/000'),
  shaped('NM-TRD', /^\d{11}$/, 'eleven digits', '03-123456-00-1'),
  shaped('NM-DWS', /^\d{7}$/, 'seven digits', '0012345'),
  shaped('NY-TAX', /^\d{9,11}$/, 'the EIN, and a check digit where there is one', '12-3456789 1'),
  either('NY-DOL', 7, 8, '00-12345 6'),
  digits('NC-DOR', 9, '600123456'),
  digits('NC-DES', 7, '00-12-345'),
  shaped('ND-OSTC', /^\d{11}$/, 'eleven digits', '123456789-01'),
  digits('ND-JSND', 7, '0123456'),
  shaped('OH-TAX', /^5\d{7}$/, '5 and seven digits', '50-123456'),
  digits('OH-JFS', 10, '0012345-00-6'),
  shaped('OK-TAX', /^(WTH)?\d{10}$/i, 'WTH and ten digits', 'WTH-10001234-56'),
  shaped('OK-OESC', /^\d{10}$/, 'ten digits', '00-12345-000'),
  shaped('OR-DOR', /^\d{8,9}$/, 'the business identification number', '0123456-7'),
  digits('OR-OED', 8, '0123456-7'),
  digits('PA-DOR', 8, '0012 3456'),
  digits('PA-DLI', 7, '00-12345'),
  shaped('RI-TAX', /^\d{11}$/, 'the EIN and two digits', '12-3456789-00'),
  digits('RI-DLT', 10, '0001234567'),
  digits('SC-DOR', 9, '25-0123456'),
  digits('SC-DEW', 6, '012345'),
  shaped('SD-DLR', /^\d{6,8}$/, 'six to eight digits', '0001234'),
  shaped('TN-DLWD', /^\d{8}$/, 'eight digits', '0001-234 5'),
  shaped('TX-TWC', /^\d{9}$/, 'nine digits', '00-123456-7'),
  shaped('UT-TC', /^\d{8,11}(WTH)?$/i, 'eleven digits and WTH', '00123456-001-WTH'),
  shaped('UT-DWS', /^\d{7}$/, 'seven digits', '012345-6'),
  shaped('VT-TAX', /^(WHT)?\d{8}$/i, 'WHT and eight digits', 'WHT-10001234'),
  digits('VT-DOL', 7, '001-2345'),
  shaped('VA-TAX', /^(30)?\d{9,11}F?\d{3}$/i, '30, the EIN, F, 001', '30-123456789F-001'),
  digits('VA-VEC', 10, '0001234567'),
  shaped('WA-ESD', /^\d{9}$|^\d{12}$/, 'nine digits', '000-12345-0'),
  digits('WV-TAX', 8, '0012-3456'),
  digits('WV-WF', 8, '00123456'),
  shaped('WI-DOR', /^(036)?\d{12,15}$/, '036 and twelve digits', '036-0001234567-01'),
  shaped('WI-DWD', /^\d{10}$/, 'ten digits', '012345-000-1'),
  shaped('WY-DWS', /^\d{8,9}$/, 'eight or nine digits', '00123456'),
];

const BY_AGENCY = new Map(ACCOUNT_FORMATS.map((format) => [format.agency, format]));
export const accountFormatOf = (agency: string): AccountFormat | null => BY_AGENCY.get(agency) ?? null;

const bare = (number: string): string => number.replace(/[\s\-./]/g, '');

/** Issues of an account number by the agency's format, the agency called by `name`; empty for an agency whose format is not known. */
export function checkAccountNumber(agency: string, number: string, field: string, name = agency): Issue[] {
  const format = accountFormatOf(agency);
  if (!format || format.pattern.test(bare(number))) return [];
  return [problem('account.format', field, { agency: name, says: format.says, example: format.example })];
}
