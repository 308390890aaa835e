import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { dollars, toDollars } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { rate } from '../money/rate.js';
import { make, type Given } from '../testing/whole-checks.js';

/** Worked examples of publications, each with its paragraph. The print was not at hand: all are recalled. */

/** Nothing is withheld: disposable earnings are the pay. */
const UNTAXED = {
  federal: { form: '2020', filingStatus: 'single', exempt: true },
  exemptFrom: ['US-OASDI-EE', 'US-HI-EE'],
};
const gross = (earnings: Given[], settings: Given = {}): string | null =>
  runCase(make('TX', { earnings, settings: { supplementalMethod: 'flat', overtimeOnRegularRate: true, ...settings } }))
    .gross;

describe('29 CFR Part 778, overtime on the regular rate', () => {
  it('§ 778.110(a): 46 hours at 12.00: 588.00', () =>
    expect(
      gross([
        { item: 'regular', hours: '40', rate: '12.00' },
        { item: 'overtime', hours: '6', rate: '12.00' },
      ]),
    ).toBe('588.00'));
  it('§ 778.110(b): with a production bonus of 46.00 the regular rate is 13.00 and the week 637.00', () =>
    expect(
      gross([
        { item: 'regular', hours: '40', rate: '12.00' },
        { item: 'overtime', hours: '6', rate: '12.00' },
        { item: 'bonus', amount: '46.00' },
      ]),
    ).toBe('637.00'));
  // 491.00 at piece rates and 4 hours of waiting at 8.00 are 523.00; over 50 hours 10.46, half of it for ten of them.
  it('§ 778.111(a): a pieceworker of 50 hours: the regular rate is 10.46, the premium 52.30, the week 575.30', () => {
    const regular = round(times(dollars('523.00'), { n: 1, d: 50 }), 'half-up');
    expect(toDollars(regular)).toBe('10.46');
    expect(
      gross(
        [
          { item: 'piece-work', amount: '491.00' },
          { item: 'regular', hours: '4', rate: '8.00' },
          { item: 'overtime-premium', hours: '10', rate: toDollars(regular) },
        ],
        { overtimeOnRegularRate: false },
      ),
    ).toBe('575.30');
  });
  it('§ 778.113(a): a salary of 350.00 for 35 hours is 10.00 an hour: 15.00 for each hour over 40', () =>
    expect(
      gross([
        { item: 'regular', hours: '40', rate: '10.00' },
        { item: 'overtime', hours: '1', rate: '10.00' },
      ]),
    ).toBe('415.00'));
  it.each([
    ['monthly', '1560.00'],
    ['semimonthly', '780.00'],
  ])('§ 778.113(b): a %s salary of %s is 360.00 a week', (per, amount) =>
    expect(runCase(make('TX', { payFrequency: 'weekly', earnings: [{ item: 'salary', amount, per }] })).gross).toBe(
      '360.00',
    ),
  );
  it('§ 778.208 to 778.211: a discretionary bonus is outside the regular rate', () =>
    expect(
      gross([
        { item: 'regular', hours: '40', rate: '12.00' },
        { item: 'overtime', hours: '6', rate: '12.00' },
        { item: 'discretionary-bonus', amount: '46.00' },
      ]),
    ).toBe('634.00'));
});

describe('29 CFR Part 870 and Fact Sheet #30, what a creditor may take', () => {
  const taken = (payFrequency: string, disposable: string): string | undefined =>
    runCase(
      make(
        'TX',
        { payFrequency, earnings: [{ item: 'salary', amount: disposable }] },
        { ...UNTAXED, garnishments: [{ kind: 'creditor', label: 'C' }] },
      ),
    ).garnishments?.[0]?.amount ?? '0.00';
  it.each([
    // Fact Sheet #30, examples: 233.00 in a week; 580.00 in two weeks, however they fall on the two.
    ['weekly', '233.00', '15.50', 'example 1'],
    ['biweekly', '580.00', '145.00', 'example 2'],
    // 29 CFR 870.10 with the minimum wage of 7.25, the table of the fact sheet: none, what is over, 25%.
    ['weekly', '217.50', '0.00', 'table'],
    ['weekly', '217.51', '0.01', 'table'],
    ['weekly', '289.99', '72.49', 'table'],
    ['weekly', '290.00', '72.50', 'table'],
    ['biweekly', '435.00', '0.00', 'table'],
    ['biweekly', '579.99', '144.99', 'table'],
    ['semimonthly', '471.25', '0.00', 'table'],
    ['semimonthly', '628.33', '157.08', 'table'],
    ['monthly', '942.50', '0.00', 'table'],
    ['monthly', '1256.66', '314.16', 'table'],
  ])('%s, disposable %s: %s (%s)', (payFrequency, disposable, expected) => {
    // Texas lets creditors take nothing; the federal limit is shown where the state has none of its own.
    const state = runCase(
      make(
        'UT',
        { payFrequency, earnings: [{ item: 'salary', amount: disposable }] },
        {
          ...UNTAXED,
          exemptFrom: [...UNTAXED.exemptFrom, 'UT-SIT'],
          garnishments: [{ kind: 'creditor', label: 'C' }],
        },
      ),
    );
    expect(state.garnishments?.[0]?.amount ?? '0.00').toBe(expected);
    expect(taken(payFrequency, disposable)).toBe('0.00');
  });
  it.each([
    [true, false, '500.00'],
    [true, true, '550.00'],
    [false, false, '600.00'],
    [false, true, '650.00'],
  ])(
    '15 U.S.C. 1673(b)(2): support of another family %s, twelve weeks in arrears %s: %s of 1,000.00',
    (supportsOthers, inArrears, most) =>
      expect(
        runCase(
          make(
            'AK',
            { payFrequency: 'weekly', earnings: [{ item: 'salary', amount: '1000.00' }] },
            {
              ...UNTAXED,
              exemptFrom: [...UNTAXED.exemptFrom, 'AK-SUI-EE'],
              garnishments: [{ kind: 'child-support', label: 'D', amount: '900.00', supportsOthers, inArrears }],
            },
          ),
        ).garnishments?.[0]?.amount,
      ).toBe(most),
  );
});

