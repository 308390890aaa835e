import type { WageBase } from '../taxes/registry.js';

export type EarningKind = 'regular' | 'supplemental';

interface ItemBase {
  readonly code: string;
  readonly label: string;
  /** Wage bases this item does not enter (earnings) or is taken out of (deductions); everything else is taxed. */
  readonly outOf: readonly WageBase[];
}
export interface EarningItem extends ItemBase {
  readonly list: 'earning';
  readonly kind: EarningKind;
  /** Multiplies the hourly rate. Decimal text. */
  readonly factor: string;
}
export interface DeductionItem extends ItemBase {
  readonly list: 'deduction';
  /** Form W-2 box 12 code, when the item is reported there. */
  readonly box12?: string;
}
export type PayItem = EarningItem | DeductionItem;

const earning = (code: string, label: string, kind: EarningKind = 'regular', factor = '1'): EarningItem => ({
  list: 'earning',
  code,
  label,
  kind,
  factor,
  outOf: [],
});

const INCOME_TAXES = ['US-FIT', 'NY-SIT'] as const;
const EVERY_BASE = ['US-FIT', 'US-OASDI', 'US-HI', 'US-FUTA', 'NY-SIT', 'NY-SUI', 'TX-SUI', 'FL-SUI'] as const;

export const PAY_ITEMS: readonly PayItem[] = [
  earning('regular', 'Regular'),
  earning('overtime', 'Overtime', 'regular', '1.5'),
  earning('double-time', 'Double time', 'regular', '2'),
  earning('holiday', 'Holiday'),
  earning('sick', 'Sick'),
  earning('vacation', 'Vacation'),
  earning('salary', 'Salary'),
  earning('bonus', 'Bonus', 'supplemental'),
  earning('commission', 'Commission', 'supplemental'),
  earning('severance', 'Severance', 'supplemental'),
  // Elective deferrals: wages for OASDI, HI, federal and state unemployment, not for income tax (Publication 15-B).
  { list: 'deduction', code: '401k', label: '401(k) deferral', outOf: INCOME_TAXES, box12: 'D' },
  { list: 'deduction', code: 'roth-401k', label: 'Roth 401(k)', outOf: [], box12: 'AA' },
  // Cafeteria plan: out of every base (Publication 15-B, section 1). The view of New York unemployment is recalled only.
  { list: 'deduction', code: 'section-125-health', label: 'Health, section 125', outOf: EVERY_BASE },
  { list: 'deduction', code: 'union-dues', label: 'Union dues', outOf: [] },
  { list: 'deduction', code: 'after-tax', label: 'After-tax deduction', outOf: [] },
];

const BY_CODE = new Map(PAY_ITEMS.map((item) => [item.code, item]));
export const findItem = (code: string): PayItem | null => BY_CODE.get(code) ?? null;
export const EARNING_ITEMS = PAY_ITEMS.filter((item): item is EarningItem => item.list === 'earning');
export const DEDUCTION_ITEMS = PAY_ITEMS.filter((item): item is DeductionItem => item.list === 'deduction');
