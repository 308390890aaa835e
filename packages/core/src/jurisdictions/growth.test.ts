import { describe, expect, it } from '@jest/globals';
import { isObject } from '../casefile/reader.js';
import { PARAMETERS } from '../rules/parameters.js';
import type { Dated } from './dated.js';
import { EXPLAINED } from './growth-explained.js';

/** What an amount may move by from one year to the next: outside it a year has slipped, or there is a reason. */
const LEAST = 0.95;
const MOST = 1.12;
/** Amounts below ten dollars move in steps that are large for them. */
const SMALL = 1000;

/** Every amount of a value by its path; rates are fractions and move with the law, not with prices. */
function amountsOf(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]];
  if (Array.isArray(value)) return value.flatMap((inner, index) => amountsOf(inner, `${path}[${index}]`));
  if (!isObject(value) || ('n' in value && 'd' in value)) return [];
  return Object.entries(value).flatMap(([name, inner]) => amountsOf(inner, path === '' ? name : `${path}.${name}`));
}

interface Jump {
  readonly at: string;
  readonly from: number;
  readonly to: number;
}
function jumpsOf(rows: readonly Dated<unknown>[]): Jump[] {
  const ordered = [...rows].sort((a, b) => (a.from < b.from ? -1 : 1));
  return ordered.slice(1).flatMap((row, index) => {
    const before = new Map(amountsOf(ordered[index]?.value));
    return amountsOf(row.value).flatMap(([path, to]) => {
      const from = before.get(path);
      if (from === undefined || from < SMALL || to < SMALL) return [];
      const ratio = to / from;
      return ratio >= LEAST && ratio <= MOST ? [] : [{ at: `${row.from.slice(0, 4)} ${path}`, from, to }];
    });
  });
}

describe('amounts of adjacent years grow by -5% to +12%, or there is a reason why not', () => {
  const ours = PARAMETERS;
  it('looks at every parameter', () => expect(ours.length).toBeGreaterThan(300));
  it.each(ours.map((parameter) => [parameter.code, parameter] as const))('%s', (code, { rows }) => {
    const jumps = jumpsOf(rows);
    const why = EXPLAINED[code];
    // A reason without a jump is stale: it would hide the next slip.
    expect([code, jumps.length > 0 ? (why ?? jumps) : null]).toEqual([
      code,
      jumps.length > 0 ? expect.any(String) : null,
    ]);
    if (why !== undefined) expect(jumps.length).toBeGreaterThan(0);
  });
});
