import { describe, expect, it } from '@jest/globals';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { make, type Given } from '../testing/whole-checks.js';

const line = (more: Given): Given => ({ item: 'overtime', name: 'own', hours: '10', rate: '20.00', ...more });
const check = (earnings: Given[], more: Given = {}): CaseAnswer => runCase(make('TN', { earnings, ...more }), true);
const qualified = (answer: CaseAnswer): string | undefined => answer.tracked?.['qualifiedOvertime'];

describe('an own item at another multiple of the rate', () => {
  it.each([
    // 14.27 × 1.5 is 21.405 an hour: rounded once, with the hours.
    ['1.5', '14.27', '3', '64.22'],
    ['1.75', '14.27', '10', '249.73'],
    ['2.5', '20.00', '4', '200.00'],
    ['1.1', '20.00', '8', '176.00'],
  ])('%s times %s for %s hours is %s', (factor, rate, hours, amount) => {
    const answer = check([line({ factor, rate, hours })]);
    expect(answer.earnings?.map((one) => one.amount)).toEqual([amount]);
    const how = answer.working?.['gross']?.map((one) => one.how).join(' ');
    expect(how).toContain(`× ${factor}`);
  });
  it.each([
    // Half the rate for each hour is what the federal law asks for (29 U.S.C. § 207(a)): 100.00, however much more is paid.
    ['overtime', '1.5', '100.00'],
    ['overtime', '1.75', '100.00'],
    ['overtime', '2.5', '100.00'],
    ['double-time', '3', '100.00'],
    // Where less than that is paid on top, all of it.
    ['overtime', '1.25', '50.00'],
    ['overtime-premium', '0.5', '100.00'],
    ['overtime-premium', '0.75', '100.00'],
    ['overtime-not-qualified', '1.75', undefined],
    ['regular', '1.75', undefined],
  ])('%s at %s: %s of it is qualified', (item, factor, premium) =>
    expect(qualified(check([line({ item, factor })]))).toBe(premium),
  );
  it('on the regular rate has the same part of the premium', () => {
    const regular = { item: 'regular', hours: '40', rate: '20.00' };
    const bonus = { item: 'bonus', amount: '100.00' };
    const settings = { settings: { overtimeOnRegularRate: true } };
    // 1,100.00 for 50 hours is 22.00: straight 200.00 and 0.75 or 0.25 of 22.00 for each of ten hours.
    const [more, less] = ['1.75', '1.25'].map((factor) => check([regular, line({ factor }), bonus], settings));
    expect([more?.earnings?.[1]?.amount, more && qualified(more)]).toEqual(['365.00', '110.00']);
    expect([less?.earnings?.[1]?.amount, less && qualified(less)]).toEqual(['255.00', '55.00']);
    // A night shift at 1.1 is no overtime: it has its own rate.
    const night = check([regular, line({ item: 'regular', factor: '1.1' }), bonus], settings);
    expect(night.earnings?.[1]?.amount).toBe('220.00');
  });
  it.each([
    [{ factor: '0' }, 'item.factor earnings[0].factor'],
    [{ factor: '11' }, 'item.factor earnings[0].factor'],
    [{ factor: 'twice' }, 'input.not-a-decimal earnings[0].factor'],
    [{ factor: '1.75', name: null }, 'input.missing earnings[0].name'],
  ])('%j is refused', (more, issue) => {
    const answer = check([line(more)]);
    expect(answer.problems.map(({ code, field }) => `${code} ${field}`)).toContain(issue);
    expect(answer.gross).toBeNull();
  });
});
