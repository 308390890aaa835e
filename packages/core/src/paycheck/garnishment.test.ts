import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { runCase } from '../casefile/run-case.js';
import { date } from '../calendar/local-date.js';
import type { Dated } from '../jurisdictions/dated.js';
import { EARNINGS_FREE_OF_GARNISHMENT, LEVY_EXEMPTION } from '../jurisdictions/us/garnishment.js';
import { ZERO, dollars, toDollars, type Cents } from '../money/cents.js';
import { make, type Given } from '../testing/whole-checks.js';
import { garnishments } from './garnishment.js';

const pays = fc.integer({ min: 100, max: 2_000_000 }).map((cents) => toDollars(cents as Cents));

describe('orders to withhold', () => {
  const order = (pay: string, payFrequency: string, orders: Given[], state = 'TN'): string[] =>
    runCase(
      make(
        state,
        { payFrequency, earnings: [{ item: 'salary', amount: pay }] },
        { federal: { form: '2020', filingStatus: 'single', exempt: true }, garnishments: orders },
      ),
    ).garnishments?.map((line) => line.amount) ?? [];
  const disposable = (pay: string): number =>
    dollars(pay) - Math.round(dollars(pay) * 0.062) - Math.round(dollars(pay) * 0.0145);
  it('a creditor: 25% of disposable earnings, or what is over 30 times the minimum wage (15 U.S.C. § 1673; WHD Fact Sheet 30)', () => {
    expect(order('1000.00', 'weekly', [{ kind: 'creditor' }])).toEqual([
      toDollars(Math.floor(disposable('1000.00') * 0.25) as Cents),
    ]);
    expect(order('250.00', 'weekly', [{ kind: 'creditor' }])).toEqual([
      toDollars((disposable('250.00') - 21_750) as Cents),
    ]);
    expect(order('217.50', 'weekly', [{ kind: 'creditor' }])).toEqual(['0.00']);
  });
  it.each([
    [{}, 0.6],
    [{ inArrears: true }, 0.65],
    [{ supportsOthers: true }, 0.5],
    [{ supportsOthers: true, inArrears: true }, 0.55],
  ])('child support %j: at most %s of disposable earnings', (more, share) =>
    expect(order('1000.00', 'weekly', [{ kind: 'child-support', ...more }])).toEqual([
      toDollars(Math.floor(disposable('1000.00') * share + 1e-6) as Cents),
    ]),
  );
  it('support comes first, and a creditor gets only what is left of the 25%', () =>
    expect(order('1000.00', 'weekly', [{ kind: 'creditor' }, { kind: 'child-support', amount: '300.00' }])).toEqual([
      '0.00',
      '300.00',
    ]));
  it('a levy leaves what Publication 1494 exempts: 16,100 and 5,300 for each of two dependents, by the week', () =>
    // (16,100.00 + 2 × 5,300.00) ÷ 52 = 513.46
    expect(order('1000.00', 'weekly', [{ kind: 'federal-levy', filingStatus: 'single', dependents: 2 }])).toEqual([
      toDollars((disposable('1000.00') - 51_346) as Cents),
    ]));
  it('a levy counts boxes for age and blindness, and deductions made before it lower take-home pay', () => {
    // (16,100.00 + 2 × 2,050.00) ÷ 52 = 388.46; a joint return has 1,650.00 for each: (32,200.00 + 1,650.00) ÷ 52 = 650.96.
    const levy = { kind: 'federal-levy', filingStatus: 'single', ageOrBlind: 2 };
    expect(order('1000.00', 'weekly', [levy])).toEqual([toDollars((disposable('1000.00') - 38_846) as Cents)]);
    const joint = { kind: 'federal-levy', filingStatus: 'married-jointly', ageOrBlind: 1 };
    expect(order('1000.00', 'weekly', [joint])).toEqual([toDollars((disposable('1000.00') - 65_096) as Cents)]);
    const answer = runCase(
      make(
        'TN',
        {
          payFrequency: 'weekly',
          earnings: [{ item: 'salary', amount: '1000.00' }],
          deductions: [{ item: 'after-tax', amount: '100.00' }],
        },
        { federal: { form: '2020', filingStatus: 'single', exempt: true }, garnishments: [levy] },
      ),
    );
    expect(answer.garnishments?.[0]?.amount).toBe(toDollars((disposable('1000.00') - 38_846 - 10_000) as Cents));
    expect(answer.net).toBe('388.46');
  });
  it('where the state forbids it a creditor gets nothing, support still does', () =>
    expect(
      order('1000.00', 'weekly', [{ kind: 'creditor' }, { kind: 'child-support', amount: '100.00' }], 'TX'),
    ).toEqual(['0.00', '100.00']));
  it('all orders together never take more than there is', () => {
    fc.assert(
      fc.property(
        pays,
        fc.array(
          fc.constantFrom('bankruptcy', 'child-support', 'federal-levy', 'state-levy', 'student-loan', 'creditor'),
          { minLength: 1, maxLength: 6 },
        ),
        (pay, kinds) => {
          const answer = runCase(
            make(
              'TN',
              { earnings: [{ item: 'salary', amount: pay }] },
              { garnishments: kinds.map((kind) => ({ kind, fee: '2.00' })) },
            ),
          );
          return dollars(answer.net ?? '-1') >= 0;
        },
      ),
      { numRuns: 60 },
    );
  });
  it('orders of support that do not fit share what the law allows, by the amounts ordered', () => {
    // 50% of 923.50 is 461.75, for 400.00 and 200.00: two thirds and one third, the odd cent to the larger remainder.
    const shared = [
      { kind: 'child-support', amount: '400.00', supportsOthers: true },
      { kind: 'child-support', amount: '200.00', supportsOthers: true },
    ];
    expect(order('1000.00', 'weekly', shared)).toEqual(['307.83', '153.92']);
    expect(order('2000.00', 'weekly', shared)).toEqual(['400.00', '200.00']);
    expect(
      order('1000.00', 'weekly', [
        { ...shared[0], priority: 1 },
        { ...shared[1], priority: 2 },
      ]),
    ).toEqual(['400.00', '61.75']);
  });
  // The limits are recalled from the statutes named in jurisdictions/us/garnishment.ts, the wages are those of 2026.
  it.each<[string, string, string, (left: number) => number, Given?]>([
    [
      'AZ: 10%, and 60 × 15.15 a week stays free',
      'AZ',
      '1200.00',
      (left: number) => Math.min(left * 0.1, left - 90_900),
    ],
    ['CA: 40% of what is over 48 × 16.90', 'CA', '1100.00', (left: number) => (left - 81_120) * 0.4],
    ['CA: 20% at the most', 'CA', '3000.00', (left: number) => left * 0.2],
    ['DC: 25% of what is over 40 × 17.95', 'DC', '1000.00', (left: number) => (left - 71_800) * 0.25],
    ['IL: 15% of gross', 'IL', '2000.00', () => 30_000],
    ['IL: nothing up to 45 × 15.00', 'IL', '700.00', () => 0],
    ['NY: 10% of gross', 'NY', '1000.00', () => 10_000],
    ['WA: 20% of disposable earnings', 'WA', '1500.00', (left: number) => left * 0.2],
    ['VA: what is over 40 × 12.77', 'VA', '650.00', (left: number) => left - 51_080],
    ['TN: the federal 25%', 'TN', '1000.00', (left: number) => left * 0.25],
    ['MD: what is over 30 × 15.00', 'MD', '600.00', (left: number) => left - 45_000],
    ['NV: 18% up to 770 a week', 'NV', '770.00', (left: number) => left * 0.18],
    ['NV: the federal 25% above it', 'NV', '770.01', (left: number) => left * 0.25],
    ['MN: nothing up to 40 × 11.41', 'MN', '480.00', () => 0],
    ['MN: 10% up to 60 times', 'MN', '760.00', (left: number) => left * 0.1],
    ['MN: 15% up to 80 times', 'MN', '1000.00', (left: number) => left * 0.15],
    ['MN: 25% above it', 'MN', '1400.00', (left: number) => left * 0.25],
    // 5% of 23.08, 10% of as much, 20% of the rest: a month's 100.00 is 23.0769 a week.
    ['HI: by the month', 'HI', '1000.00', (left: number) => (left - 4615.385) * 0.2 + 2307.692 * 0.15],
    ['MO: 10% of a head of a family', 'MO', '1000.00', (left: number) => left * 0.1, { headOfFamily: true }],
    ['MO: the federal 25% of others', 'MO', '1000.00', (left: number) => left * 0.25],
    ['NE: 15% of a head of a family', 'NE', '1000.00', (left: number) => left * 0.15, { headOfFamily: true }],
    ['FL: nothing of a head of a family', 'FL', '1000.00', () => 0, { headOfFamily: true }],
    ['TN: 2.50 for each of 3', 'TN', '1000.00', (left: number) => left * 0.25 - 750, { dependents: 3 }],
    ['AK: what is over 473.00 a week', 'AK', '650.00', (left: number) => left - 47_300],
    [
      'AK: over 743.00 for the head of a family',
      'AK',
      '900.00',
      (left: number) => left - 74_300,
      { headOfFamily: true },
    ],
    ['AK: the federal 25% above them', 'AK', '1500.00', (left: number) => left * 0.25],
    ['OR: what is over 305.00 a week', 'OR', '420.00', (left: number) => left - 30_500],
    ['VT: the federal 25%', 'VT', '1000.00', (left: number) => left * 0.25],
    ['VT: 15% for consumer credit', 'VT', '1000.00', (left: number) => left * 0.15, { consumerCredit: true }],
    [
      'VT: over 40 × 7.25 for it',
      'VT',
      '400.00',
      (left: number) => Math.min(left * 0.15, left - 29_000),
      { consumerCredit: true },
    ],
    // 1,000.00 a week is 52,000.00 a year: 5,200.00 of it; 600.00 is 31,200.00: 1,500.00.
    ['IA: the federal 25% of a check', 'IA', '1000.00', (left: number) => left * 0.25],
    ['IA: what the year leaves of 10%', 'IA', '1000.00', () => 1000, { takenThisYear: '5190.00' }],
    ['IA: what the year leaves of 1,500.00', 'IA', '600.00', () => 100, { takenThisYear: '1499.00' }],
    ['IA: nothing more', 'IA', '600.00', () => 0, { takenThisYear: '1600.00' }],
    ['SD: 20% less 25.00 for each of 2', 'SD', '1000.00', (left: number) => left * 0.2 - 5000, { dependents: 2 }],
  ])('%s', (...[, state, pay, limit, order = {}]) => {
    const answer = runCase(
      make(
        state,
        { payFrequency: 'weekly', earnings: [{ item: 'salary', amount: pay }] },
        { garnishments: [{ kind: 'creditor', ...order }] },
      ),
    );
    const withheld = answer.taxes
      .filter((tax) => tax.payer === 'employee')
      .reduce((total, tax) => total + dollars(tax.amount), 0);
    expect(answer.garnishments?.[0]?.amount).toBe(
      toDollars(Math.floor(limit(dollars(pay) - withheld) + 1e-6) as Cents),
    );
  });
});

