import { problem, type Issue } from '../issues/issue.js';

const digitsOf = (text: string): string => text.replace(/[\s-]/g, '');

/** EIN prefixes that the IRS has not assigned. Recalled from the IRS list "How EINs are assigned". */
const UNASSIGNED_EIN_PREFIXES = [
  '00',
  '07',
  '08',
  '09',
  '17',
  '18',
  '19',
  '28',
  '29',
  '49',
  '69',
  '70',
  '78',
  '79',
  '89',
  '96',
  '97',
];

/** Issues of an EIN; empty when it can be one. */
export function checkEin(text: string, field: string): Issue[] {
  const digits = digitsOf(text);
  if (!/^\d{9}$/.test(digits)) return [problem('ein.shape', field)];
  const prefix = digits.slice(0, 2);
  return UNASSIGNED_EIN_PREFIXES.includes(prefix) ? [problem('ein.prefix', field, { prefix })] : [];
}

/** Issues of a social security number: area never 000, 666 or 900-999, group never 00, serial never 0000 (SSA POMS RM 10201). */
export function checkSsn(text: string, field: string): Issue[] {
  const digits = digitsOf(text);
  if (!/^\d{9}$/.test(digits)) return [problem('ssn.shape', field)];
  const area = digits.slice(0, 3);
  if (area === '000' || area === '666' || area >= '900') return [problem('ssn.area', field, { area })];
  if (digits.slice(3, 5) === '00') return [problem('ssn.group', field)];
  return digits.slice(5) === '0000' ? [problem('ssn.serial', field)] : [];
}

/**
 * A number that is applied for is stored blank; files carry zeros for it (SSA Publication 42-007,
 * RW positions 3 to 11; recalled, not yet compared with the print).
 */
export const APPLIED_FOR = 'applied for';
export const isAppliedFor = (typed: string): boolean => /^\s*(applied\s*for|pending)\s*$/i.test(typed);
export const NO_SSN_IN_FILE = '000000000';

const ROUTING_WEIGHTS = [3, 7, 1, 3, 7, 1, 3, 7, 1];

/** Issues of an ABA routing number: 3-7-1 weighted digits add up to a multiple of ten. */
export function checkRouting(text: string, field: string): Issue[] {
  const digits = digitsOf(text);
  if (!/^\d{9}$/.test(digits)) return [problem('routing.shape', field)];
  const total = ROUTING_WEIGHTS.reduce((running, weight, index) => running + weight * Number(digits[index]), 0);
  return total % 10 === 0 && total > 0 ? [] : [problem('routing.check-digit', field)];
}

/** The name control proposed from a business name: its first four letters, digits, hyphens and ampersands (Publication 4163). */
export function proposeNameControl(name: string): string {
  const words = name.toUpperCase().split(/\s+/);
  const kept = words[0] === 'THE' && words.length > 2 ? words.slice(1) : words;
  return kept
    .join('')
    .replace(/[^A-Z0-9&-]/g, '')
    .slice(0, 4);
}

export const normalDigits = digitsOf;

/** An EIN of nine digits as it is written. */
export const showEin = (ein: string): string => ein.replace(/^(\d{2})(\d{7})$/, '$1-$2');
/** A telephone number of ten digits as it is written; any other as it was typed. */
export const showPhone = (phone: string): string => phone.replace(/^(\d{3})(\d{3})(\d{4})$/, '$1-$2-$3');
