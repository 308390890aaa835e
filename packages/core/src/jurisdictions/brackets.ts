import type { Cents } from '../money/cents.js';
import { dollars } from '../money/cents.js';
import { rate, type Rate } from '../money/rate.js';

/** One row of a percentage table: of amounts from `over`, `base` plus `rate` of the excess over `over`. */
export interface Bracket {
  readonly over: Cents;
  readonly base: Cents;
  readonly rate: Rate;
}

/** Writes a table as the publication prints it: `[over, base, rate]` in dollars and as a decimal. */
export const brackets = (rows: readonly (readonly [over: string, base: string, rate: string])[]): readonly Bracket[] =>
  rows.map(([over, base, by]) => ({ over: dollars(over), base: dollars(base), rate: rate(by) }));
