import { describe, expect, it } from '@jest/globals';
import { createRequire } from 'node:module';
import { STATE_CODES } from '../jurisdictions/state.js';
import { ZIP_STATES, isZipOf } from './zip-areas.js';

interface Zip {
  readonly zip: string;
  readonly state: string;
}
/** A general reference library of ZIP codes from the registry (`zipcodes`); ours is recalled, so each checks the other. */
const { codes } = createRequire(import.meta.url)('zipcodes/lib/codes.js') as { codes: Record<string, Zip> };
const known = Object.values(codes).filter((one) => (STATE_CODES as readonly string[]).includes(one.state));

describe('ZIP codes by state', () => {
  it('every state has its areas', () => expect([...ZIP_STATES].sort()).toEqual([...STATE_CODES].sort()));
  it('agrees with a reference list of ZIP codes', () => {
    const differing = known.filter((one) => isZipOf(one.zip, one.state) !== true);
    expect(known.length).toBeGreaterThan(38_000);
    expect(differing.map((one) => `${one.zip} ${one.state}`)).toEqual([
      // Federal agencies under Washington's 205, a town on the line of Texas and Oklahoma, and an entry that is none.
      '20588 MD',
      '20598 VA',
      '73960 TX',
      '87654 NM',
    ]);
  });
  it('a code of one state is rarely one of another', () => {
    const doubled = known.filter((one) => STATE_CODES.some((state) => state !== one.state && isZipOf(one.zip, state)));
    expect(doubled.length / known.length).toBeLessThan(0.01);
  });
});
