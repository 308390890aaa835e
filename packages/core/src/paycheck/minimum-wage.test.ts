import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { make, type Given } from '../testing/whole-checks.js';

const said = (state: string, earnings: Given[], employee: Given = {}): string | null =>
  runCase(make(state, { payFrequency: 'weekly', earnings }, employee)).problems.find(
    (issue) => issue.code === 'pay.below-minimum',
  )?.sentence ?? null;
const served = (rate: string, tips: string): Given[] => [
  { item: 'regular', hours: '40', rate },
  { item: 'tips-reported', amount: tips },
];

// 29 U.S.C. § 206(a)(1): 7.25 an hour; § 203(m)(2): 2.13 in cash and tips that make up the rest (recalled).
describe('pay under the minimum wage', () => {
  it('counts tips toward it, and says what is missing', () => {
    // 40 × 7.25 = 290.00; 40 × 2.13 = 85.20
    expect(said('TX', served('2.13', '204.80'))).toBeNull();
    expect(said('TX', served('2.13', '204.79'))).toMatch(/40 hours are 0.01 under the minimum wage of 7.25/);
  });
  it('takes that of the state where it is higher and known', () => {
    expect(said('CA', [{ item: 'regular', hours: '40', rate: '16.90' }])).toBeNull();
    expect(said('CA', [{ item: 'regular', hours: '40', rate: '16.89' }])).toMatch(
      /0.40 under the minimum wage of 16.90/,
    );
  });
  it('neither leave nor the premium for overtime makes up for it', () => {
    const hours = { item: 'regular', hours: '40', rate: '7.00' };
    // 40 × 0.25 = 10.00, and 4 × 0.25 = 1.00: the premium of 4 × 3.50 would have covered both.
    expect(said('TX', [hours, { item: 'overtime', hours: '4', rate: '7.00' }])).toMatch(/44 hours are 11.00 under/);
    expect(said('TX', [hours, { item: 'vacation', hours: '8', rate: '50.00' }])).toMatch(/10.00 under/);
    expect(said('TX', [hours, { item: 'commission', amount: '10.00' }])).toBeNull();
  });
  it('asks nothing of a salary without hours, nor of workers outside the law', () => {
    expect(said('TX', [{ item: 'salary', amount: '100.00' }])).toBeNull();
    expect(said('TX', served('2.13', '0.00'), { kind: 'clergy' })).toBeNull();
  });
});
