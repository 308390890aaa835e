/**
 * The line of magnetic ink at the foot of a check: where each character stands. Character set and positions: ANSI X9.100-160
 * (ISO 1004-1, E-13B), recalled and not compared with the print; a bank tests a sample before checks are handed out.
 */

/** The control characters of E-13B, at their places in Unicode. */
export const TRANSIT = '⑆';
export const AMOUNT = '⑇';
export const ON_US = '⑈';
export const DASH = '⑉';
export const MICR_CHARACTERS: readonly string[] = [...'0123456789', TRANSIT, AMOUNT, ON_US, DASH];

/** A character in its cell. Cell 1 is the one at the right. */
export interface MicrCell {
  readonly cell: number;
  readonly character: string;
}

/** Cells of the fields, from the right edge of the check. The amount (1 to 12) is printed by the bank that takes the check. */
const FIELDS = { onUsEnd: 14, onUsMost: 31, transitEnd: 33, auxiliaryEnd: 45, auxiliaryMost: 65 } as const;
/** What a check number is filled up to with zeros; common practice. */
const NUMBER_DIGITS = 6;

/** Characters that end in a cell and run to the left of it. */
const endingAt = (end: number, text: string): MicrCell[] =>
  [...text].reverse().map((character, index) => ({ cell: end + index, character }));

/** Why a line cannot be made. */
export type MicrFault = 'routing' | 'account' | 'number';

/**
 * The line of a business check: its number in the auxiliary on-us field, the routing number, the account. `account`: digits
 * and dashes as the bank writes it; spaces are left out.
 */
export function micrLine(check: {
  readonly routing: string;
  readonly account: string;
  readonly number: string;
}): readonly MicrCell[] | MicrFault {
  const account = check.account.replace(/\s/g, '').replaceAll('-', DASH);
  if (!/^\d{9}$/.test(check.routing)) return 'routing';
  if (!new RegExp(`^[0-9${DASH}]+$`).test(account) || account.length > FIELDS.onUsMost - FIELDS.onUsEnd)
    return 'account';
  if (!/^\d+$/.test(check.number) || check.number.length > FIELDS.auxiliaryMost - FIELDS.auxiliaryEnd - 1)
    return 'number';
  return [
    ...endingAt(FIELDS.onUsEnd, `${account}${ON_US}`),
    ...endingAt(FIELDS.transitEnd, `${TRANSIT}${check.routing}${TRANSIT}`),
    ...endingAt(FIELDS.auxiliaryEnd, `${ON_US}${check.number.padStart(NUMBER_DIGITS, '0')}${ON_US}`),
  ];
}

/** Points (1/72 inch) of the line on the check. */
export const MICR_GRID = {
  /** One cell: an eighth of an inch. */
  pitch: 9,
  /** From the right edge of the check to the right edge of cell 1: five sixteenths of an inch. */
  right: 22.5,
  /** From the lower edge of the check to the foot of the characters: three sixteenths of an inch. */
  foot: 13.5,
  /** Nothing else is printed in the band of five eighths of an inch at the lower edge. */
  clearBand: 45,
} as const;
