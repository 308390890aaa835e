import { FormReader, cents, child, list, share, text, type TypeRules } from './form-reader.js';

/** Which element is the wages, which the tax on them, and the rate in millionths. */
type TaxPair = readonly [wages: string, tax: string, millionths: bigint];
interface AnnualForm {
  readonly form: '943' | '944' | '945';
  readonly pairs: readonly TaxPair[];
  /** Amounts that line "total taxes before adjustments" has besides the pairs. */
  readonly others: readonly string[];
  readonly hasAdjustments: boolean;
}

/** The tax agency's own rules for a return of a year: what is multiplied, what is added up, the months or the days. */
const rulesOf =
  ({ form, pairs, others, hasAdjustments }: AnnualForm): TypeRules =>
  (data) => {
    const read = new FormReader(child(data, `IRS${form}`));
    const refuse = (rule: string, element: string, message: string): void =>
      read.refuse(`F${form}-${rule}`, element, message);
    let before = 0n;
    for (const [wages, tax, rate] of pairs) {
      const amount = read.amount(tax);
      if (share(read.amount(wages), rate) !== amount) refuse('003', tax, `${tax} is not the wages times the rate.`);
      before += amount;
    }
    for (const other of others) before += read.amount(other);
    let total = before;
    if (hasAdjustments) {
      if (read.amount('TotalTaxBeforeAdjustmentAmt') !== before)
        refuse('011', 'TotalTaxBeforeAdjustmentAmt', 'The total before adjustments does not add up.');
      total += read.amount('CurrentYearAdjustmentAmt') - read.optional('PayrollTaxCreditAmt');
    }
    if (read.amount('TotalTaxAmt') !== total) refuse('012', 'TotalTaxAmt', 'The total taxes do not add up.');
    const balance = read.amount('BalanceDueAmt');
    if (balance - read.amount('OverpaidAmt') !== total - read.amount('TotalTaxDepositAmt'))
      refuse('014', 'BalanceDueAmt', 'The balance does not follow from the total and the deposits.');
    judgeLiability(data, read, form, total);
    return { refusals: read.refusals, total: text(read.form, 'TotalTaxAmt'), balance };
  };

function judgeLiability(data: unknown, read: FormReader, form: string, total: bigint): void {
  const schedule = child(data, form === '944' ? 'IRS945A' : `IRS${form}A`);
  const added =
    schedule === undefined
      ? Array.from({ length: 12 }, (_, index) =>
          cents(text(read.form, 'MonthlyDepositorGrp', `TaxLiabilityMonth${index + 1}Amt`)),
        )
      : list(child(schedule, 'TaxLiabilityDay')).map((day) => cents(String(day['#text'] ?? '')));
  const sum = added.reduce<bigint>((running, part) => running + (part ?? 0n), 0n);
  if (schedule !== undefined && sum !== total)
    read.refuse(`F${form}-030`, `IRS${form}A`, 'The liability by day does not equal the total taxes.');
  if (schedule === undefined && total >= 250_000n && sum !== total)
    read.refuse(`F${form}-031`, 'MonthlyDepositorGrp', 'The liability by month does not equal the total taxes.');
}

export const judge943 = rulesOf({
  form: '943',
  pairs: [
    ['TotSSTaxableWagesAmt', 'SocialSecurityTaxAmt', 124_000n],
    ['TotMedicareTaxableWagesAmt', 'MedicareTaxAmt', 29_000n],
    ['TotalWagesSubjAddnlMedicareAmt', 'AdditionalMedicareTaxAmt', 9_000n],
  ],
  others: ['FederalIncomeTaxWithheldAmt'],
  hasAdjustments: true,
});
export const judge944 = rulesOf({
  form: '944',
  pairs: [
    ['SocialSecurityTaxCashWagesAmt', 'SocialSecurityTaxAmt', 124_000n],
    ['TaxableSocSecTipsAmt', 'TaxOnSocialSecurityTipsAmt', 124_000n],
    ['TaxableMedicareWagesTipsAmt', 'TaxOnMedicareWagesTipsAmt', 29_000n],
    ['TaxableWagesTipsSubjAddnlMedAmt', 'TaxOnWageTipsSubjAddnlMedcrAmt', 9_000n],
  ],
  others: ['FederalIncomeTaxWithheldAmt'],
  hasAdjustments: true,
});
export const judge945 = rulesOf({
  form: '945',
  pairs: [],
  others: ['FederalIncomeTaxWithheldAmt', 'BackupWithholdingAmt'],
  hasAdjustments: false,
});
