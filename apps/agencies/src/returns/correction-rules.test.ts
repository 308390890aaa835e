import { describe, expect, it } from '@jest/globals';
import { judgeCorrection } from './correction-rules.js';

const line = (id: string, corrected: string, reported: string, difference: string, tax?: string) => ({
  '@line': id,
  CorrectedAmt: corrected,
  OriginallyReportedAmt: reported,
  DifferenceAmt: difference,
  ...(tax === undefined ? {} : { TaxCorrectionAmt: tax }),
});
/** Wages of 1,000.00 less: 124.00 and 29.00 by hand. */
const FORM = {
  AdjustedEmploymentTaxReturnInd: 'X',
  ClaimInd: '',
  DiscoveredDt: '2026-08-04',
  CertificationCd: 'repaid',
  CorrectionGrp: [
    line('6', '11000.00', '12000.00', '-1000.00'),
    line('7', '1500.00', '1600.00', '-100.00', '-100.00'),
    line('8', '11000.00', '12000.00', '-1000.00', '-124.00'),
    line('12', '11000.00', '12000.00', '-1000.00', '-29.00'),
  ],
  TotalTaxCorrectionAmt: '-253.00',
  ExplanationTxt: 'Hours of another week.',
};
const codes = (change: object = {}): string[] =>
  judgeCorrection('941-X')({ IRS941X: { ...FORM, ...change } }).refusals.map(({ code }) => code);

describe('Form 941-X', () => {
  it('is accepted when its columns follow from each other', () => expect(codes()).toEqual([]));
  it('takes half of the rates where only the share of the employer is corrected', () =>
    expect(
      codes({
        CertificationCd: 'employer-share',
        CorrectionGrp: [
          line('8', '11000.00', '12000.00', '-1000.00', '-62.00'),
          line('12', '11000.00', '12000.00', '-1000.00', '-14.50'),
        ],
        TotalTaxCorrectionAmt: '-76.50',
      }),
    ).toEqual([]));
  it.each([
    [
      'F941-X-003',
      { CorrectionGrp: [line('7', '1500.00', '1600.00', '100.00', '100.00')], TotalTaxCorrectionAmt: '100.00' },
    ],
    [
      'F941-X-004',
      { CorrectionGrp: [line('8', '11000.00', '12000.00', '-1000.00', '-124.01')], TotalTaxCorrectionAmt: '-124.01' },
    ],
    ['F941-X-001', { CorrectionGrp: [line('99', '1.00', '0.00', '1.00', '1.00')], TotalTaxCorrectionAmt: '1.00' }],
    ['F941-X-027', { TotalTaxCorrectionAmt: '-252.99' }],
    ['F941-X-P1', { ClaimInd: 'X' }],
    ['F941-X-D1', { DiscoveredDt: '' }],
    ['F941-X-P2', { CertificationCd: '' }],
    ['F941-X-P4', { ExplanationTxt: '' }],
  ])('is refused with %s', (code, change) => expect(codes(change)).toContain(code));
});

describe('Form 945-X', () => {
  const judged = (change: object = {}): string[] =>
    judgeCorrection('945-X')({
      IRS945X: {
        AdjustedEmploymentTaxReturnInd: 'X',
        ClaimInd: '',
        DiscoveredDt: '2026-12-01',
        CorrectionGrp: [
          line('3', '1000.00', '900.00', '100.00', '100.00'),
          line('4', '200.00', '240.00', '-40.00', '-40.00'),
        ],
        TotalTaxCorrectionAmt: '60.00',
        ExplanationTxt: 'A Form 1099-R was left out.',
        ...change,
      },
    }).refusals.map(({ code }) => code);
  it('has two lines and no Part 2', () => expect(judged()).toEqual([]));
  it('has no other line, and adds up', () => {
    expect(
      judged({ CorrectionGrp: [line('7', '1.00', '0.00', '1.00', '1.00')], TotalTaxCorrectionAmt: '1.00' }),
    ).toContain('F945-X-001');
    expect(judged({ TotalTaxCorrectionAmt: '60.01' })).toContain('F945-X-027');
  });
});
