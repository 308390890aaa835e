import { problem } from '../issues/issue.js';
import { cents, toDollars, type Cents } from '../money/cents.js';
import type { Tape } from '../working/tape.js';
import { computePaycheck } from './compute.js';
import type { Earning, PaycheckInput } from '../computation/input.js';
import type { PaycheckResult } from '../computation/result.js';

/** What is paid more: a standard item, or one of the firm's own. */
export type GrossUpItem = Pick<Earning, 'item' | 'own'>;

const withAmount = (input: PaycheckInput, item: GrossUpItem, amount: Cents): PaycheckInput => ({
  ...input,
  earnings: [...input.earnings, { ...item, hours: null, rate: null, amount, isOnRegularRate: false, job: null }],
});

/**
 * Net pay grows with the gross, but falls back where a tax steps up: by a dollar where a state rounds to dollars, by more
 * where an exemption ends. So a smaller gross than the one that halving finds may give the same net; it is looked for
 * this far below, by dollars first, because the net of the next 99 cents is at most a dollar more.
 */
const BELOW = 40_000;
const DOLLAR = 100;
/** How far above the found gross the cents are tried: further than any rounding to dollars moves the net back. */
const ABOVE = 400;

/** Where the search for a gross begins, and where it ends: a hundred, and a billion dollars. */
const LEAST = 10_000;
const MOST = 100_000_000_000;

/** The smallest gross of the cents from `from` up to before `until` that nets exactly `net`; null when none does. */
function exactIn(netAt: (amount: number) => Cents, net: Cents, from: number, until: number): number | null {
  for (let amount = Math.max(0, from); amount < until; amount += 1) if (netAt(amount) === net) return amount;
  return null;
}

function smallestFor(netAt: (amount: number) => Cents, net: Cents, found: number): number {
  for (let dollar = Math.max(0, found - BELOW); dollar < found; dollar += DOLLAR) {
    if (netAt(dollar) < net - DOLLAR) continue;
    const amount = exactIn(netAt, net, dollar, Math.min(dollar + DOLLAR, found));
    if (amount !== null) return amount;
  }
  return exactIn(netAt, net, found, found + ABOVE) ?? found;
}

/**
 * Finds the smallest whole-cent amount of `item` with which the check nets exactly `net`. Where no cent gives it, the
 * result carries a problem that names the nearest net above it.
 */
export function grossUp(
  input: PaycheckInput,
  item: GrossUpItem,
  net: Cents,
  tape?: Tape,
): { amount: Cents; result: PaycheckResult } {
  const netAt = (amount: number): Cents => computePaycheck(withAmount(input, item, cents(amount))).net;
  let low = 0;
  let high = Math.min(Math.max(net * 2, LEAST), MOST);
  while (netAt(high) < net && high < MOST) high = Math.min(high * 2, MOST);
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
  const amount = smallestFor(netAt, net, low);
  const result = computePaycheck(withAmount(input, item, cents(amount)), tape);
  if (result.net === net) return { amount: cents(amount), result };
  const parameters = { net: toDollars(net), nearest: toDollars(result.net), gross: toDollars(result.gross) };
  return {
    amount: cents(amount),
    result: { ...result, problems: [...result.problems, problem('gross-up.not-reached', 'grossUp.net', parameters)] },
  };
}
