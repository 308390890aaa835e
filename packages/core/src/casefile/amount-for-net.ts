import { add, parseDollars, subtract, toDollars } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import { grossUp } from '../paycheck/gross-up.js';
import { composeCase, type OwnRows, type TypedEntry } from './compose.js';
import { readCase } from './read-case.js';
import type { JsonObject } from './reader.js';

/** An amount that was looked for; with words where no cent gives exactly what was asked. */
export interface FoundAmount {
  readonly amount: string | null;
  readonly problem: string | null;
}

/**
 * The amount of an item with which a check leaves so much more in net pay than without it (dollars as text). Another line
 * of the item without hours is replaced.
 */
export function amountForNet(
  base: JsonObject,
  entry: TypedEntry,
  own: OwnRows | null,
  { item, net }: { readonly item: string; readonly net: string },
): FoundAmount {
  const others = entry.earnings.filter((line) => line.item !== item || line.hours !== undefined);
  const read = readCase(composeCase(base, { ...entry, earnings: [...others, { item, amount: '0.00' }] }, own));
  const line = read.input?.earnings.at(-1);
  const more = parseDollars(net);
  if (!read.input || !line || more === null) return { amount: null, problem: 'the check cannot be computed yet' };
  const input = { ...read.input, earnings: read.input.earnings.slice(0, -1) };
  const before = computePaycheck(input).net;
  const { amount, result } = grossUp(input, line, add(before, more));
  const issue = result.problems.find(({ code }) => code.startsWith('gross-up.'));
  if (!issue) return { amount: toDollars(amount), problem: null };
  if (issue.code === 'gross-up.out-of-range')
    return { amount: null, problem: `no amount leaves ${toDollars(more)} in the hand` };
  const left = toDollars(subtract(result.net, before));
  return {
    amount: toDollars(amount),
    problem: `no whole cent leaves exactly ${toDollars(more)} in the hand; ${toDollars(amount)} leaves ${left}`,
  };
}
