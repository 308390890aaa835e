/** What a tax calls wages: each family of bases has its own view of a pay item. */
export type BaseFamily = 'income' | 'social' | 'unemployment' | 'state-income' | 'state-unemployment' | 'local';
export type EarningKind = 'regular' | 'supplemental';

interface ItemBase {
  /** Its place in the list: sets of items are looked up by it. */
  readonly index: number;
  readonly code: string;
  readonly label: string;
  /** Families of bases this item does not enter (earnings) or is taken out of (deductions); every other one taxes it. */
  readonly outOf: readonly BaseFamily[];
}
export interface EarningItem extends ItemBase {
  readonly list: 'earning';
  readonly kind: EarningKind;
  /** Multiplies the hourly rate. Decimal text. */
  readonly factor: string;
  /** Wages that are not paid with this check: a benefit in kind, or tips the person already has. */
  readonly isNoncash: boolean;
  /** Wages on which no income tax is withheld, though they are reported. */
  readonly isNotWithheldOn: boolean;
  /** Tips, whose employee tax may be left uncollected when the cash does not suffice. */
  readonly isTips: boolean;
  /** The part of the amount that counts as qualified overtime (Public Law 119-21): 1 of `of`. */
  readonly overtimePremium: { readonly part: number; readonly of: number } | null;
  /** Hours on this line are not worked (leave), so programs by hours do not count them. */
  readonly isLeave: boolean;
  /** A premium for hours that stand on another line as well, so they are not counted again. */
  readonly isOnOtherHours: boolean;
  /** Pay that is not for the hours of the week, so the regular rate leaves it out (29 U.S.C. § 207(e)). */
  readonly isOutsideRegularRate: boolean;
  readonly box12: string | null;
}
export interface DeductionItem extends ItemBase {
  readonly list: 'deduction';
  /** Form W-2 box 12 code, when the item is reported there. */
  readonly box12: string | null;
  /** Items that share a yearly limit of law. */
  readonly limit: LegalLimit | null;
}
/** Paid by the employer on top: reported or a cost, never in the net. */
export interface EmployerItem extends ItemBase {
  readonly list: 'employer';
  readonly box12: string | null;
}
export type PayItem = EarningItem | DeductionItem | EmployerItem;
export type LegalLimit = '402g' | '457b' | 'simple' | 'hsa' | 'fsa' | 'dependent-care' | 'transit' | 'parking';

// Every item of a list has every field, in one order, so that the engine sees one shape of object.
const earning = (code: string, label: string, more: Partial<EarningItem> = {}): EarningItem => ({
  list: 'earning',
  index: 0,
  code,
  label,
  kind: 'regular',
  factor: '1',
  outOf: [],
  isNoncash: false,
  isNotWithheldOn: false,
  isTips: false,
  overtimePremium: null,
  isLeave: false,
  isOnOtherHours: false,
  isOutsideRegularRate: false,
  box12: null,
  ...more,
});
const supplemental = (code: string, label: string, more: Partial<EarningItem> = {}): EarningItem =>
  earning(code, label, { kind: 'supplemental', ...more });
const leave = (code: string, label: string): EarningItem =>
  earning(code, label, { isLeave: true, isOutsideRegularRate: true });
const NOT_FOR_THE_WEEK = { isOutsideRegularRate: true } as const;
const deduction = (
  code: string,
  label: string,
  outOf: readonly BaseFamily[] = [],
  more: Partial<DeductionItem> = {},
): DeductionItem => ({
  list: 'deduction',
  index: 0,
  code,
  label,
  outOf,
  box12: null,
  limit: null,
  ...more,
});
const employer = (code: string, label: string, box12: string | null = null): EmployerItem => ({
  list: 'employer',
  index: 0,
  code,
  label,
  outOf: ['income', 'social', 'unemployment', 'state-income', 'state-unemployment', 'local'],
  box12,
});

/** Elective deferrals: wages for OASDI, HI, unemployment and most cities, not for income tax (Publication 15-B). */
const DEFERRAL: readonly BaseFamily[] = ['income', 'state-income'];
/** Cafeteria plans and qualified transport: out of every base, unless a state says otherwise (Publication 15-B). */
const EVERYTHING: readonly BaseFamily[] = [
  'income',
  'social',
  'unemployment',
  'state-income',
  'state-unemployment',
  'local',
];

