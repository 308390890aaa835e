import { cents, sum, type Cents } from './cents.js';

/**
 * Splits `total` in proportion to `weights` into parts that add up to the whole. Left-over cents go to the largest
 * remainders, ties to the earlier part. All weights zero: everything goes to the first part.
 */
export function allocate(total: Cents, weights: readonly Cents[]): Cents[] {
  if (weights.length === 0) throw new RangeError('nothing to allocate to');
  if (weights.some((weight) => weight < 0)) throw new RangeError('a weight is below zero');
  const whole = BigInt(sum(weights));
  if (whole === 0n) return weights.map((_, index) => (index === 0 ? total : cents(0)));
  const sign = total < 0 ? -1 : 1;
  const size = BigInt(Math.abs(total));
  const parts = weights.map((weight, index) => {
    const product = size * BigInt(weight);
    return { index, share: Number(product / whole), remainder: product % whole };
  });
  let left = Number(size) - parts.reduce((running, part) => running + part.share, 0);
  const order = [...parts].sort((a, b) =>
    a.remainder === b.remainder ? a.index - b.index : a.remainder > b.remainder ? -1 : 1,
  );
  for (const part of order) {
    if (left === 0) break;
    part.share += 1;
    left -= 1;
  }
  return parts.map((part) => cents(sign * part.share));
}