describe('Publication 15-A, section 7, employee’s portion of taxes paid by the employer', () => {
  it('Example 1: 500.00 that a person gets in full are wages of 541.42 (500.00 ÷ 0.9235)', () => {
    const answer = runCase(
      make(
        'TX',
        { earnings: [], grossUp: { item: 'bonus', net: '500.00' } },
        { federal: { form: '2020', filingStatus: 'single', exempt: true } },
      ),
    );
    expect([answer.grossUp?.amount, answer.net]).toEqual(['541.42', '500.00']);
    const tax = (code: string) => answer.taxes.find((line) => line.code === code)?.amount;
    expect([tax('US-OASDI-EE'), tax('US-HI-EE')]).toEqual(['33.57', '7.85']);
  });
});

describe('limits of a year as published', () => {
  const atMost = (checkDate: string, code: string, wages: string): string | undefined =>
    runCase(
      make('TX', { checkDate, payFrequency: 'annually', earnings: [{ item: 'salary', amount: wages }] }),
    ).taxes.find((line) => line.code === code)?.amount;
  it.each([
    // Social Security Administration, "Fact Sheet, Social Security changes": base and the most that is withheld.
    ['2024-12-31', '168600.00', '10453.20'],
    ['2025-12-31', '176100.00', '10918.20'],
    ['2026-12-31', '184500.00', '11439.00'],
  ])('%s: OASDI stops at wages of %s, %s', (checkDate, base, most) => {
    expect(atMost(checkDate, 'US-OASDI-EE', base)).toBe(most);
    expect(atMost(checkDate, 'US-OASDI-EE', '400000.00')).toBe(most);
  });
  // Instructions for Form 940: 0.6% of the first 7,000.00.
  it('FUTA is 42.00 a person at the most', () => expect(atMost('2026-12-31', 'US-FUTA', '50000.00')).toBe('42.00'));
  // Form 8959 instructions, Questions and Answers for the Additional Medicare Tax: withheld over 200,000.00, whatever the status.
  it('of 225,000.00 the additional Medicare tax is withheld on 25,000.00', () =>
    expect(atMost('2026-12-31', 'US-HI-ADD', '225000.00')).toBe('225.00'));
  // Publication 15, section 7: 22% up to a million of supplemental wages, 37% on what is over.
  it('a bonus of 1,500,000.00 is withheld on at 22% and, over a million, 37%', () =>
    expect(
      runCase(make('TX', { earnings: [{ item: 'bonus', amount: '1500000.00' }] })).taxes.find(
        (line) => line.code === 'US-FIT',
      )?.amount,
    ).toBe(toDollars(round(times(dollars('1000000'), rate('0.22')), 'half-up')).replace('220000.00', '405000.00')));
});

describe('Publication 1494, what a levy leaves', () => {
  const left = (payFrequency: string, filingStatus: string, dependents: number, ageOrBlind = 0): string => {
    const pay = '5000.00';
    const answer = runCase(
      make(
        'TX',
        { checkDate: '2024-12-20', payFrequency, earnings: [{ item: 'salary', amount: pay }] },
        { ...UNTAXED, garnishments: [{ kind: 'federal-levy', label: 'L', filingStatus, dependents, ageOrBlind }] },
      ),
    );
    return toDollars(dollars(answer.net ?? '0'));
  };
  // The examples below the tables, worked by IRC § 6334(d) with the amounts of Revenue Procedure 2023-34 (5,050.00 a dependent).
  it.each<[string, string, number, number, string]>([
    ['weekly', 'single', 3, 0, '572.12'],
    ['weekly', 'single', 3, 1, '609.62'],
    ['biweekly', 'married-jointly', 2, 0, '1511.54'],
    ['biweekly', 'married-jointly', 2, 2, '1630.77'],
  ])('2024, %s, %s, %d dependents, %d boxes: %s', (frequency, status, dependents, boxes, expected) =>
    expect(left(frequency, status, dependents, boxes)).toBe(expected),
  );
});