const LISTED: readonly PayItem[] = [
  earning('regular', 'Regular'),
  earning('overtime', 'Overtime', { factor: '1.5', overtimePremium: { part: 1, of: 3 } }),
  earning('double-time', 'Double time', { factor: '2', overtimePremium: { part: 1, of: 4 } }),
  // Overtime that a state's law or an agreement asks for, not the federal law: its premium is not deducted (IRC § 225(c)).
  earning('overtime-not-qualified', 'Overtime, not qualified', { factor: '1.5' }),
  earning('double-time-not-qualified', 'Double time, not qualified', { factor: '2' }),
  earning('overtime-premium', 'Overtime premium', {
    factor: '0.5',
    overtimePremium: { part: 1, of: 1 },
    isOnOtherHours: true,
    isOutsideRegularRate: true,
  }),
  earning('shift', 'Shift differential', { isOnOtherHours: true }),
  leave('holiday', 'Holiday'),
  leave('sick', 'Sick'),
  leave('vacation', 'Vacation'),
  leave('pto', 'Paid time off'),
  leave('personal', 'Personal'),
  leave('bereavement', 'Bereavement'),
  leave('jury', 'Jury duty'),
  earning('salary', 'Salary'),
  earning('piece-work', 'Piece work'),
  earning('tips-paid', 'Tips paid with the check', { isTips: true, isOutsideRegularRate: true }),
  earning('tips-reported', 'Tips reported', { isTips: true, isNoncash: true, isOutsideRegularRate: true }),
  // The employer's reckoning of tips that were not reported: on the wage statement, and in no wages (IRC § 6053(c)(3)).
  earning('tips-allocated', 'Tips allocated', { isNoncash: true, outOf: EVERYTHING, isOutsideRegularRate: true }),
  supplemental('bonus', 'Bonus'),
  // In the sole discretion of the employer, and so outside the regular rate (29 CFR § 778.211).
  supplemental('discretionary-bonus', 'Bonus, discretionary', NOT_FOR_THE_WEEK),
  supplemental('commission', 'Commission'),
  supplemental('severance', 'Severance', NOT_FOR_THE_WEEK),
  supplemental('back-pay', 'Back pay', NOT_FOR_THE_WEEK),
  supplemental('award', 'Award'),
  supplemental('stock-option', 'Stock option', { ...NOT_FOR_THE_WEEK, box12: 'V' }),
  // What was deferred earlier: OASDI, HI and unemployment had it when it was earned (IRC § 3121(v)(2), § 3306(r)).
  supplemental('nonqualified-plan', 'Nonqualified plan payment', {
    ...NOT_FOR_THE_WEEK,
    outOf: ['social', 'unemployment', 'state-unemployment', 'local'],
  }),
  supplemental('vacation-payout', 'Vacation paid out', NOT_FOR_THE_WEEK),
  supplemental('moving', 'Moving expenses', NOT_FOR_THE_WEEK),
  supplemental('nonaccountable-reimbursement', 'Reimbursement, nonaccountable', NOT_FOR_THE_WEEK),
  earning('reimbursement', 'Reimbursement, accountable', { outOf: EVERYTHING }),
  // At the standard mileage rate under an accountable plan (26 CFR 1.62-2, IRC § 3121(a) through Reg. 31.3121(a)-3).
  earning('mileage', 'Mileage, accountable', { outOf: EVERYTHING }),
  // IRC § 79 and § 3121(a)(2)(C): wages for OASDI and HI, reported as income, no withholding and no unemployment tax.
  earning('group-term-life', 'Group-term life over 50,000', {
    isNoncash: true,
    isNotWithheldOn: true,
    outOf: ['unemployment', 'state-unemployment'],
    box12: 'C',
  }),
  // IRS Notice 2008-1: wages for income tax only, when paid under a plan.
  earning('shareholder-health', '2% shareholder health premium', {
    isNoncash: true,
    outOf: ['social', 'unemployment', 'state-unemployment', 'local'],
  }),
  earning('fringe-benefit', 'Taxable fringe benefit', { isNoncash: true }),
  // Pay that was not owed and is not asked back: wages of the day it is forgiven (IRC § 61(a)(11), § 3401(a)).
  earning('overpayment-forgiven', 'Overpayment forgiven', {
    kind: 'supplemental',
    isNoncash: true,
    ...NOT_FOR_THE_WEEK,
  }),
  earning('third-party-sick-pay', 'Third-party sick pay', { isNoncash: true, isNotWithheldOn: true }),
  // Income tax that the insurer withheld and deposited itself: box 2 and Form W-3 box 14, no tax of this employer.
  earning('third-party-income-tax', 'Income tax withheld by the payer of sick pay', {
    isNoncash: true,
    outOf: EVERYTHING,
    isOutsideRegularRate: true,
  }),
  earning('workers-compensation-pay', "Workers' compensation benefit", { outOf: EVERYTHING }),
  deduction('401k', '401(k) deferral', DEFERRAL, { box12: 'D', limit: '402g' }),
  deduction('catch-up-401k', '401(k) catch-up', DEFERRAL, { box12: 'D', limit: '402g' }),
  deduction('roth-401k', 'Roth 401(k)', [], { box12: 'AA', limit: '402g' }),
  deduction('403b', '403(b) deferral', DEFERRAL, { box12: 'E', limit: '402g' }),
  deduction('roth-403b', 'Roth 403(b)', [], { box12: 'BB', limit: '402g' }),
  deduction('457b', '457(b) deferral', DEFERRAL, { box12: 'G', limit: '457b' }),
  deduction('roth-457b', 'Roth 457(b)', [], { box12: 'EE', limit: '457b' }),
  deduction('simple-ira', 'SIMPLE IRA deferral', DEFERRAL, { box12: 'S', limit: 'simple' }),
  deduction('section-125-health', 'Health, section 125', EVERYTHING),
  deduction('section-125-other', 'Other benefit, section 125', EVERYTHING),
  deduction('fsa', 'Flexible spending, section 125', EVERYTHING, { limit: 'fsa' }),
  deduction('dependent-care', 'Dependent care, section 125', EVERYTHING, { limit: 'dependent-care' }),
  deduction('section-125-hsa', 'Health savings account, section 125', EVERYTHING, { box12: 'W', limit: 'hsa' }),
  deduction('hsa', 'Health savings account, section 125', EVERYTHING, { box12: 'W', limit: 'hsa' }),
  deduction('transit', 'Transit, section 132(f)', EVERYTHING, { limit: 'transit' }),
  deduction('parking', 'Parking, section 132(f)', EVERYTHING, { limit: 'parking' }),
  deduction('union-dues', 'Union dues'),
  deduction('after-tax', 'After-tax deduction'),
  deduction('charity', 'Charity'),
  deduction('loan', 'Loan repayment'),
  deduction('advance', 'Advance repaid'),
  deduction('overpayment', 'Overpayment repaid'),
  deduction('savings', 'Savings'),
  employer('match-401k', '401(k) match'),
  employer('employer-health', 'Health coverage, employer share', 'DD'),
  employer('employer-hsa', 'Health savings account, employer', 'W'),
];

export const PAY_ITEMS: readonly PayItem[] = LISTED.map((item, index) => ({ ...item, index }));

const BY_CODE = new Map(PAY_ITEMS.map((item) => [item.code, item]));
export const findItem = (code: string): PayItem | null => BY_CODE.get(code) ?? null;
export const EARNING_ITEMS = PAY_ITEMS.filter((item): item is EarningItem => item.list === 'earning');
export const DEDUCTION_ITEMS = PAY_ITEMS.filter((item): item is DeductionItem => item.list === 'deduction');
/** Given up before tax or set aside under a limit of law: by an election, which holds for every check. */
export const isElected = ({ outOf, limit }: DeductionItem): boolean => outOf.length > 0 || limit !== null;
export const EMPLOYER_ITEMS = PAY_ITEMS.filter((item): item is EmployerItem => item.list === 'employer');
