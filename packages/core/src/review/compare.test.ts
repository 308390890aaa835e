import { describe, expect, it } from '@jest/globals';
import { dollars, type Cents } from '../money/cents.js';
import { compareChecks, type ReviewedCheck } from './compare.js';

const tax = (amount: string, wages = '2512.00', subject = wages) => ({
  code: 'US-OASDI-EE',
  label: 'OASDI',
  amount: dollars(amount),
  wages: dollars(wages),
  subject: dollars(subject),
});
const check = (more: Partial<ReviewedCheck> = {}): ReviewedCheck => ({
  gross: dollars('2512.00'),
  net: dollars('1900.00'),
  earnings: [{ label: 'Regular', amount: dollars('2512.00'), hours: '80', rate: '31.40' }],
  deductions: [{ label: '401(k)', amount: dollars('100.00') }],
  taxes: [tax('155.74')],
  record: { 'W-4': 'single' },
  ...more,
});
const USUAL = ['2512.00', '2512.00', '2700.00'].map((amount) => dollars(amount));
const causes = (now: Partial<ReviewedCheck>, before: Partial<ReviewedCheck> = {}): readonly string[] =>
  compareChecks(check(now), check(before), USUAL)?.causes ?? [];

describe('a check against the one before', () => {
  it('that is the same has nothing to say', () =>
    expect(compareChecks(check(), check(), USUAL)).toEqual({
      kind: 'same',
      grossChange: 0,
      netChange: 0,
      causes: [],
      unusual: null,
      stake: 0,
    }));
  it('tells hours from rate, and both', () => {
    const regular = (hours: string, rate: string, amount: string) => ({
      earnings: [{ label: 'Regular', amount: dollars(amount), hours, rate }],
    });
    expect(causes(regular('76.5', '31.40', '2402.10'))).toEqual(['Regular hours 80 to 76.5']);
    expect(causes(regular('80', '33.00', '2640.00'))).toEqual(['Regular rate 31.40 to 33.00']);
    expect(causes(regular('40', '33.00', '1320.00'))).toEqual([
      'Regular hours 80 to 40',
      'Regular rate 31.40 to 33.00',
    ]);
  });
  it('names what is new, what is gone and what moved', () => {
    const line = (label: string, amount: string) => ({ label, amount: dollars(amount) });
    const { earnings } = check();
    expect(causes({ earnings: [...earnings, line('Bonus', '500.00')] })).toEqual(['Bonus 500.00, none last time']);
    expect(causes({}, { earnings: [...earnings, line('Overtime', '141.30')] })).toEqual([
      'no overtime, 141.30 last time',
    ]);
    expect(causes({ deductions: [line('401(k)', '150.00')] })).toEqual(['401(k) 100.00 to 150.00']);
    expect(causes({ deductions: [] })).toEqual(['no 401(k), 100.00 last time']);
    expect(causes({ earnings: [line('Salary', '3000.00')] }, { earnings: [line('Salary', '2900.00')] })).toEqual([
      'Salary 2,900.00 to 3,000.00',
    ]);
  });
  it('tells a certificate, a wage base and a rule from one another', () => {
    expect(causes({ record: { 'W-4': 'married' }, taxes: [tax('120.00')] })).toEqual(['W-4 changed']);
    expect(causes({ taxes: [tax('62.00', '1000.00', '2512.00')] })).toEqual(['OASDI: wage base reached']);
    expect(causes({ taxes: [tax('150.00')] })).toEqual([
      'OASDI 155.74 to 150.00 on the same wages: the rules or the year to date',
    ]);
  });
  it('of somebody who is not paid, or for the first time, has the whole pay at stake', () => {
    expect(compareChecks(null, check(), USUAL)).toMatchObject({ kind: 'missing', stake: dollars('2512.00') });
    expect(compareChecks(check(), null, [])).toMatchObject({ kind: 'first', grossChange: dollars('2512.00') });
    expect(compareChecks(null, null, [])).toBeNull();
  });
  it.each([
    ['3375.00', false],
    ['3375.01', true],
    ['2009.60', false],
    ['2009.59', true],
  ])('of %s is outside the usual by more than a quarter: %s', (gross, isOutside) =>
    expect(compareChecks(check({ gross: dollars(gross) }), check(), USUAL)?.unusual !== null).toBe(isOutside),
  );
  it('with less than three checks before knows no usual', () =>
    expect(compareChecks(check({ gross: dollars('9.00') }), check(), USUAL.slice(1) as Cents[])?.unusual).toBeNull());
});
