import { XMLParser, XMLValidator } from 'fast-xml-parser';

/** The tax agency's own reading and rules for Form 941; coded refusals name the element at fault. */
export interface Refusal {
  readonly code: string;
  readonly field: string;
  readonly message: string;
}
type Node = Record<string, unknown>;

const parser = new XMLParser({ ignoreAttributes: false, parseTagValue: false, attributeNamePrefix: '@' });
const child = (node: unknown, ...path: string[]): unknown =>
  path.reduce<unknown>(
    (current, name) => (typeof current === 'object' && current !== null ? (current as Node)[name] : undefined),
    node,
  );
const text = (node: unknown, ...path: string[]): string => {
  const value = child(node, ...path);
  return typeof value === 'string' ? value.trim() : '';
};

/** Dollars as whole cents; null when it is not an amount. */
function cents(value: string): bigint | null {
  const match = /^(-?)(\d+)\.(\d{2})$/.exec(value);
  return match ? BigInt(`${match[1] ?? ''}${match[2] ?? ''}${match[3] ?? ''}`) : null;
}
/** Half a cent up on millionths. */
const share = (base: bigint, millionths: bigint): bigint => (base * millionths + 500_000n) / 1_000_000n;

export interface Taxpayer {
  readonly ein: string;
  readonly nameControl: string;
}

/** Every refusal of a return; empty when it can be accepted. `known` is the agency's own register of taxpayers. */
export function judgeForm941(
  content: string,
  known: readonly Taxpayer[],
  today: string,
): { refusals: Refusal[]; ein: string; period: string; total: string } {
  const refusals: Refusal[] = [];
  const refuse = (code: string, field: string, message: string): void => void refusals.push({ code, field, message });
  if (XMLValidator.validate(content) !== true)
    return {
      refusals: [{ code: 'X0000-005', field: 'Return', message: 'The XML is not well formed.' }],
      ein: '',
      period: '',
      total: '',
    };
  const root = child(parser.parse(content), 'Return');
  const header = child(root, 'ReturnHeader');
  const form = child(root, 'ReturnData', 'IRS941');
  const ein = text(header, 'Filer', 'EIN');
  const period = text(header, 'TaxPeriodEndDt');
  if (!/^\d{9}$/.test(ein)) refuse('R0000-900-01', 'EIN', 'The EIN is not nine digits.');
  const taxpayer = known.find((candidate) => candidate.ein === ein);
  if (taxpayer && taxpayer.nameControl !== text(header, 'Filer', 'BusinessNameControlTxt'))
    refuse('R0000-922-01', 'BusinessNameControlTxt', 'The name control does not match the EIN in the e-file database.');
  if (
    !/^\d{5}$/.test(text(header, 'BusinessOfficerGrp', 'TaxpayerPIN')) ||
    text(header, 'BusinessOfficerGrp', 'TaxpayerPIN') === '00000'
  )
    refuse('R0000-031', 'TaxpayerPIN', 'The taxpayer PIN is missing.');
  if (!/^P\d{8}$/.test(text(header, 'PreparerPersonGrp', 'PTIN')))
    refuse('R0000-112', 'PTIN', 'The preparer PTIN is not valid.');
  if (period >= today) refuse('R0000-098', 'TaxPeriodEndDt', 'The tax period has not ended.');
  /** An amount that may be left out when it is nothing. */
  const optional = (element: string): bigint => (text(form, element) === '' ? 0n : amount(element));
  const amount = (element: string): bigint => {
    const value = cents(text(form, element));
    if (value === null) refuse('X0000-010', element, `${element} is missing or not an amount.`);
    return value ?? 0n;
  };
  const incomeTax = amount('FederalIncomeTaxWithheldAmt');
  const parts = [
    [amount('SocialSecurityTaxCashWagesAmt'), 124_000n, amount('SocialSecurityTaxAmt'), 'SocialSecurityTaxAmt'],
    [optional('TaxableSocSecTipsAmt'), 124_000n, optional('TaxOnSocialSecurityTipsAmt'), 'TaxOnSocialSecurityTipsAmt'],
    [amount('TaxableMedicareWagesTipsAmt'), 29_000n, amount('TaxOnMedicareWagesTipsAmt'), 'TaxOnMedicareWagesTipsAmt'],
    [
      amount('TaxableWagesTipsSubjAddnlMedAmt'),
      9_000n,
      amount('TaxOnWageTipsSubjAddnlMedcrAmt'),
      'TaxOnWageTipsSubjAddnlMedcrAmt',
    ],
  ] as const;
  for (const [wages, rate, tax, element] of parts)
    if (share(wages, rate) !== tax) refuse('F941-003', element, `${element} is not the wages times the rate.`);
  const sum = parts.reduce((total, part) => total + part[2], 0n);
  if (amount('TotSocialSecurityMedicareTaxAmt') !== sum)
    refuse('F941-010', 'TotSocialSecurityMedicareTaxAmt', 'Line 5e does not add up.');
  if (amount('TotalTaxBeforeAdjustmentAmt') !== incomeTax + sum)
    refuse('F941-011', 'TotalTaxBeforeAdjustmentAmt', 'Line 6 does not add up.');
  const adjustments =
    amount('CurrentQtrFractionsCentsAmt') +
    optional('CurrentQuarterSickPaymentAmt') +
    optional('CurrentQtrTipGrpTermLifeInsAdjAmt');
  const total = amount('TotalTaxAmt');
  if (total !== incomeTax + sum + adjustments) refuse('F941-012', 'TotalTaxAmt', 'Line 12 does not add up.');
  const deposits = amount('TotalTaxDepositAmt');
  if (amount('BalanceDueAmt') - amount('OverpaidAmt') !== total - deposits)
    refuse('F941-014', 'BalanceDueAmt', 'Lines 14 and 15 do not follow from lines 12 and 13.');
  const daily = child(root, 'ReturnData', 'IRS941ScheduleB', 'TaxLiabilityDay');
  if (daily !== undefined) {
    const days = (Array.isArray(daily) ? daily : [daily]) as Node[];
    const added = days.reduce((running, day) => running + (cents(String(day['#text'] ?? '')) ?? 0n), 0n);
    if (added !== total) refuse('F941-030', 'IRS941ScheduleB', 'Schedule B does not equal line 12.');
  } else if (total >= 250_000n) {
    const months = [1, 2, 3].reduce(
      (running, month) =>
        running + (cents(text(form, 'MonthlyScheduleDepositorGrp', `TaxLiabilityMonth${month}Amt`)) ?? 0n),
      0n,
    );
    if (months !== total)
      refuse('F941-031', 'MonthlyScheduleDepositorGrp', 'The monthly liabilities do not equal line 12.');
  }
  return { refusals, ein, period, total: text(form, 'TotalTaxAmt') };
}
