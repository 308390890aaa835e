import type { Bracket } from '../jurisdictions/brackets.js';
import { ZERO, cents, type Cents } from '../money/cents.js';
import { dividedBy, round, roundToDollar, times } from '../money/exact.js';

/** A year's amount as a publication prints it for one pay period. */
export const amountOfPeriod = (amount: Cents, periods: number, to: 'dollar' | 'cent'): Cents =>
  to === 'dollar' ? roundToDollar(dividedBy(amount, periods), 'half-up') : round(dividedBy(amount, periods), 'half-up');

/** Tables of one pay period made of a year's, as publications print them; kept, because they are asked for every check. */
const made = new WeakMap<readonly Bracket[], Map<number, readonly Bracket[]>>();

export function tableOfPeriod(table: readonly Bracket[], periods: number, to: 'dollar' | 'cent'): readonly Bracket[] {
  const known = made.get(table) ?? new Map<number, readonly Bracket[]>();
  const found = known.get(periods);
  if (found) return found;
  let base: Cents = ZERO;
  let before: Bracket | null = null;
  const rows = table.map((row) => {
    const over = amountOfPeriod(row.over, periods, to);
    if (before) base = cents(base + round(times(cents(over - before.over), before.rate), 'half-up'));
    before = { over, base, rate: row.rate };
    return before;
  });
  known.set(periods, rows);
  made.set(table, known);
  return rows;
}
