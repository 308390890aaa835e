import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { crossingsAhead } from '../crossings/crossings.js';
import { amount, make, problems, type Given } from '../testing/whole-checks.js';

const taken = (lines: Given[], more: Given = {}) =>
  (runCase(make('TX', { deductions: lines, ...more })).deductions ?? []).map((line) => line.amount);

// IRC § 132(f)(2): a limit for each month, for transit and for parking apart; 340 in 2026 (recalled from Rev. Proc. 2025-32).
describe('transit and parking', () => {
  it('are limited by the month, each for itself', () => {
    const lines = [
      { item: 'transit', amount: '400.00' },
      { item: 'parking', amount: '300.00' },
    ];
    expect(taken(lines)).toEqual(['340.00', '300.00']);
    expect(taken(lines, { monthToDate: { deductions: { transit: '200.00', parking: '340.00' } } })).toEqual([
      '140.00',
      '0.00',
    ]);
  });
  it('of a quarter have three months', () =>
    expect(taken([{ item: 'transit', amount: '1100.00' }], { payFrequency: 'quarterly' })).toEqual(['1020.00']));
  it('do not ask what was taken in other months', () =>
    expect(
      taken([{ item: 'transit', amount: '300.00' }], { yearToDate: { deductions: { transit: '3900.00' } } }),
    ).toEqual(['300.00']));
  it('say in the working whose limit it is', () => {
    const answer = runCase(make('TX', { deductions: [{ item: 'transit', amount: '400.00' }] }), true);
    expect(answer.working?.['deduction:transit']?.at(-1)).toMatchObject({
      how: 'held at its legal monthly limit',
      parameter: { value: '340.00', verified: false },
    });
  });
});

describe('a fee of the month', () => {
  const denver = { work: [{ state: 'CO', locality: 'Denver' }], residence: { state: 'CO' } };
  const check = (more: Given) =>
    runCase(make('CO', { earnings: [{ item: 'salary', amount: '300.00' }], ...more }, denver));
  // Denver: due from wages of 500.00 in the month (recalled in the rules).
  it('waits until the wages of the month reach its mark, and is taken once', () => {
    expect(amount(check({}), 'CO-DENVER-OPT-EE')).toBe('0.00');
    const second = check({ monthToDate: { wages: '300.00' } });
    expect(amount(second, 'CO-DENVER-OPT-EE')).toBe('5.75');
    const third = check({ monthToDate: { wages: '600.00', taxes: { 'CO-DENVER-OPT-EE': '5.75' } } });
    expect(amount(third, 'CO-DENVER-OPT-EE')).toBe('0.00');
  });
  it('refuses an item it does not know', () =>
    expect(problems(check({ monthToDate: { deductions: { bus: '1.00' } } }))).toContain('item.unknown'));
});

describe('looking ahead over months', () => {
  it('begins each month anew, so that a limit of the month is no crossing of the year', () => {
    const base = make('TX', { payFrequency: 'biweekly', checkDate: '2026-01-02' });
    const dates = ['2026-01-02', '2026-01-16', '2026-01-30', '2026-02-13'];
    const entry = {
      earnings: [{ item: 'salary', amount: '2000.00' }],
      deductions: [{ item: 'transit', amount: '150.00' }],
    };
    expect(crossingsAhead(base, entry, dates)).not.toContainEqual(
      expect.objectContaining({ figure: 'deduction:transit' }),
    );
  });
});

describe('wages no state taxes', () => {
  it('lose the federal credit by the state that covers the work, not by the first place of it', () => {
    const work = [
      { state: 'TX', share: '0.6' },
      { state: 'LA', share: '0.4' },
    ];
    const answer = (localizedIn: string) =>
      runCase(
        make(
          'TX',
          { employer: { unemploymentRates: { TX: '2.7', LA: '2.7' } } },
          {
            work,
            localization: { localizedIn },
            exemptFrom: ['LA-SUI'],
          },
        ),
      );
    const rateOf = (localizedIn: string) => {
      const line = answer(localizedIn).taxes.find((tax) => tax.code === 'US-FUTA');
      return Number(line?.amount) / Number(line?.wages);
    };
    expect(rateOf('TX')).toBeCloseTo(0.006, 5);
    expect(rateOf('LA')).toBeCloseTo(0.06, 5);
  });
});
