import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { findItem, type DeductionItem, type EarningItem } from '../items/registry.js';
import { employerTaxes, journalDifference, payrollJournal, taxPostings } from '../ledger/postings.js';
import { ZERO, cents, dollars, sum, toDollars, type Cents } from '../money/cents.js';
import { rate } from '../money/rate.js';
import { readCase } from '../casefile/read-case.js';
import { computePaycheck } from './compute.js';
import { convertSalary, earningAmount } from './earnings.js';
import type { Deduction, PaycheckInput } from '../computation/input.js';

const salary = findItem('salary') as EarningItem;
const deferral = findItem('401k') as DeductionItem;

const BASE = readCase({
  id: 'base',
  checkDate: '2026-06-12',
  payFrequency: 'biweekly',
  employee: { federal: { form: '2020', filingStatus: 'single' }, residence: { state: 'TX' }, work: [{ state: 'TX' }] },
  employer: { unemploymentRates: { NY: '4.1', TX: '2.7' } },
  earnings: [],
}).input as PaycheckInput;
const input = (amount: Cents, more: Partial<PaycheckInput> = {}): PaycheckInput => ({
  ...BASE,
  earnings: [{ item: salary, own: null, hours: null, rate: null, amount, isOnRegularRate: false, job: null }],
  ...more,
});
const taking = (item: DeductionItem, amount: Cents): Deduction => ({
  item,
  own: null,
  amount,
  percent: null,
  limits: { perCheck: null, perYear: null, balance: null },
  coverage: null,
  arrears: null,
  override: null,
});
const tax = (given: PaycheckInput, code: string): Cents =>
  computePaycheck(given).taxes.find((line) => line.code === code)?.amount ?? cents(-1);
const pay = fc.integer({ min: 1, max: 3_000_000 }).map((amount) => cents(amount));

describe('earnings', () => {
  // Common practice.
  it('3,190.00 a month paid weekly is 736.15, rounded once', () =>
    expect(toDollars(convertSalary(dollars('3190.00'), 'monthly', 'weekly'))).toBe('736.15'));
  it('1.5 on 14.27 gives 21.405 an hour, rounded once at the end', () => {
    const overtime = findItem('overtime') as EarningItem;
    expect(
      toDollars(
        earningAmount({
          item: overtime,
          own: null,
          hours: rate('7'),
          rate: rate('14.27'),
          amount: null,
          isOnRegularRate: false,
          job: null,
        }),
      ),
    ).toBe('149.84');
  });
});

describe('laws of a paycheck', () => {
  it('gross is net, taxes withheld and deductions, to the cent', () => {
    fc.assert(
      fc.property(pay, fc.integer({ min: 0, max: 10_000 }), (amount, deferred) => {
        const result = computePaycheck(
          input(cents(amount + 20_000), { deductions: [taking(deferral, cents(deferred))] }),
        );
        const withheld = sum(result.taxes.filter((line) => line.payer === 'employee').map((line) => line.amount));
        return result.gross === result.net + withheld + deferred;
      }),
    );
  });
  it('OASDI wages never pass the base, however the year is split, and both halves stop on the same check', () => {
    fc.assert(
      fc.property(fc.array(pay, { minLength: 1, maxLength: 30 }), (checks) => {
        let toDate = 0;
        let taxed = 0;
        for (const amount of checks) {
          const result = computePaycheck(input(amount, { wagesToDate: { 'US-OASDI': cents(toDate) } }));
          const employee = result.taxes.find((line) => line.code === 'US-OASDI-EE');
          const employer = result.taxes.find((line) => line.code === 'US-OASDI-ER');
          if (employee?.wages !== employer?.wages || employee?.amount !== employer?.amount) return false;
          taxed += employee?.wages ?? 0;
          toDate += amount;
        }
        return taxed === Math.min(toDate, dollars('184500'));
      }),
    );
  });
  it('more pay never means less federal income tax', () => {
    fc.assert(
      fc.property(
        pay,
        fc.integer({ min: 1, max: 500_000 }),
        (amount, more) => tax(input(cents(amount + more)), 'US-FIT') >= tax(input(amount), 'US-FIT'),
      ),
    );
  });
  it('additional Medicare is on the excess over 200,000 only, and the employer has none', () => {
    const result = computePaycheck(input(dollars('10000'), { wagesToDate: { 'US-HI': dollars('195000') } }));
    expect(
      result.taxes
        .filter((line) => line.code.startsWith('US-HI'))
        .map((line) => [line.code, toDollars(line.wages), toDollars(line.amount)]),
    ).toEqual([
      ['US-HI-EE', '10000.00', '145.00'],
      ['US-HI-ER', '10000.00', '145.00'],
      ['US-HI-ADD', '5000.00', '45.00'],
    ]);
  });
  it('401(k) is out of income tax wages, not out of OASDI and HI wages (Publication 15-B)', () => {
    const lines = computePaycheck(input(dollars('2000'), { deductions: [taking(deferral, dollars('100'))] })).taxes;
    expect(
      lines
        .filter((line) => ['US-FIT', 'US-OASDI-EE', 'US-HI-EE'].includes(line.code))
        .map((line) => toDollars(line.wages)),
    ).toEqual(['1900.00', '2000.00', '2000.00']);
  });
});

describe('a payroll in the ledger', () => {
  const check = (amount: string, id: string) => ({ employeeId: id, result: computePaycheck(input(dollars(amount))) });

  it('the employer’s share is on the total: three times 1,350.00 is 58.73, while the people pay 58.74', () => {
    const checks = ['a', 'b', 'c'].map((id) => check('1350.00', id));
    const employer = employerTaxes(checks);
    const medicare = employer.find((line) => line.tax === 'US-HI-ER');
    expect(toDollars(medicare?.amount ?? ZERO)).toBe('58.73');
    expect(
      toDollars(sum(checks.map(({ result }) => result.taxes.find((line) => line.code === 'US-HI-EE')?.amount ?? ZERO))),
    ).toBe('58.74');
    expect(sum([...(medicare?.shares ?? [])])).toBe(medicare?.amount);
  });
  it('the journal balances and the shares add up, whoever is paid', () => {
    fc.assert(
      fc.property(fc.array(pay, { minLength: 1, maxLength: 12 }), (amounts) => {
        const checks = amounts.map((amount, index) => ({
          employeeId: String(index),
          result: computePaycheck(input(amount)),
        }));
        const employer = employerTaxes(checks);
        const postings = taxPostings(checks, employer, date('2026-06-12'));
        const owed = sum(postings.map((line) => line.amount));
        const payable = -sum(
          payrollJournal(checks, employer)
            .filter((line) => line.account === 'taxes-payable')
            .map((line) => line.amount),
        );
        return (
          journalDifference(payrollJournal(checks, employer)) === 0 &&
          owed === payable &&
          employer.every((line) => sum([...line.shares]) === line.amount)
        );
      }),
    );
  });
});
