import { parseDollars, toDollars, type Cents } from '../money/cents.js';
import { parseRate, showRate, type Rate } from '../money/rate.js';

/** Fields that hold a plain number, not an amount of money. */
const COUNTS: ReadonlySet<string> = new Set([
  'atMost',
  'atLeast',
  'below',
  'hours',
  'employersOver',
  'farmPeople',
  'tableUpTo',
]);
const isRate = (value: object): value is Rate => 'n' in value && 'd' in value && Object.keys(value).length === 2;

/** A rule value as JSON: amounts are `{"dollars": "184500.00"}`, rates `{"rate": "0.062"}`, counts plain numbers. */
export function toJson(value: unknown, field = ''): unknown {
  if (typeof value === 'number') return COUNTS.has(field) ? value : { dollars: toDollars(value as Cents) };
  if (Array.isArray(value)) return value.map((entry) => toJson(entry));
  if (typeof value !== 'object' || value === null) return value;
  if (isRate(value)) return { rate: showRate(value) };
  return Object.fromEntries(Object.entries(value).map(([name, entry]) => [name, toJson(entry, name)]));
}

export interface Unread {
  readonly path: string;
  readonly found: string;
}

/** No rule of ours is written at a longer path; a file that nests without end stops here. */
const DEEPEST = 400;

/** The value of JSON made by `toJson`; what cannot be read is told by its path. */
export function fromJson(value: unknown, path: string, faults: Unread[]): unknown {
  if (path.length > DEEPEST) {
    faults.push({ path: `${path.slice(0, 60)}…`, found: 'nested too deeply' });
    return null;
  }
  if (Array.isArray(value)) return value.map((entry, index) => fromJson(entry, `${path}[${index}]`, faults));
  if (typeof value !== 'object' || value === null) {
    if (typeof value === 'number' && !COUNTS.has(path.split('.').at(-1) ?? ''))
      faults.push({ path, found: String(value) });
    return value;
  }
  const given = value as Record<string, unknown>;
  const names = Object.keys(given);
  if (names.length === 1 && 'dollars' in given) {
    const amount = typeof given['dollars'] === 'string' ? parseDollars(given['dollars']) : null;
    if (amount === null) faults.push({ path: `${path}.dollars`, found: String(given['dollars']) });
    return amount;
  }
  // A bracket also has a field `rate`, but an object beside it.
  if (names.length === 1 && typeof given['rate'] === 'string' && given['rate'] !== 'own') {
    const rate = parseRate(given['rate']);
    if (rate === null) faults.push({ path: `${path}.rate`, found: given['rate'] });
    return rate;
  }
  return Object.fromEntries(names.map((name) => [name, fromJson(given[name], `${path}.${name}`, faults)]));
}

/** Where two values are not of the same make: an amount where a rate belongs, a field missing. Lists may differ in length. */
export function differentMake(value: unknown, like: unknown, path: string): string | null {
  if (typeof like !== typeof value) return path;
  if (Array.isArray(like)) {
    return Array.isArray(value) ? null : path;
  }
  if (typeof like !== 'object' || like === null || typeof value !== 'object' || value === null) return null;
  if (isRate(like) !== isRate(value)) return path;
  const given = value as Record<string, unknown>;
  const wanted = like as Record<string, unknown>;
  for (const name of Object.keys(wanted)) {
    if (!(name in given)) return `${path}.${name}`;
    const found = differentMake(given[name], wanted[name], `${path}.${name}`);
    if (found !== null) return found;
  }
  return null;
}
