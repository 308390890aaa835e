import { describe, expect, it } from '@jest/globals';
import { expectedReturns, mustEfile } from './efile-duty.js';
import { kindOf } from './registry.js';

const counted = (codes: readonly string[], people: number) => expectedReturns(codes.map(kindOf), people);
const total = (codes: readonly string[], people: number): number =>
  counted(codes, people).reduce((sum, { count }) => sum + count, 0);

describe('the duty to file electronically', () => {
  it('counts quarterly returns, the yearly one, and a statement a person', () =>
    expect(counted(['us-941', 'us-940', 'us-w2'], 4)).toEqual([
      { code: 'us-941', name: 'Form 941', count: 4 },
      { code: 'us-940', name: 'Form 940', count: 1 },
      { code: 'us-w2', name: 'Forms W-2 and W-3', count: 4 },
    ]));
  it('begins with ten returns of all kinds (Treas. Reg. § 301.6011-2, T.D. 9972; recalled)', () => {
    expect(total(['us-941', 'us-940', 'us-w2'], 5)).toBe(10);
    expect(mustEfile(counted(['us-941', 'us-940', 'us-w2'], 5))).toBe(true);
    expect(mustEfile(counted(['us-941', 'us-940', 'us-w2'], 4))).toBe(false);
    expect(mustEfile(counted(['us-944', 'us-w2'], 8))).toBe(false);
  });
  it('leaves out states, corrections, and the schedule of the owner’s own return', () =>
    expect(counted(['ny-nys-45', 'us-941-x', 'us-w2c', 'us-schedule-h'], 100)).toEqual([]));
});
