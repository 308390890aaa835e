import { cents, inThousands, showDollars, threeDigits, twoDigits, type Cents } from './cents.js';
import { MagnitudeError } from './magnitude.js';
import type { Rate } from './rate.js';

/**
 * An unrounded amount in cents: the exact fraction n / d, d > 0. Only `round` and `roundToDollar` make Cents of it,
 * and they have no default mode, because agencies prescribe different rounding at different lines.
 */
export interface Exact {
  readonly n: number;
  readonly d: number;
}

/** `half-up`: a half goes away from zero. `down`: towards zero. `up`: away from zero. `half-even`: banker's. */
export type Rounding = 'half-up' | 'down' | 'up' | 'half-even';

export const exact = (amount: Cents): Exact => ({ n: amount, d: 1 });

function gcd(a: bigint, b: bigint): bigint {
  while (b !== 0n) [a, b] = [b, a % b];
  return a < 0n ? -a : a;
}

/** Reduces a wide fraction to safe integers. */
function narrow(n: bigint, d: bigint): Exact {
  const divisor = gcd(n, d);
  const narrowed = { n: Number(n / divisor), d: Number(d / divisor) };
  if (!Number.isSafeInteger(narrowed.n) || !Number.isSafeInteger(narrowed.d)) {
    throw new MagnitudeError('an amount is too large to be computed exactly');
  }
  return narrowed;
}

/** amount × rate, exactly. */
export function times(amount: Exact | Cents, by: Rate): Exact {
  const a = typeof amount === 'number' ? { n: amount, d: 1 } : amount;
  const n = a.n * by.n;
  const d = a.d * by.d;
  if (Number.isSafeInteger(n) && Number.isSafeInteger(d)) return { n, d };
  return narrow(BigInt(a.n) * BigInt(by.n), BigInt(a.d) * BigInt(by.d));
}

/** amount ÷ a whole positive number, exactly. */
export const dividedBy = (amount: Exact | Cents, by: number): Exact => times(amount, { n: 1, d: by });

export function plus(a: Exact, b: Exact): Exact {
  if (a.d === b.d && Number.isSafeInteger(a.n + b.n)) return { n: a.n + b.n, d: a.d };
  const left = a.n * b.d;
  const right = b.n * a.d;
  const d = a.d * b.d;
  if (
    Number.isSafeInteger(left) &&
    Number.isSafeInteger(right) &&
    Number.isSafeInteger(left + right) &&
    Number.isSafeInteger(d)
  ) {
    return { n: left + right, d };
  }
  return narrow(BigInt(a.n) * BigInt(b.d) + BigInt(b.n) * BigInt(a.d), BigInt(a.d) * BigInt(b.d));
}

export const minus = (a: Exact, b: Exact): Exact => plus(a, { n: -b.n, d: b.d });

export const isBelowZero = (a: Exact): boolean => a.n < 0;

function roundQuotient(n: number, d: number, mode: Rounding): number {
  const negative = n < 0;
  const size = negative ? -n : n;
  let whole = Math.floor(size / d);
  let rest = size - whole * d;
  // Division of safe integers can be off by one at the far end of the range; the remainder tells.
  if (rest < 0) {
    whole -= 1;
    rest += d;
  } else if (rest >= d) {
    whole += 1;
    rest -= d;
  }
  if (rest > 0) {
    const twice = rest * 2;
    if (mode === 'up' || (mode !== 'down' && (twice > d || (twice === d && (mode === 'half-up' || whole % 2 === 1))))) {
      whole += 1;
    }
  }
  return negative ? -whole : whole;
}

/** To whole cents, by the named mode. */
export const round = (amount: Exact, mode: Rounding): Cents => cents(roundQuotient(amount.n, amount.d, mode));

/** To whole dollars, by the named mode; the result is still in cents. */
export const roundToDollar = (amount: Exact, mode: Rounding): Cents => {
  const d = amount.d * 100;
  if (!Number.isSafeInteger(d)) throw new MagnitudeError('an amount is too finely divided to be rounded to the dollar');
  return cents(roundQuotient(amount.n, d, mode) * 100);
};

/** The exact amount with up to six decimals of a cent, for a working; marked when cut. */
export function showExact({ n, d }: Exact): string {
  if (d === 1) return showDollars(cents(n));
  const size = n < 0 ? -n : n;
  const wide = size * 1_000_000;
  let millionths: number;
  let isCut: boolean;
  if (Number.isSafeInteger(wide)) {
    const rest = wide % d;
    millionths = (wide - rest) / d;
    isCut = rest !== 0;
  } else {
    const all = BigInt(size) * 1_000_000n;
    millionths = Number(all / BigInt(d));
    isCut = all % BigInt(d) !== 0n;
  }
  // A dollar is a hundred million millionths of a cent.
  const below = millionths % 100_000_000;
  const parts = below % 1_000_000;
  const kept = twoDigits((below - parts) / 1_000_000) + (parts === 0 ? '' : sixDigits(parts));
  return `${n < 0 ? '−' : ''}${inThousands((millionths - below) / 100_000_000)}.${kept}${isCut ? '…' : ''}`;
}

const sixDigits = (value: number): string => {
  const low = value % 1000;
  return withoutZeros(threeDigits((value - low) / 1000) + threeDigits(low));
};

function withoutZeros(digits: string): string {
  let end = digits.length;
  while (end > 0 && digits.charCodeAt(end - 1) === 48) end -= 1;
  return digits.slice(0, end);
}
