import { checkRouting } from '../identity/numbers.js';

/** What a bank says of an account that an entry named not quite right: the entry arrived, the next one is to say this. */
export interface AccountCorrection {
  readonly routing?: string;
  readonly account?: string;
  readonly type?: 'checking' | 'savings';
}

/** Of the field with the corrected data: positions 1-based, as the code fills them. */
type Part = 'routing' | 'account' | 'code';
const AT: Readonly<Record<string, readonly (readonly [part: Part, from: number, to: number])[]>> = {
  C01: [['account', 1, 17]],
  C02: [['routing', 1, 9]],
  C03: [
    ['routing', 1, 9],
    ['account', 13, 29],
  ],
  C05: [['code', 1, 2]],
  C06: [
    ['account', 1, 17],
    ['code', 21, 22],
  ],
  C07: [
    ['routing', 1, 9],
    ['account', 10, 26],
    ['code', 27, 28],
  ],
};
/** Transaction codes of credits and debits of live entries and prenotes: checking 2x, savings 3x. */
const TYPES: Readonly<Record<string, 'checking' | 'savings'>> = { '2': 'checking', '3': 'savings' };

/** Codes that say something of an account; others (a name, an identification) change nothing here. */
export const isChangeCode = (code: string): boolean => /^C\d\d$/.test(code);

/**
 * Reads the corrected data of a notification of change (Nacha Operating Rules, Appendix Five, change codes C01 to C07;
 * recalled). Null: the code or what stands in it is not understood, and nothing is to be changed by itself.
 */
export function readChange(code: string, data: string): AccountCorrection | null {
  const parts = AT[code];
  if (!parts) return null;
  const found = Object.fromEntries(parts.map(([part, from, to]) => [part, data.slice(from - 1, to).trim()]));
  const { routing, account, code: transaction } = found as Partial<Record<Part, string>>;
  if (routing !== undefined && checkRouting(routing, 'routing').length > 0) return null;
  if (account !== undefined && !/^[0-9A-Za-z-]{4,17}$/.test(account)) return null;
  const type = transaction === undefined ? undefined : TYPES[transaction.charAt(0)];
  if (transaction !== undefined && (type === undefined || !/^[23][2378]$/.test(transaction))) return null;
  return {
    ...(routing === undefined ? {} : { routing }),
    ...(account === undefined ? {} : { account }),
    ...(type === undefined ? {} : { type }),
  };
}

/** The correction in words; an account number by its last four digits. */
export function changeWords({ routing, account, type }: AccountCorrection): string {
  return [
    routing === undefined ? '' : `routing ${routing}`,
    account === undefined ? '' : `account ending ${account.slice(-4)}`,
    type === undefined ? '' : `a ${type} account`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}
/** Banking days in which a correction is to be made (Nacha Operating Rules, 2.12.1; recalled). */
export const DAYS_TO_CORRECT = 6;
