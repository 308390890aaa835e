import { annualWageKind } from '../annual-kind.js';
import { LINES_944 } from './lines.js';

/** Form 944, Employer's ANNUAL Federal Tax Return. */
export const US_944 = annualWageKind({
  form: '944',
  code: 'us-944',
  title: 'Employer’s ANNUAL Federal Tax Return',
  lines: LINES_944,
  isTipped: true,
  // Which element of IRS944 carries which line, in the schema's order (recalled; see writeMefReturn).
  elements: [
    { element: 'WagesAmt', line: '1' },
    { element: 'FederalIncomeTaxWithheldAmt', line: '2' },
    { element: 'SocialSecurityTaxCashWagesAmt', line: '4a.1' },
    { element: 'SocialSecurityTaxAmt', line: '4a.2' },
    { element: 'TaxableSocSecTipsAmt', line: '4b.1' },
    { element: 'TaxOnSocialSecurityTipsAmt', line: '4b.2' },
    { element: 'TaxableMedicareWagesTipsAmt', line: '4c.1' },
    { element: 'TaxOnMedicareWagesTipsAmt', line: '4c.2' },
    { element: 'TaxableWagesTipsSubjAddnlMedAmt', line: '4d.1' },
    { element: 'TaxOnWageTipsSubjAddnlMedcrAmt', line: '4d.2' },
    { element: 'TotSocialSecurityMedicareTaxAmt', line: '4e' },
    { element: 'TotalTaxBeforeAdjustmentAmt', line: '5' },
    { element: 'CurrentYearAdjustmentAmt', line: '6' },
    { element: 'TotalTaxAfterAdjustmentAmt', line: '7' },
    { element: 'PayrollTaxCreditAmt', line: '8' },
    { element: 'TotalTaxAmt', line: '9' },
    { element: 'TotalTaxDepositAmt', line: '10' },
    { element: 'BalanceDueAmt', line: '11' },
    { element: 'OverpaidAmt', line: '12' },
  ],
  files: (form) =>
    form === '944' ? { is: true, why: 'The IRS notified it to file once a year.' } : { is: false, why: '' },
  family: 'US-944',
  days: { code: 'A', title: 'Form 945-A, liability by day' },
  amendedBy: 'Form 944-X',
});
