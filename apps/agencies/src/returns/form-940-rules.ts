import { FormReader, cents, child, list, share, text, type TypeRules } from './form-reader.js';

const QUARTERS = ['Quarter1LiabilityAmt', 'Quarter2LiabilityAmt', 'Quarter3LiabilityAmt', 'Quarter4LiabilityAmt'];
const EXEMPT = [
  'FringeBenefitsInd',
  'GroupTermLifeInsuranceInd',
  'RetirementPensionInd',
  'DependentCareInd',
  'OtherExemptPaymentsInd',
];
/** A rate like 0.012 in millionths. */
const millionths = (rate: string): bigint => {
  const [whole = '0', fraction = ''] = rate.split('.');
  return BigInt(`${whole}${fraction.padEnd(6, '0').slice(0, 6)}`);
};

/** The tax agency's own rules for Form 940 and Schedule A. */
export const judge940: TypeRules = (data) => {
  const read = new FormReader(child(data, 'IRS940'));
  const has = (element: string): boolean => text(read.form, element) !== '';
  const exempt = read.amount('ExemptWagesAmt');
  const subtotal = read.amount('TotalExemptWagesAmt');
  if (subtotal !== exempt + read.amount('WagesOverLimitAmt'))
    read.refuse('F940-006', 'TotalExemptWagesAmt', 'Line 6 does not add up.');
  if (exempt !== 0n && !EXEMPT.some(has))
    read.refuse('F940-004', 'ExemptWagesAmt', 'Line 4 has an amount, and none of its boxes is marked.');
  const taxable = read.amount('TotalTaxableWagesAmt');
  if (taxable !== read.amount('TotalWagesAmt') - subtotal)
    read.refuse('F940-007', 'TotalTaxableWagesAmt', 'Line 7 is not line 3 less line 6.');
  const before = read.amount('FUTATaxBeforeAdjustmentsAmt');
  if (before !== share(taxable, 6_000n))
    read.refuse('F940-008', 'FUTATaxBeforeAdjustmentsAmt', 'Line 8 is not line 7 times 0.006.');
  const all = read.amount('MaximumCreditAmt');
  const some = read.amount('AdjustmentsToFUTATaxAmt');
  if (all !== 0n && (some !== 0n || all !== share(taxable, 54_000n)))
    read.refuse('F940-009', 'MaximumCreditAmt', 'Line 9 is line 7 times 0.054, and line 10 is then blank.');
  const reduction = read.amount('CreditReductionAmt');
  const total = read.amount('FUTATaxAfterAdjustmentsAmt');
  if (total !== before + all + some + reduction)
    read.refuse('F940-012', 'FUTATaxAfterAdjustmentsAmt', 'Line 12 does not add up.');
  const balance = read.amount('BalanceDueAmt');
  if (balance - read.amount('OverpaymentAmt') !== total - read.amount('TotalTaxDepositedAmt'))
    read.refuse('F940-014', 'BalanceDueAmt', 'Lines 14 and 15 do not follow from lines 12 and 13.');
  judgeQuarters(read, total);
  judgeScheduleA(data, read, reduction, taxable);
  return { refusals: read.refusals, total: text(read.form, 'FUTATaxAfterAdjustmentsAmt'), balance };
};

/** Part 5 is asked of those who owe more than 500. */
function judgeQuarters(read: FormReader, total: bigint): void {
  const quarters = QUARTERS.reduce(
    (running, element) => running + (cents(text(read.form, 'QuarterlyLiabilityGrp', element)) ?? 0n),
    0n,
  );
  if (total > 50_000n && quarters !== total)
    read.refuse('F940-017', 'QuarterlyLiabilityGrp', 'Lines 16a to 16d do not equal line 12.');
  if (total <= 50_000n && quarters !== 0n)
    read.refuse('F940-016', 'QuarterlyLiabilityGrp', 'Lines 16a to 16d are only for those who owe more than 500.');
}

function judgeScheduleA(data: unknown, read: FormReader, reduction: bigint, taxable: bigint): void {
  const schedule = child(data, 'IRS940ScheduleA');
  const isAsked = text(read.form, 'MultiStateContributionInd') !== '' || reduction !== 0n;
  if (isAsked !== (schedule !== undefined)) {
    read.refuse(
      'F940-020',
      'IRS940ScheduleA',
      'Schedule A goes with several states or a credit reduction, and only then.',
    );
    return;
  }
  const rows = list(child(schedule, 'StateGrp'));
  const amount = (node: unknown, element: string): bigint => cents(text(node, element)) ?? 0n;
  for (const row of rows)
    if (
      amount(row, 'CreditReductionAmt') !==
      share(amount(row, 'FUTATaxableWagesAmt'), millionths(text(row, 'ReductionRt')))
    )
      read.refuse(
        'F940-021',
        'CreditReductionAmt',
        `Schedule A, ${text(row, 'StateAbbreviationCd')}: not the wages times the rate.`,
      );
  const added = rows.reduce((running, row) => running + amount(row, 'CreditReductionAmt'), 0n);
  if (added !== reduction) read.refuse('F940-022', 'TotalCreditReductionAmt', 'Schedule A does not equal line 11.');
  const wages = rows.reduce((running, row) => running + amount(row, 'FUTATaxableWagesAmt'), 0n);
  if (wages > taxable) read.refuse('F940-023', 'FUTATaxableWagesAmt', 'Schedule A has more wages than line 7.');
}
