import { findState } from '../jurisdictions/states.js';
import { AGENCIES, TAXES, taxOf, type TaxCode } from '../taxes/registry.js';

/** Taxes that are deposited together under one tax type of an agency. */
export interface DepositFamily {
  readonly code: string;
  readonly label: string;
  /** Tax type code of a TXP record. */
  readonly taxType: string;
  /** Which calendar of due dates it follows. */
  readonly calendar: 'federal' | 'federal-unemployment' | 'withholding' | 'with-quarterly-report';
}
// Tax types: 94105 and 09405 are the federal tax payment codes for deposits (recalled); 011 and 130 are the Federation
// of Tax Administrators' TXP codes for withholding and unemployment (recalled).
const FORM_941: DepositFamily = { code: 'US-941', label: 'Form 941 taxes', taxType: '94105', calendar: 'federal' };
const FORM_940: DepositFamily = {
  code: 'US-940',
  label: 'Federal unemployment',
  taxType: '09405',
  calendar: 'federal-unemployment',
};

/** The deposit a tax belongs to: a state's own by the agency that collects them. */
export function familyOf(tax: TaxCode): DepositFamily {
  const { group, agency } = taxOf(tax);
  if (group === 'US-FUTA') return FORM_940;
  if (agency === 'IRS') return FORM_941;
  const state = findState(tax.slice(0, 2));
  if (!state) throw new RangeError(`no deposit family for ${tax}`);
  const { income, unemployment } = state.agencies;
  const isUnemployment =
    tax.endsWith('-SUI') ||
    (agency === unemployment.code && (agency !== income?.code || taxOf(tax).payer === 'employer'));
  if (isUnemployment)
    return {
      code: `${state.code}-SUI`,
      label: state.unemployment.label ?? `${state.name} unemployment`,
      taxType: '13000',
      calendar: 'with-quarterly-report',
    };
  if (agency === income?.code)
    return { code: `${state.code}-SIT`, label: `${state.name} withholding`, taxType: '01101', calendar: 'withholding' };
  return {
    code: agency,
    label: AGENCIES[agency]?.short ?? agency,
    taxType: '01100',
    calendar: 'with-quarterly-report',
  };
}

const FEDERAL_AMOUNTS: Readonly<Record<string, string>> = {
  'US-OASDI': '1',
  'US-HI': '2',
  'US-FIT': '3',
  'US-FUTA': '1',
};

/** The type of a TXP amount for a tax: 1 social security, 2 Medicare, 3 income tax withheld (ACH credit, Form 941). */
export const amountTypeOf = (tax: TaxCode): string => FEDERAL_AMOUNTS[taxOf(tax).group] ?? 'T';

const LABELS = new Map(TAXES.map((tax) => familyOf(tax.code)).map((family) => [family.code, family.label]));
/** The label of a family by its code, as it is stored with a remittance. */
export const familyLabel = (code: string): string => LABELS.get(code) ?? code;
