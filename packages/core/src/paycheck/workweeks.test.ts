import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase } from '../casefile/run-case.js';
import { rate, showRate } from '../money/rate.js';
import { make, problems, type Given } from '../testing/whole-checks.js';
import { splitWeeks } from './workweeks.js';

const split = (...weeks: string[]): string[] => {
  const { regular, overtime } = splitWeeks(weeks.map(rate));
  return [showRate(regular), showRate(overtime)];
};

// 29 U.S.C. § 207(a)(1) and 29 CFR § 778.104: each workweek stands alone (recalled).
describe('hours week by week', () => {
  it.each([
    [
      ['45', '40'],
      ['80', '5'],
    ],
    [
      ['50', '35'],
      ['75', '10'],
    ],
    [['52'], ['40', '12']],
    [
      ['40', '40'],
      ['80', '0'],
    ],
    [
      ['40.25', '38.5'],
      ['78.5', '0.25'],
    ],
    [[], ['0', '0']],
  ])('%j', (weeks, expected) => expect(split(...weeks)).toEqual(expected));

  it('lose no hour, and no week makes up for another', () => {
    const quarters = fc.array(fc.integer({ min: 0, max: 4 * 90 }), { maxLength: 5 });
    fc.assert(
      fc.property(quarters, (weeks) => {
        const { regular, overtime } = splitWeeks(weeks.map((hours) => ({ n: hours * 25, d: 100 })));
        const [own, over] = [(regular.n / regular.d) * 4, (overtime.n / overtime.d) * 4];
        return (
          own + over === weeks.reduce((sum, hours) => sum + hours, 0) &&
          over === weeks.reduce((sum, hours) => sum + Math.max(0, hours - 160), 0)
        );
      }),
    );
  });
});

describe('weeks in a case', () => {
  const answer = (line: Given, more: Given[] = []) =>
    runCase(make('TX', { earnings: [{ item: 'regular', rate: '22.50', ...line }, ...more] }));
  it('are a line of regular hours and one of overtime', () => {
    // 40 × 22.50 + 12 × 33.75
    expect(answer({ weeks: ['52'] }).gross).toBe('1305.00');
    // 75 × 22.50 + 10 × 33.75, where 85 hours of the period alone would be five hours of overtime.
    expect(answer({ weeks: ['50', '35'] }).gross).toBe('2025.00');
    expect(problems(answer({ weeks: ['50', '35'] }))).toEqual([]);
  });
  it('take the premium on the regular rate where it is asked for', () =>
    // (46 × 22.50 + 46.00) ÷ 46 = 23.50; 46 × 23.50 + 6 × 11.75
    expect(answer({ weeks: ['46'], regularRate: true }, [{ item: 'bonus', amount: '46.00' }]).gross).toBe('1151.50'));
  it('do not stand beside hours, nor on another line than regular', () => {
    expect(problems(answer({ weeks: ['45', '40'], hours: '85' }))).toEqual(['earning.weeks']);
    expect(problems(answer({ weeks: ['45'], item: 'sick' }))).toEqual(['earning.weeks']);
    expect(problems(answer({ weeks: ['45', 'x'] }))).toContain('input.not-a-decimal');
    expect(problems(answer({ weeks: ['200'] }))).toEqual(['earning.week-too-long']);
  });
});
