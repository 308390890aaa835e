import type { LineId } from '../../returns/form-941.js';

/**
 * Form 941 in the IRS's Modernized e-File style: which element carries which line, in the schema's order. Element names
 * are recalled from the public 94x schemas and not yet compared with them.
 */
export const FORM_941_ELEMENTS: readonly { readonly element: string; readonly line: LineId }[] = [
  { element: 'EmployeeCnt', line: '1' },
  { element: 'WagesAmt', line: '2' },
  { element: 'FederalIncomeTaxWithheldAmt', line: '3' },
  { element: 'SocialSecurityTaxCashWagesAmt', line: '5a.1' },
  { element: 'SocialSecurityTaxAmt', line: '5a.2' },
  { element: 'TaxableSocSecTipsAmt', line: '5b.1' },
  { element: 'TaxOnSocialSecurityTipsAmt', line: '5b.2' },
  { element: 'TaxableMedicareWagesTipsAmt', line: '5c.1' },
  { element: 'TaxOnMedicareWagesTipsAmt', line: '5c.2' },
  { element: 'TaxableWagesTipsSubjAddnlMedAmt', line: '5d.1' },
  { element: 'TaxOnWageTipsSubjAddnlMedcrAmt', line: '5d.2' },
  { element: 'TotSocialSecurityMedicareTaxAmt', line: '5e' },
  { element: 'TotalTaxBeforeAdjustmentAmt', line: '6' },
  { element: 'CurrentQtrFractionsCentsAmt', line: '7' },
  { element: 'CurrentQuarterSickPaymentAmt', line: '8' },
  { element: 'CurrentQtrTipGrpTermLifeInsAdjAmt', line: '9' },
  { element: 'TotalTaxAfterAdjustmentAmt', line: '10' },
  { element: 'TotalTaxAmt', line: '12' },
  { element: 'TotalTaxDepositAmt', line: '13' },
  { element: 'BalanceDueAmt', line: '14' },
  { element: 'OverpaidAmt', line: '15' },
];
