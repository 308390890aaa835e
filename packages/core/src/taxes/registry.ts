import type { StateCode } from '../jurisdictions/state.js';

/** The one list of taxes: `<jurisdiction>-<tax>[-EE|-ER]`. */
export interface Tax {
  readonly code: TaxCode;
  readonly label: string;
  readonly payer: 'employee' | 'employer';
  /** Whose money it becomes. */
  readonly agency: AgencyCode;
  /** The wages it is computed on; wage-capped year-to-date wages are kept under this name. */
  readonly base: WageBase;
  /** Taxes that are deposited, reported and tied out together share a group. */
  readonly group: TaxGroup;
}

export type FederalTaxCode =
  'US-FIT' | 'US-OASDI-EE' | 'US-OASDI-ER' | 'US-HI-EE' | 'US-HI-ER' | 'US-HI-ADD' | 'US-FUTA';
export type TaxCode = FederalTaxCode | `${StateCode}-SIT` | `${StateCode}-SUI`;
export type WageBase = 'US-FIT' | 'US-OASDI' | 'US-HI' | 'US-FUTA' | `${StateCode}-SIT` | `${StateCode}-SUI`;
export type TaxGroup = 'US-FIT' | 'US-OASDI' | 'US-HI' | 'US-FUTA' | `${StateCode}-SIT` | `${StateCode}-SUI`;
export type AgencyCode = 'IRS' | 'NY-TAX' | 'NY-DOL' | 'TX-TWC' | 'FL-DOR';

const FEDERAL: readonly Tax[] = [
  { code: 'US-FIT', label: 'Federal income tax', payer: 'employee', agency: 'IRS', base: 'US-FIT', group: 'US-FIT' },
  {
    code: 'US-OASDI-EE',
    label: 'Social security (OASDI), employee',
    payer: 'employee',
    agency: 'IRS',
    base: 'US-OASDI',
    group: 'US-OASDI',
  },
  {
    code: 'US-OASDI-ER',
    label: 'Social security (OASDI), employer',
    payer: 'employer',
    agency: 'IRS',
    base: 'US-OASDI',
    group: 'US-OASDI',
  },
  {
    code: 'US-HI-EE',
    label: 'Medicare (HI), employee',
    payer: 'employee',
    agency: 'IRS',
    base: 'US-HI',
    group: 'US-HI',
  },
  {
    code: 'US-HI-ER',
    label: 'Medicare (HI), employer',
    payer: 'employer',
    agency: 'IRS',
    base: 'US-HI',
    group: 'US-HI',
  },
  { code: 'US-HI-ADD', label: 'Additional Medicare', payer: 'employee', agency: 'IRS', base: 'US-HI', group: 'US-HI' },
  {
    code: 'US-FUTA',
    label: 'Federal unemployment',
    payer: 'employer',
    agency: 'IRS',
    base: 'US-FUTA',
    group: 'US-FUTA',
  },
];

const STATE: readonly Tax[] = [
  {
    code: 'NY-SIT',
    label: 'New York income tax',
    payer: 'employee',
    agency: 'NY-TAX',
    base: 'NY-SIT',
    group: 'NY-SIT',
  },
  {
    code: 'NY-SUI',
    label: 'New York unemployment',
    payer: 'employer',
    agency: 'NY-DOL',
    base: 'NY-SUI',
    group: 'NY-SUI',
  },
  { code: 'TX-SUI', label: 'Texas unemployment', payer: 'employer', agency: 'TX-TWC', base: 'TX-SUI', group: 'TX-SUI' },
  {
    code: 'FL-SUI',
    label: 'Florida reemployment',
    payer: 'employer',
    agency: 'FL-DOR',
    base: 'FL-SUI',
    group: 'FL-SUI',
  },
];

export const TAXES: readonly Tax[] = [...FEDERAL, ...STATE];
const BY_CODE = new Map(TAXES.map((tax) => [tax.code, tax]));

/** The tax with this code; throws for a code that is not in the list (a programmer's error). */
export function taxOf(code: TaxCode): Tax {
  const tax = BY_CODE.get(code);
  if (!tax) throw new RangeError(`no tax ${code}`);
  return tax;
}

export const isTaxCode = (code: string): code is TaxCode => BY_CODE.has(code as TaxCode);
export const WAGE_BASES: readonly WageBase[] = [...new Set(TAXES.map((tax) => tax.base))];
export const AGENCIES: Readonly<Record<AgencyCode, { readonly name: string; readonly short: string }>> = {
  IRS: { name: 'Internal Revenue Service', short: 'IRS' },
  'NY-TAX': { name: 'New York State Department of Taxation and Finance', short: 'NY Tax' },
  'NY-DOL': { name: 'New York State Department of Labor', short: 'NY Labor' },
  'TX-TWC': { name: 'Texas Workforce Commission', short: 'TX Workforce' },
  'FL-DOR': { name: 'Florida Department of Revenue', short: 'FL Revenue' },
};
