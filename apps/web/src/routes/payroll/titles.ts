import { TAXES } from '@zakat/core/tax-registry/registry';

/** Titles of the figures of a paycheck, by the names the working uses. */
export const TITLES: Readonly<Record<string, string>> = {
  gross: 'Gross pay',
  net: 'Net pay',
  other: 'Local tax and state programs',
  'employer-paid': 'Employer taxes and contributions',
  ...Object.fromEntries(TAXES.map((tax) => [tax.code, tax.label])),
};
