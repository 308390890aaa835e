import type { Bracket } from '../jurisdictions/brackets.js';
import { ZERO, cents } from '../money/cents.js';
import { exact, isBelowZero, minus, plus, times, type Exact } from '../money/exact.js';

/** The row of a percentage table that an amount falls in: the last whose `over` is not above it. */
export function bracketFor(table: readonly Bracket[], amount: Exact): Bracket {
  let found = table[0];
  for (const row of table) {
    if (row.over * amount.d > amount.n) break;
    found = row;
  }
  if (!found) throw new RangeError('an empty percentage table');
  return found;
}

/** base + rate × (amount − over), unrounded. An amount below zero gives zero. */
export function bracketTax(row: Bracket, amount: Exact): Exact {
  if (isBelowZero(amount)) return exact(ZERO);
  return plus(exact(row.base), times(minus(amount, exact(cents(row.over))), row.rate));
}