describe('how long the free part of a week becomes (29 CFR § 870.10)', () => {
  // 217.50 a week: 435.00, 471.25, 942.50 (WHD Fact Sheet 30).
  it.each([
    ['biweekly', '500.00', '26.75'],
    ['semimonthly', '500.00', '0.00'],
    ['monthly', '1050.00', '27.17'],
  ])('%s', (payFrequency, pay, expected) =>
    expect(
      runCase(
        make(
          'TN',
          { payFrequency, earnings: [{ item: 'salary', amount: pay }] },
          { federal: { form: '2020', filingStatus: 'single', exempt: true }, garnishments: [{ kind: 'creditor' }] },
        ),
      ).garnishments?.[0]?.amount,
    ).toBe(expected),
  );
});

describe('a limit that follows a minimum wage', () => {
  const creditor = (checkDate: string, more: Given = {}) =>
    runCase(
      make(
        'CA',
        { checkDate, payFrequency: 'weekly', earnings: [{ item: 'salary', amount: '1100.00' }], ...more },
        { garnishments: [{ kind: 'creditor' }] },
      ),
      true,
    );
  it('says in the working which wage, and where the limit comes from', () => {
    const limit = creditor('2026-06-12').working?.['garnishment 1']?.find((line) => line.label.includes('48 ×'));
    expect(limit?.parameter).toMatchObject({ value: '16.90', from: '2026-01-01', verified: false });
    expect(limit?.how).toMatch(/California Code of Civil Procedure § 706.050/);
  });
  it('is an issue where the wage of the year is not known, never a nothing', () => {
    const orders = [
      {
        kind: 'creditor' as const,
        label: 'Creditor',
        amount: null,
        priority: null,
        supportsOthers: false,
        isInArrears: false,
        levy: null,
        isHeadOfFamily: false,
        dependents: 0,
        isConsumerCredit: false,
        takenThisYear: ZERO,
        fee: ZERO,
        balance: null,
        override: null,
      },
    ];
    const setting = {
      // The federal rules of the firm's own reach into a year for which the state's wage is not there.
      rules: new Map<readonly Dated<unknown>[], readonly Dated<unknown>[]>(
        [EARNINGS_FREE_OF_GARNISHMENT, LEVY_EXEMPTION].map((own) => [
          own,
          own.map((row) => ({ ...row, until: date('2029-01-01') })),
        ]),
      ),
      checkDate: date('2028-01-14'),
      frequency: 'weekly' as const,
      gross: dollars('1100.00'),
      disposable: dollars('900.00'),
      deducted: ZERO,
    };
    const answer = garnishments(orders, { ...setting, state: 'CA' });
    expect(answer.lines).toEqual([]);
    expect(answer.issues.map((issue) => issue.code)).toEqual(['rule.none-in-force']);
    expect(garnishments(orders, { ...setting, state: 'AL' }).lines[0]?.amount).toBe(dollars('225.00'));
  });
});
