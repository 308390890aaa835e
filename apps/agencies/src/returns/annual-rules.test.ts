import { describe, expect, it } from '@jest/globals';
import { judge943, judge945 } from './annual-rules.js';

/** Wages of 10,000.00: 1,240.00 and 290.00; 800.00 of income tax. By hand from the rates of the form. */
const FORM = {
  TotSSTaxableWagesAmt: '10000.00',
  SocialSecurityTaxAmt: '1240.00',
  TotMedicareTaxableWagesAmt: '10000.00',
  MedicareTaxAmt: '290.00',
  TotalWagesSubjAddnlMedicareAmt: '0.00',
  AdditionalMedicareTaxAmt: '0.00',
  FederalIncomeTaxWithheldAmt: '800.00',
  TotalTaxBeforeAdjustmentAmt: '2330.00',
  CurrentYearAdjustmentAmt: '0.02',
  PayrollTaxCreditAmt: '0.00',
  TotalTaxAmt: '2330.02',
  TotalTaxDepositAmt: '2330.02',
  BalanceDueAmt: '0.00',
  OverpaidAmt: '0.00',
};
const codes = (change: Partial<typeof FORM> = {}): string[] =>
  judge943({ IRS943: { ...FORM, ...change } }).refusals.map(({ code }) => code);

describe('Form 943', () => {
  it('is accepted when it adds up', () => expect(codes()).toEqual([]));
  it.each([
    ['F943-003', { SocialSecurityTaxAmt: '1240.01', TotalTaxBeforeAdjustmentAmt: '2330.01', TotalTaxAmt: '2330.03' }],
    ['F943-011', { TotalTaxBeforeAdjustmentAmt: '2330.01' }],
    ['F943-012', { TotalTaxAmt: '2330.03' }],
    ['F943-014', { BalanceDueAmt: '1.00' }],
    ['X0000-010', { MedicareTaxAmt: '' }],
  ])('is refused with %s', (code, change) => expect(codes(change)).toContain(code));
  it('from 2,500.00 on the months, or the days of Form 943-A, are the total', () => {
    const more = {
      ...FORM,
      FederalIncomeTaxWithheldAmt: '1000.00',
      TotalTaxBeforeAdjustmentAmt: '2530.00',
      TotalTaxAmt: '2530.02',
      TotalTaxDepositAmt: '2530.02',
    };
    const refusals = (data: object): string[] => judge943(data).refusals.map(({ code }) => code);
    expect(refusals({ IRS943: more })).toEqual(['F943-031']);
    expect(refusals({ IRS943: { ...more, MonthlyDepositorGrp: { TaxLiabilityMonth3Amt: '2530.02' } } })).toEqual([]);
    expect(refusals({ IRS943: more, IRS943A: { TaxLiabilityDay: { '#text': '2530.02' } } })).toEqual([]);
    expect(refusals({ IRS943: more, IRS943A: { TaxLiabilityDay: { '#text': '2530.00' } } })).toEqual(['F943-030']);
  });
});

it('Form 945 adds what was withheld from pensions and as backup', () => {
  const form = {
    FederalIncomeTaxWithheldAmt: '100.00',
    BackupWithholdingAmt: '50.00',
    TotalTaxAmt: '150.00',
    TotalTaxDepositAmt: '0.00',
    BalanceDueAmt: '150.00',
    OverpaidAmt: '0.00',
  };
  expect(judge945({ IRS945: form })).toEqual({ refusals: [], total: '150.00', balance: 15_000n });
  expect(judge945({ IRS945: { ...form, TotalTaxAmt: '151.00' } }).refusals.map(({ code }) => code)).toContain(
    'F945-012',
  );
});
