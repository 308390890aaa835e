import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { DEDUCTION_ITEMS, EARNING_ITEMS } from '../items/registry.js';
import { STATE_CODES } from '../jurisdictions/state.js';
import { dollars } from '../money/cents.js';
import { GARNISHMENT_KINDS } from '../computation/orders.js';
import { at, make, type Given } from '../testing/whole-checks.js';
import { runCase, type CaseAnswer } from './run-case.js';

/** Mostly what happens, sometimes what does not. */
const seldom = <T>(usual: readonly T[], extreme: readonly T[]) =>
  fc.oneof({ weight: 30, arbitrary: fc.constantFrom(...usual) }, { weight: 1, arbitrary: fc.constantFrom(...extreme) });
const amount = seldom(
  ['0.00', '0.01', '99.99', '640.00', '3000.00', '184500.00', '1000000.00'],
  ['99999999.99', '99999999999.99', '9999999999999.99'],
);
const decimal = seldom(['0', '0.0001', '7.25', '8', '12.5', '22.75'], ['168', '99999.9999', '999999999']);
const state = fc.constantFrom(...STATE_CODES);
const earning = fc.oneof(
  fc.record({ item: fc.constantFrom(...EARNING_ITEMS.map((item) => item.code)), amount }),
  fc.record({
    item: fc.constantFrom(...EARNING_ITEMS.map((item) => item.code)),
    hours: decimal,
    rate: decimal,
    regularRate: fc.boolean(),
  }),
  fc.record({ item: fc.constant('salary'), amount, per: fc.constantFrom('weekly', 'annually', 'daily') }),
  fc.record({ item: fc.constant('regular'), rate: decimal, days: fc.array(fc.array(decimal, { maxLength: 8 })) }),
);
const deduction = fc.oneof(
  fc.record({ item: fc.constantFrom(...DEDUCTION_ITEMS.map((item) => item.code)), amount }),
  fc.record({
    item: fc.constantFrom(...DEDUCTION_ITEMS.map((item) => item.code)),
    percent: seldom(['0', '6', '12.5'], ['100', '101']),
  }),
);
const order = fc.record({ kind: fc.constantFrom(...GARNISHMENT_KINDS), amount, fee: amount, inArrears: fc.boolean() });
const given = fc
  .record({
    work: state,
    home: state,
    payFrequency: fc.constantFrom(...PAY_FREQUENCIES),
    checkDate: seldom(['2025-02-16', '2025-07-01', '2026-01-01', '2026-12-31'], ['2024-12-31', '2031-05-05']),
    federal: fc.record({
      form: fc.constant('2020'),
      filingStatus: fc.constantFrom('single', 'married-jointly', 'head-of-household'),
      multipleJobs: fc.boolean(),
      dependentCredit: amount,
      otherIncome: amount,
      deductions: amount,
      extraWithholding: amount,
    }),
    earnings: fc.array(earning, { minLength: 1, maxLength: 4 }),
    deductions: fc.array(deduction, { maxLength: 3 }),
    garnishments: fc.array(order, { maxLength: 3 }),
    toDate: amount,
    rate: seldom(['0', '2.7', '12'], ['99']),
    grossUp: fc.oneof(
      { weight: 40, arbitrary: fc.constant(null) },
      { weight: 1, arbitrary: fc.record({ item: fc.constant('bonus'), net: amount }) },
    ),
    supplementalMethod: fc.constantFrom('flat', 'aggregate'),
    withholdingMethod: fc.constantFrom('percentage', 'wage-bracket'),
  })
  .map(
    ({ work, home, federal, garnishments, toDate, rate, supplementalMethod, withholdingMethod, ...rest }): Given => ({
      id: 'x',
      ...rest,
      employee: {
        birthDate: '1965-05-05',
        federal,
        residence: at(home),
        work: [at(work)],
        garnishments,
      },
      employer: { unemploymentRates: { [work]: rate } },
      settings: { supplementalMethod, withholdingMethod, daysInPeriod: 3 },
      yearToDate: { wages: { 'US-OASDI': toDate, 'US-HI': toDate }, supplementalWages: toDate },
    }),
  );

const sum = (amounts: readonly (string | undefined)[]): number =>
  amounts.reduce((total, text) => total + dollars((text ?? '0.00').replace('−', '-')), 0);
/** What the person pays out of the gross of a check. */
const takenFrom = (answer: CaseAnswer): number =>
  sum(answer.taxes.filter((tax) => tax.payer === 'employee').map((tax) => tax.amount)) +
  sum((answer.deductions ?? []).map((line) => line.amount)) +
  sum((answer.garnishments ?? []).flatMap((line) => [line.amount, line.fee]));

describe('whatever is typed', () => {
  it('a salary of a day that becomes more than can be written is too large', () => {
    const earnings = [{ item: 'salary', amount: '99999999999.99', per: 'daily' }];
    const answer = runCase(make('TX', { payFrequency: 'semiannually', earnings }));
    expect(answer.problems.map(({ code }) => code)).toContain('input.too-large');
  });
  it('is answered with figures that add up, or with problems that say where: nothing is thrown', () => {
    const seen = { answered: 0, refused: 0 };
    fc.assert(
      fc.property(given, fc.boolean(), (example, hasWorking) => {
        const answer = runCase(example, hasWorking);
        for (const { sentence, fix } of answer.problems)
          expect(`${sentence} ${fix}`).not.toMatch(/\{\w+\}|undefined|NaN/);
        for (const tax of answer.taxes) expect(dollars(tax.amount)).toBeGreaterThanOrEqual(0);
        if (answer.net === null || answer.gross === null) {
          seen.refused += 1;
          expect(answer.problems.some((problem) => problem.severity === 'error')).toBe(true);
          return;
        }
        seen.answered += 1;
        expect(dollars(answer.net) + takenFrom(answer)).toBe(dollars(answer.gross));
      }),
      { numRuns: 1000 },
    );
    // Neither side of it may be empty, or the test would say nothing.
    expect(Math.min(seen.answered, seen.refused)).toBeGreaterThan(50);
  });
});
