import { describe, expect, it } from '@jest/globals';
import { crossingsAhead } from './crossings.js';

const base = {
  id: 'x',
  payFrequency: 'monthly',
  employee: {
    federal: { form: '2020', filingStatus: 'single' },
    residence: { state: 'TX' },
    work: [{ state: 'TX', share: '1' }],
    exemptFrom: [],
  },
  employer: { unemploymentRates: { TX: '2.7' } },
  yearToDate: {
    wages: { 'US-OASDI': '160000.00', 'US-HI': '160000.00', 'US-FUTA': '160000.00', 'TX-SUI': '160000.00' },
  },
};
const entry = { earnings: [{ item: 'salary', amount: '20000.00' }], deductions: [{ item: '401k', amount: '2500.00' }] };
const dates = ['2026-09-30', '2026-10-30', '2026-11-30', '2026-12-31'];

describe('limits ahead', () => {
  // OASDI base 184,500 for 2026 (SSA, recalled); additional Medicare over 200,000 (IRC § 3102(f)(1)).
  it('says on which check each is met, and how it splits', () => {
    const found = crossingsAhead(base, entry, dates);
    const of = (figure: string) => found.find((one) => one.figure === figure);
    expect(of('US-OASDI-EE')).toMatchObject({
      checkDate: '2026-10-30',
      subject: 2_000_000,
      below: 450_000,
      what: 'stops',
    });
    expect(of('US-OASDI-ER')?.below).toBe(450_000);
    expect(found.map((one) => one.checkDate)).toEqual([...found.map((one) => one.checkDate)].sort());
  });
  it('a mark met in the middle of a check starts there', () => {
    const from170 = { ...base, yearToDate: { wages: { ...base.yearToDate.wages, 'US-HI': '170000.00' } } };
    expect(crossingsAhead(from170, entry, dates).find((one) => one.figure === 'US-HI-ADD')).toMatchObject({
      checkDate: '2026-10-30',
      below: 1_000_000,
      what: 'starts',
    });
  });
  it('a limit of law on a deferral is one of them', () => {
    const nearly = { ...base, yearToDate: { ...base.yearToDate, deductions: { '401k': '20000.00' } } };
    const crossing = crossingsAhead(nearly, entry, dates).find((one) => one.figure === 'deduction:401k');
    expect(crossing).toMatchObject({ subject: 250_000, what: 'stops' });
    expect(crossing?.checkDate).toBe('2026-10-30');
  });
  it('nobody near a limit crosses none', () =>
    expect(
      crossingsAhead(
        { ...base, yearToDate: {} },
        { earnings: [{ item: 'salary', amount: '500.00' }], deductions: [] },
        dates,
      ),
    ).toEqual([]));
  it('a check that cannot be computed ends the look ahead', () =>
    expect(crossingsAhead({ ...base, employee: {} }, entry, dates)).toEqual([]));
});
