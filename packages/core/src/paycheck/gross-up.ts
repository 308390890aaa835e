import { problem } from '../issues/issue.js';
import { cents, toDollars, type Cents } from '../money/cents.js';
import type { EarningItem } from '../items/registry.js';
import type { Tape } from '../working/tape.js';
import { computePaycheck } from './compute.js';
import type { PaycheckInput } from './input.js';
import type { PaycheckResult } from './result.js';

const withAmount = (input: PaycheckInput, item: EarningItem, amount: Cents): PaycheckInput => ({
  ...input,
  earnings: [...input.earnings, { item, own: null, hours: null, rate: null, amount, isOnRegularRate: false }],
});

/** How far around the found gross the whole-cent neighbours are tried; rounding moves the net by a few cents only. */
const NEIGHBOURS = 12;

/**
 * Finds the smallest whole-cent amount of `item` with which the check nets exactly `net`. Where no cent gives it, the
 * result carries a problem that names the nearest net above it.
 */
export function grossUp(
  input: PaycheckInput,
  item: EarningItem,
  net: Cents,
  tape?: Tape,
): { amount: Cents; result: PaycheckResult } {
  const netAt = (amount: number): Cents => computePaycheck(withAmount(input, item, cents(amount))).net;
  let low = 0;
  let high = Math.max(net * 4, 10_000);
  if (netAt(high) < net || netAt(0) > net) {
    const result = computePaycheck(input);
    return {
      amount: cents(0),
      result: {
        ...result,
        problems: [...result.problems, problem('gross-up.out-of-range', 'grossUp.net', { net: toDollars(net) })],
      },
    };
  }
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (netAt(middle) >= net) high = middle;
    else low = middle + 1;
  }
  let amount = low;
  for (let candidate = Math.max(0, low - NEIGHBOURS); candidate <= low + NEIGHBOURS; candidate += 1) {
    if (netAt(candidate) === net) {
      amount = candidate;
      break;
    }
  }
  const found = withAmount(input, item, cents(amount));
  const result = computePaycheck(found, tape);
  if (result.net === net) return { amount: cents(amount), result };
  const parameters = { net: toDollars(net), nearest: toDollars(result.net), gross: toDollars(result.gross) };
  return {
    amount: cents(amount),
    result: { ...result, problems: [...result.problems, problem('gross-up.not-reached', 'grossUp.net', parameters)] },
  };
}
