import type { EarningItem } from './registry.js';

const MOST_TIMES = 10;
/** Whether hours can be paid at such a multiple of the rate. */
export const isPlausibleFactor = ({ n, d }: { readonly n: number; readonly d: number }): boolean =>
  n > 0 && n <= MOST_TIMES * d;

/** Items that were made: the same is the same object. */
const made = new Map<string, EarningItem>();

/**
 * The standard item at another multiple of the rate. What the federal law asks for of it stays half the rate for each hour
 * (29 U.S.C. § 207(a)): at 1.75 two sevenths of the line, at 1.25 all of the premium, one fifth.
 * `factor` is above zero, as a fraction and as it is shown.
 */
export function withFactor(
  item: EarningItem,
  { n, d }: { readonly n: number; readonly d: number },
  shown: string,
): EarningItem {
  const key = `${item.code} ${n}/${d}`;
  const known = made.get(key);
  if (known) return known;
  const isPremiumAlone = n < d;
  const isHalfAtMost = isPremiumAlone ? 2 * n <= d : 2 * (n - d) <= d;
  const whole = isPremiumAlone ? { part: 1, of: 1 } : { part: n - d, of: n };
  const premium = isHalfAtMost ? whole : { part: d, of: 2 * n };
  const other = { ...item, factor: shown, overtimePremium: item.overtimePremium === null ? null : premium };
  made.set(key, other);
  return other;
}
