import { date } from '../calendar/local-date.js';
import { depositDates, type Accrued, type DepositDates } from '../deposits/deposit-dates.js';
import type { ClassFacts } from '../deposits/deposit-class.js';
import { findFamily } from '../deposits/family.js';
import { dollars } from '../money/cents.js';

/** Nothing is known of how often somebody deposits. */
export const NOTHING_SAID: ClassFacts = {
  said: () => null,
  entered: () => null,
  liabilities: [],
  completeFrom: null,
  firstWages: null,
  otherwise: null,
};
export const saidClass = (code: string): ClassFacts => ({
  ...NOTHING_SAID,
  said: () => ({ class: code, since: date('1990-01-01') }),
});
type Line = readonly [day: string, amount: string, deposited?: readonly [day: string, amount: string]];
const accrued = ([day, amount, deposited]: Line): Accrued => ({
  date: date(day),
  amount: dollars(amount),
  ...(deposited ? { deposited: [{ date: date(deposited[0]), amount: dollars(deposited[1]) }] } : {}),
});

/** Deposit dates of a family for days and amounts, by facts or the class that was said. */
export function followed(family: string, facts: ClassFacts | string, ...lines: Line[]): DepositDates {
  const found = findFamily(family);
  if (!found) throw new RangeError(`no family ${family}`);
  return depositDates(found, found.calendar, lines.map(accrued), typeof facts === 'string' ? saidClass(facts) : facts);
}
/** The due date of each day, or `?` where it has none. */
export const duesOf = (dates: DepositDates): string[] =>
  [...dates.dues].map(([day, { due }]) => `${day} ${due ?? '?'}`);
