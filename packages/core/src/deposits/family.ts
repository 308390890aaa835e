import type { TaxCode } from '../taxes/registry.js';
import { taxOf } from '../taxes/registry.js';

/** Taxes that are deposited together under one tax type of an agency. */
export const DEPOSIT_FAMILIES = {
  'US-941': {
    label: 'Form 941 taxes',
    taxType: '94105',
    amountTypes: { 'US-OASDI': '1', 'US-HI': '2', 'US-FIT': '3' },
  },
  'US-940': { label: 'Federal unemployment', taxType: '09405', amountTypes: { 'US-FUTA': '1' } },
  'NY-SIT': { label: 'New York withholding', taxType: '01101', amountTypes: { 'NY-SIT': 'T' } },
  'NY-SUI': { label: 'New York unemployment', taxType: '13000', amountTypes: { 'NY-SUI': 'T' } },
  'TX-SUI': { label: 'Texas unemployment', taxType: '13000', amountTypes: { 'TX-SUI': 'T' } },
  'FL-SUI': { label: 'Florida reemployment', taxType: '13000', amountTypes: { 'FL-SUI': 'T' } },
} as const satisfies Record<string, { label: string; taxType: string; amountTypes: Partial<Record<string, string>> }>;
// Tax types: 94105 and 09405 are the federal tax payment codes for deposits (recalled); 011 and 130 are the Federation
// of Tax Administrators' TXP codes for withholding and unemployment (recalled).

export type DepositFamily = keyof typeof DEPOSIT_FAMILIES;

export function familyOf(tax: TaxCode): DepositFamily {
  const { group } = taxOf(tax);
  if (group === 'US-FIT' || group === 'US-OASDI' || group === 'US-HI') return 'US-941';
  if (group === 'US-FUTA') return 'US-940';
  if (group in DEPOSIT_FAMILIES) return group as DepositFamily;
  throw new RangeError(`no deposit family for ${tax}`);
}

/** The type of a TXP amount for a tax: 1 social security, 2 Medicare, 3 income tax withheld (ACH credit, Form 941). */
export const amountTypeOf = (tax: TaxCode): string =>
  (DEPOSIT_FAMILIES[familyOf(tax)].amountTypes as Record<string, string>)[taxOf(tax).group] ?? 'T';
