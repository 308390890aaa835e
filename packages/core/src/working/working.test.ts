import { describe, expect, it } from '@jest/globals';
import { runCase, type CaseAnswer } from '../casefile/run-case.js';
import { dollars } from '../money/cents.js';
import { at, make, type Given } from '../testing/whole-checks.js';
import type { TapeLine } from './tape.js';

const PAY = {
  earnings: [
    { item: 'regular', hours: '80', rate: '25.00' },
    { item: 'overtime', hours: '3.5', rate: '25.00' },
    { item: 'bonus', amount: '1000.00' },
  ],
  deductions: [
    { item: '401k', percent: '5' },
    { item: 'section-125-health', amount: '62.00' },
  ],
};
const working = (
  state: string,
  more: Given = {},
  employee: Given = {},
): Readonly<Record<string, readonly TapeLine[]>> =>
  runCase(make(state, { ...PAY, ...more }, employee), true).working ?? {};
const line = (lines: readonly TapeLine[] | undefined, label: string): TapeLine | undefined =>
  lines?.find((own) => own.label === label);

describe('a working says where its wages come from', () => {
  const lines = working('NJ', {}, { certificates: { NJ: { filingStatus: 'single', allowances: 0 } } });
  it('gross by hours and rates', () => {
    expect(line(lines['gross'], 'Regular')?.how).toBe('80 hours × 25.00');
    expect(line(lines['gross'], 'Overtime')?.how).toBe('3.5 hours × 25.00 × 1.5');
  });
  it('what a deferral and a cafeteria plan take out of each base (Publication 15-B)', () => {
    expect(line(lines['US-FIT'], '1a  Taxable wages this period')?.how).toBe(
      '2,000.00 Regular + 131.25 Overtime − 156.56 401(k) deferral − 62.00 Health, section 125',
    );
    expect(line(lines['US-OASDI-EE'], 'Wages in this check')?.how).toBe(
      '2,000.00 Regular + 131.25 Overtime + 1,000.00 Bonus − 62.00 Health, section 125',
    );
  });
  it('New Jersey takes health premiums as pay, and bonuses together with it', () =>
    expect(line(lines['NJ-SIT'], 'Wages of the period')?.how).toBe(
      '2,000.00 Regular + 131.25 Overtime + 1,000.00 Bonus − 156.56 401(k) deferral',
    ));
  it('a share of gross, and the limit it is held at', () => {
    expect(line(lines['deduction:401k'], 'Share of gross pay')?.how).toBe('3,131.25 × 5%');
    const held = working('TX', { yearToDate: { deductions: { '401k': '24400.00' } } })['deduction:401k'];
    expect(held?.at(-1)).toMatchObject({ value: '100.00', how: 'held at its legal yearly limit', isResult: true });
    expect(held?.at(-1)?.parameter).toMatchObject({ value: '24,500.00', verified: false });
  });
  it('a part of the pay is called one', () =>
    expect(
      line(
        working(
          'NY',
          { employer: { unemploymentRates: { NY: '4.1' } } },
          {
            residence: at('NY'),
            work: [
              { state: 'NY', share: '0.4' },
              { state: 'NJ', share: '0.6' },
            ],
            unemploymentState: 'NY',
          },
        )['NJ-SIT'],
        'Wages of the period',
      )?.how,
    ).toMatch(/^the part of this state of 2,000\.00 Regular/));
  it('the client’s own rate is called so, and an amount at its limit says it', () => {
    const own = working('NY');
    expect(own['NY-SUI']?.at(-1)?.how).toMatch(/the rate of the client’s notice$/);
    expect(own['NY-SDI']?.at(-1)).toMatchObject({
      value: '1.20',
      how: '3,131.25 × 0.5% = 15.65625, held at the limit',
    });
  });
  it('supplemental wages with the rate and its publication', () =>
    expect(line(working('NY')['NY-SIT'], 'Supplemental wages, flat rate')?.parameter).toMatchObject({
      value: '11.7%',
      verified: false,
    }));
});

describe('every line of money on a check', () => {
  const states = ['CA', 'CT', 'MD', 'MA', 'OR', 'PA', 'VT', 'WA', 'WI', 'UT', 'IN', 'AL'];
  it.each(states)('%s: the last line of a working is the amount withheld or owed', (state) => {
    const answer: CaseAnswer = runCase(make(state, PAY), true);
    expect(answer.taxes.length).toBeGreaterThan(7);
    for (const tax of answer.taxes) {
      const last = answer.working?.[tax.code]?.at(-1);
      expect([tax.code, dollars((last?.value ?? '').replace('−', '-'))]).toEqual([tax.code, dollars(tax.amount)]);
    }
  });
});
