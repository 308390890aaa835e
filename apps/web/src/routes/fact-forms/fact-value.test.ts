import { describe, expect, it } from '@jest/globals';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { percentEcho, typedFrom, valueFrom } from './fact-value.js';

const fieldsOf = (kind: string) => EMPLOYEE_FACTS.find(kind)?.fields ?? [];

describe('what is typed in a form of a fact', () => {
  it('becomes the stored value: signs and commas fall away, cents are written out, blanks are left out', () =>
    expect(
      valueFrom(fieldsOf('federal-certificate'), {
        form: '2020',
        filingStatus: 'single',
        multipleJobs: true,
        dependentCredit: '$2,200',
        otherIncome: ' ',
        deductions: '12.5',
        exempt: false,
        exemptYear: '2026',
      }),
    ).toEqual({
      form: '2020',
      filingStatus: 'single',
      multipleJobs: true,
      dependentCredit: '2200.00',
      deductions: '12.50',
      exemptYear: 2026,
    }));
  it('a field that is not asked for is not stored, though it was typed before', () =>
    expect(
      valueFrom(fieldsOf('pay'), { basis: 'salary', rate: '20.00', amount: '50,000', frequency: 'annually' }),
    ).toEqual({ basis: 'salary', amount: '50000.00', frequency: 'annually' }));
  it('days are read as people write them, states in capital letters', () => {
    expect(valueFrom(fieldsOf('standing'), { item: 'loan', amount: '5', until: '1/31/2027' })['until']).toBe(
      '2027-01-31',
    );
    expect(valueFrom(fieldsOf('place'), { work: 'ny', residence: 'nj' })).toEqual({ work: 'NY', residence: 'NJ' });
  });
  it('what is no number stays as typed, so that the check can name it', () => {
    const value = valueFrom(fieldsOf('pay'), { basis: 'hourly', rate: 'twenty' });
    expect(value).toEqual({ basis: 'hourly', rate: 'twenty' });
    expect(EMPLOYEE_FACTS.issues('pay', value, 'value')[0]?.code).toBe('input.not-a-decimal');
  });
  it('rows come and go whole', () => {
    const place = { work: 'NY', residence: 'NJ', otherWork: [{ state: 'NJ', share: '0.4' }] };
    expect(valueFrom(fieldsOf('place'), typedFrom(fieldsOf('place'), place))).toEqual(place);
  });
  it('a stored value and its form are two ways of the same for every kind', () => {
    for (const value of [
      { label: 'A', routing: '000000123', type: 'checking', share: 'percent', percent: '40', prenote: 'waived' },
      { label: 'B', routing: '000000123', type: 'savings', share: 'rest', prenote: 'wanted' },
    ])
      expect(valueFrom(fieldsOf('bank'), typedFrom(fieldsOf('bank'), value))).toEqual(value);
  });
  it('a percentage is read back', () => {
    expect(percentEcho('2.7')).toBe('2.7% = 27.00 per 1,000');
    expect([percentEcho(''), percentEcho('x')]).toEqual([null, null]);
  });
});
