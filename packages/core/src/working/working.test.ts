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

describe('an amount of a worksheet says how it came about', () => {
  const said = (state: string, label: string, pay: string, employee: Given, more: Given = {}) => {
    const lines = runCase(
      make(state, { earnings: [{ item: 'salary', amount: pay }], ...more }, employee),
      true,
    ).working;
    const found = line(lines?.[`${state}-SIT`], label);
    return [found?.value, found?.how, found?.parameter?.value];
  };
  const certificate = (state: string, own: Given): Given => ({ certificates: { [state]: own } });
  it('a number of allowances, each at the amount of the publication', () =>
    expect(said('IL', 'Line 1 allowances', '2000.00', certificate('IL', { allowances: 2 }))).toEqual([
      '−5,850.00',
      '2 × 2,925.00',
      '2,925.00 each',
    ]));
  it('a share of wages, held at the most', () =>
    // 10% of 78,000.00 is 7,800.00.
    expect(
      said('SC', 'Standard deduction, only with an allowance', '3000.00', certificate('SC', { allowances: 1 })),
    ).toEqual(['−7,500.00', '10% of 78,000.00, at most 7,500.00', '10%']));
  it('a deduction that slides, by a rate or by steps', () => {
    // 52,000.00 − 17,780.00 = 34,220.00; 12% of it is 4,106.40.
    expect(
      said('WI', 'Sliding deduction', '2000.00', certificate('WI', { filingStatus: 'single', allowances: 1 })),
    ).toEqual(['−2,595.60', '6,702.00 less 12% of what is over 17,780.00', '6,702.00']);
    expect(said('AL', 'Standard deduction', '1100.00', certificate('AL', { filingStatus: 'single' }))).toEqual([
      '−2,850.00',
      '3,000.00 less 25.00 for each full 500.00 over 25,500.00',
      '3,000.00',
    ]);
    expect(said('AL', 'Standard deduction', '900.00', certificate('AL', { filingStatus: 'single' }))).toEqual([
      '−3,000.00',
      'in full up to wages of 25,500.00',
      '3,000.00',
    ]);
  });
  it('the federal tax, up to the limit of the state', () =>
    // 78,000.00 a year: 320.38 a period, 8,329.88 a year.
    expect(
      said(
        'OR',
        'Federal tax withheld, up to the limit',
        '3000.00',
        certificate('OR', { filingStatus: 'single', allowances: 1 }),
      ),
    ).toEqual(['−8,329.88', '320.38 × 26, at most 8,750.00', '8,750.00']));
  it('what is left of the two thousand of Massachusetts', () => {
    const toDate = (wages: string): Given => ({ yearToDate: { wages: { 'US-OASDI': wages, 'US-HI': wages } } });
    const own = certificate('MA', { allowances: 1 });
    const label = 'Social security, Medicare and retirement, until 2,000 in the year';
    expect(said('MA', label, '4000.00', own, toDate('26000.00'))).toEqual([
      '−286.00',
      '11.00, which is left of the year’s limit, × 26',
      '2,000.00',
    ]);
    expect(said('MA', label, '1000.00', own)).toEqual(['−1,989.00', '76.50 × 26', '2,000.00']);
  });
});

describe('a premium by the hour', () => {
  it('says hours and dollars an hour, not a percentage', () => {
    const lines = runCase(
      make('OR', {
        payFrequency: 'weekly',
        earnings: [
          { item: 'regular', hours: '38', rate: '25.00' },
          { item: 'sick', hours: '2', rate: '25.00' },
        ],
      }),
      true,
    ).working?.['OR-WBF-EE'];
    expect(lines?.at(-1)).toMatchObject({
      value: '0.38',
      how: '38 hours × 0.01',
      parameter: { value: '0.01 an hour' },
    });
  });
});
