import { FormReader, cents, child, list, share, text, type TypeRules } from './form-reader.js';

/** The tax agency's own rules for Form 941 and Schedule B. */
export const judge941: TypeRules = (data) => {
  const read = new FormReader(child(data, 'IRS941'));
  const incomeTax = read.amount('FederalIncomeTaxWithheldAmt');
  const parts = [
    [
      read.amount('SocialSecurityTaxCashWagesAmt'),
      124_000n,
      read.amount('SocialSecurityTaxAmt'),
      'SocialSecurityTaxAmt',
    ],
    [
      read.optional('TaxableSocSecTipsAmt'),
      124_000n,
      read.optional('TaxOnSocialSecurityTipsAmt'),
      'TaxOnSocialSecurityTipsAmt',
    ],
    [
      read.amount('TaxableMedicareWagesTipsAmt'),
      29_000n,
      read.amount('TaxOnMedicareWagesTipsAmt'),
      'TaxOnMedicareWagesTipsAmt',
    ],
    [
      read.amount('TaxableWagesTipsSubjAddnlMedAmt'),
      9_000n,
      read.amount('TaxOnWageTipsSubjAddnlMedcrAmt'),
      'TaxOnWageTipsSubjAddnlMedcrAmt',
    ],
  ] as const;
  for (const [wages, rate, tax, element] of parts)
    if (share(wages, rate) !== tax) read.refuse('F941-003', element, `${element} is not the wages times the rate.`);
  const social = parts.reduce((running, part) => running + part[2], 0n);
  if (read.amount('TotSocialSecurityMedicareTaxAmt') !== social)
    read.refuse('F941-010', 'TotSocialSecurityMedicareTaxAmt', 'Line 5e does not add up.');
  const before = incomeTax + social + read.optional('TaxOnUnreportedTips3121qAmt');
  if (read.amount('TotalTaxBeforeAdjustmentAmt') !== before)
    read.refuse('F941-011', 'TotalTaxBeforeAdjustmentAmt', 'Line 6 does not add up.');
  const adjustments =
    read.amount('CurrentQtrFractionsCentsAmt') +
    read.optional('CurrentQuarterSickPaymentAmt') +
    read.optional('CurrentQtrTipGrpTermLifeInsAdjAmt');
  const total = read.amount('TotalTaxAmt');
  if (total !== before + adjustments - read.optional('PayrollTaxCreditAmt'))
    read.refuse('F941-012', 'TotalTaxAmt', 'Line 12 does not add up.');
  const deposits = read.amount('TotalTaxDepositAmt');
  const balance = read.amount('BalanceDueAmt');
  if (balance - read.amount('OverpaidAmt') !== total - deposits)
    read.refuse('F941-014', 'BalanceDueAmt', 'Lines 14 and 15 do not follow from lines 12 and 13.');
  judgeSchedules(data, read, total);
  return { refusals: read.refusals, total: text(read.form, 'TotalTaxAmt'), balance };
};

function judgeSchedules(data: unknown, read: FormReader, total: bigint): void {
  const days = list(child(data, 'IRS941ScheduleB', 'TaxLiabilityDay'));
  if (child(data, 'IRS941ScheduleB') !== undefined) {
    const added = days.reduce((running, day) => running + (cents(String(day['#text'] ?? '')) ?? 0n), 0n);
    if (added !== total) read.refuse('F941-030', 'IRS941ScheduleB', 'Schedule B does not equal line 12.');
  } else if (total >= 250_000n) {
    const months = [1, 2, 3].reduce(
      (running, month) =>
        running + (cents(text(read.form, 'MonthlyScheduleDepositorGrp', `TaxLiabilityMonth${month}Amt`)) ?? 0n),
      0n,
    );
    if (months !== total)
      read.refuse('F941-031', 'MonthlyScheduleDepositorGrp', 'The monthly liabilities do not equal line 12.');
  }
}
