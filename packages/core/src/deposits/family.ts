import type { DepositCalendar, DepositClass } from '../jurisdictions/deposit-calendar.js';
import { findState } from '../jurisdictions/states.js';
import { US_DEPOSITS } from '../jurisdictions/us/deposits.js';
import { AGENCIES, TAXES, taxOf, type AgencyCode, type Tax, type TaxCode } from '../tax-registry/registry.js';

/** Taxes that are deposited together under one tax type of an agency. */
export interface DepositFamily {
  readonly code: string;
  readonly label: string;
  readonly agency: AgencyCode;
  /** Tax type code of a TXP record. */
  readonly taxType: string;
  /** The tax period of a payment: the quarter or the year of the return that says it. */
  readonly period: 'quarter' | 'year';
  /** When it is deposited; null: no calendar is loaded, and nobody guesses a day. */
  readonly calendar: DepositCalendar | null;
}
/** The federal return that a client's income tax, social security and Medicare taxes are reported on. */
export type FederalForm = '941' | '943' | '944' | '945' | 'schedule-h';

const CALENDARS = new Map(US_DEPOSITS.map((calendar) => [calendar.family, calendar]));
const federal = (code: string, label: string, taxType: string, period: DepositFamily['period']): DepositFamily => ({
  code,
  label,
  agency: 'IRS',
  taxType,
  period,
  calendar: CALENDARS.get(code) ?? null,
});
// Tax types are the ACH tax payment codes for federal deposits (recalled); 01101 and 13000 are the Federation of Tax
// Administrators' TXP codes for withholding and unemployment (recalled).
const FEDERAL: Readonly<Record<FederalForm, DepositFamily>> = {
  '941': federal('US-941', 'Form 941 taxes', '94105', 'quarter'),
  '943': federal('US-943', 'Form 943 taxes', '09435', 'year'),
  '944': federal('US-944', 'Form 944 taxes', '94405', 'year'),
  '945': federal('US-945', 'Form 945 taxes', '09455', 'year'),
  'schedule-h': federal('US-SCHEDULE-H', 'Schedule H taxes', '10405', 'year'),
};
const FEDERAL_UNEMPLOYMENT = federal('US-940', 'FUTA', '09405', 'year');

const STATE_FAMILIES = new Map<string, DepositFamily>();

/**
 * The deposit a tax belongs to: a federal one by the return of the client, a state's own by the agency that collects them.
 * Household employers pay federal unemployment with Schedule H too.
 */
export function familyOf(code: TaxCode, form: FederalForm = '941'): DepositFamily {
  const tax = taxOf(code);
  if (tax.level !== 'federal') return stateFamily(tax);
  return tax.kind === 'unemployment' && form !== 'schedule-h' ? FEDERAL_UNEMPLOYMENT : FEDERAL[form];
}

function stateFamily(tax: Tax): DepositFamily {
  const known = STATE_FAMILIES.get(tax.code);
  if (known) return known;
  const state = findState(tax.jurisdiction);
  if (!state) throw new RangeError(`no deposit family for ${tax.code}`);
  const { agency } = tax;
  const { income, unemployment } = state.agencies;
  const of = (code: string, label: string, taxType: string): DepositFamily => ({
    code,
    label,
    agency,
    taxType,
    period: 'quarter',
    calendar: state.deposits.find((calendar) => calendar.family === code) ?? null,
  });
  // Where one agency collects both, the contributions of employees go with the tax withheld.
  const isUnemployment = agency === unemployment.code && (agency !== income?.code || tax.payer === 'employer');
  const family = isUnemployment
    ? of(`${state.code}-SUI`, state.unemployment.label ?? `${state.name} unemployment`, '13000')
    : agency === income?.code
      ? of(`${state.code}-SIT`, `${state.name} withholding`, '01101')
      : of(agency, AGENCIES[agency]?.short ?? agency, '01100');
  STATE_FAMILIES.set(tax.code, family);
  return family;
}

const FEDERAL_AMOUNTS: Readonly<Partial<Record<Tax['kind'], string>>> = {
  'social-security': '1',
  medicare: '2',
  income: '3',
  unemployment: '1',
};

/** The type of a TXP amount for a tax: 1 social security, 2 Medicare, 3 income tax withheld (ACH credit, Form 941). */
export function amountTypeOf(code: TaxCode): string {
  const { level, kind } = taxOf(code);
  return (level === 'federal' ? FEDERAL_AMOUNTS[kind] : undefined) ?? 'T';
}

const FAMILIES = new Map(
  [...TAXES.map((tax) => familyOf(tax.code)), ...Object.values(FEDERAL)].map((family) => [family.code, family]),
);
/** Every deposit that there is, federal ones first. */
export const DEPOSIT_FAMILIES: readonly DepositFamily[] = [...FAMILIES.values()];
/** A deposit by its code in any case; null when there is none (that of a locality which a firm added has its agency's). */
export const findFamily = (code: string): DepositFamily | null => FAMILIES.get(code.toUpperCase()) ?? null;
/** The label of a family by its code, as it is stored with a remittance. */
export const familyLabel = (code: string): string => FAMILIES.get(code)?.label ?? code;

/** The deposit frequencies that an agency assigns, where it knows more than one; none otherwise. */
export function depositClassesOf(agency: string): readonly Pick<DepositClass, 'code' | 'label'>[] {
  const found = new Map<string, string>();
  for (const family of DEPOSIT_FAMILIES.filter((one) => one.agency === agency)) {
    const classes = family.calendar?.rules.at(-1)?.value.classes ?? [];
    if (classes.length > 1) for (const { code, label } of classes) found.set(code, label);
  }
  return [...found].map(([code, label]) => ({ code, label }));
}
