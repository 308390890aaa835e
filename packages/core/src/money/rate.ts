import { plainDecimal } from './cents.js';

/** An exact decimal: numerator over a power of ten. Made from text only, so no binary fraction ever exists. */
export interface Rate {
  readonly n: number;
  readonly d: number;
}

const DECIMAL = /^(-)?(\d{1,9})(?:\.(\d{1,9}))?$/;

/** Most decimals are plain digits with at most four behind the point; null for any other, which the pattern reads. */
function plainRate(text: string): Rate | null {
  const point = text.indexOf('.');
  const places = point < 0 ? 0 : text.length - point - 1;
  if (places > 4 || places === text.length - 1 || (point >= 0 && places === 0)) return null;
  let n = plainDecimal(text, 9, places);
  if (n < 0) return null;
  let d = 10 ** places;
  // Zeros at the end are idle: one decimal has one form.
  while (d > 1 && n % 10 === 0) {
    n /= 10;
    d /= 10;
  }
  return { n, d };
}

/** Reads a decimal such as `0.062` or `38.25`. Returns null for anything else. */
export function parseRate(text: string): Rate | null {
  const plain = plainRate(text);
  if (plain) return plain;
  const match = DECIMAL.exec(text.trim());
  if (!match) return null;
  const fraction = (match[3] ?? '').replace(/0+$/, '');
  const d = 10 ** fraction.length;
  const n = Number(match[2]) * d + (fraction === '' ? 0 : Number(fraction));
  if (!Number.isSafeInteger(n)) return null;
  return { n: match[1] ? -n : n, d };
}

/** As parseRate for text known to be good; throws RangeError otherwise. `rate('0.062')` is 6.2 percent. */
export function rate(text: string): Rate {
  const value = parseRate(text);
  if (value === null) throw new RangeError(`not a decimal: ${text}`);
  return value;
}

/** A percentage as people type it (`4.1` is 4.1 percent), as a rate. Null when it is not a decimal. */
export function parsePercent(text: string): Rate | null {
  const value = parseRate(text);
  return value && { n: value.n, d: value.d * 100 };
}

/** `0.062` */
export function showRate({ n, d }: Rate): string {
  const places = String(d).length - 1;
  const digits = String(Math.abs(n)).padStart(places + 1, '0');
  const text = places === 0 ? digits : `${digits.slice(0, -places)}.${digits.slice(-places)}`.replace(/\.?0+$/, '');
  return (n < 0 ? '-' : '') + text;
}

const shownPercents = new WeakMap<Rate, string>();

/** `6.2%` */
export function showPercent(rate: Rate): string {
  const known = shownPercents.get(rate);
  if (known !== undefined) return known;
  const shown = percentText(rate);
  shownPercents.set(rate, shown);
  return shown;
}

function percentText({ n, d }: Rate): string {
  const wide = d >= 100 ? { n, d: d / 100 } : { n: n * (100 / d), d: 1 };
  return `${showRate(wide)}%`;
}

/** Says a percentage in words: `2.7% = 27.00 per 1,000`. */
export function ratePerThousand({ n, d }: Rate): string {
  const hundredths = (BigInt(n) * 100_000n) / BigInt(d);
  const exact = (BigInt(n) * 100_000n) % BigInt(d) === 0n;
  const text = hundredths.toString().padStart(3, '0');
  return `${showPercent({ n, d })} = ${exact ? '' : 'about '}${text.slice(0, -2)}.${text.slice(-2)} per 1,000`;
}

export const ZERO_RATE: Rate = { n: 0, d: 1 };
