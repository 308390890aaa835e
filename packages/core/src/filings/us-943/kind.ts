import { annualWageKind } from '../annual-kind.js';
import { LINES_943 } from './lines.js';

/** Form 943, Employer's Annual Federal Tax Return for Agricultural Employees, with Form 943-A. */
export const US_943 = annualWageKind({
  form: '943',
  code: 'us-943',
  title: 'Employer’s Annual Federal Tax Return for Agricultural Employees',
  lines: LINES_943,
  isTipped: false,
  // Which element of IRS943 carries which line, in the schema's order (recalled; see writeMefReturn).
  elements: [
    { element: 'AgriculturalEmployeeCnt', line: '1' },
    { element: 'TotSSTaxableWagesAmt', line: '2' },
    { element: 'SocialSecurityTaxAmt', line: '3' },
    { element: 'TotMedicareTaxableWagesAmt', line: '4' },
    { element: 'MedicareTaxAmt', line: '5' },
    { element: 'TotalWagesSubjAddnlMedicareAmt', line: '6' },
    { element: 'AdditionalMedicareTaxAmt', line: '7' },
    { element: 'FederalIncomeTaxWithheldAmt', line: '8' },
    { element: 'TotalTaxBeforeAdjustmentAmt', line: '9' },
    { element: 'CurrentYearAdjustmentAmt', line: '10' },
    { element: 'TotalTaxAfterAdjustmentAmt', line: '11' },
    { element: 'PayrollTaxCreditAmt', line: '12' },
    { element: 'TotalTaxAmt', line: '13' },
    { element: 'TotalTaxDepositAmt', line: '14' },
    { element: 'BalanceDueAmt', line: '15' },
    { element: 'OverpaidAmt', line: '16' },
  ],
  files: (form) => (form === '943' ? { is: true, why: 'It pays wages for farm work.' } : { is: false, why: '' }),
  family: 'US-943',
  days: { code: 'A', title: 'Form 943-A, liability by day' },
  amendedBy: 'Form 943-X',
});
