import type { Dated } from '../jurisdictions/dated.js';
import type { StateRules } from '../jurisdictions/state.js';
import { ALL_STATES } from '../jurisdictions/states.js';
import { BENEFIT_LIMITS, ROTH_CATCH_UP } from '../jurisdictions/us/benefit-limits.js';
import { EARNINGS_FREE_OF_GARNISHMENT, FEDERAL_WAGE, LEVY_EXEMPTION } from '../jurisdictions/us/garnishment.js';
import {
  ADDITIONAL_HI,
  CREDIT_REDUCTION,
  ELECTION_MARK,
  FARM_MARK,
  FUTA,
  HI_RATE,
  HOUSEHOLD_MARK,
  OASDI_BASE,
  OASDI_RATE,
  SUPPLEMENTAL,
  UNEMPLOYMENT_MARKS,
  WAGE_BRACKETS,
  WITHHOLDING,
} from '../jurisdictions/us/parameters.js';

/** A dated parameter by the name that rule packs use. */
export interface Parameter {
  /** `US.oasdi.base`, `NJ.income`, `NY.NYC.LIT`. */
  readonly code: string;
  readonly label: string;
  readonly jurisdiction: string;
  readonly rows: readonly Dated<unknown>[];
}

const federal = (code: string, label: string, rows: readonly Dated<unknown>[]): Parameter => ({
  code: `US.${code}`,
  label,
  jurisdiction: 'US',
  rows,
});

function ofState(state: StateRules): Parameter[] {
  const { code: jurisdiction } = state;
  const own = (code: string, label: string, rows: readonly Dated<unknown>[]): Parameter => ({
    code: `${jurisdiction}.${code}`,
    label: label.includes(state.name) ? label : `${state.name}: ${label}`,
    jurisdiction,
    rows,
  });
  const { minimumWage, healthShare, creditors, overtime } = state;
  return [
    ...(state.incomeTax.kind === 'none'
      ? []
      : [
          own('income', 'income tax withholding', state.incomeTax.worksheets),
          own('supplemental', 'supplemental wages', state.incomeTax.supplemental),
        ]),
    own('unemployment.base', 'unemployment wage base', state.unemployment.base),
    ...(overtime ? [own('overtime', 'overtime by the workday', overtime)] : []),
    ...(minimumWage ? [own('minimum-wage', 'minimum wage', minimumWage)] : []),
    ...(healthShare ? [own('health-share', 'premium for health coverage, employee’s share', healthShare)] : []),
    ...(Array.isArray(creditors) ? [own('garnishment', 'what a creditor may garnish', creditors)] : []),
    ...(state.programs ?? []).map((program) => own(program.code, program.label, program.terms)),
    ...placeParameters(state, own),
  ];
}

function placeParameters(
  state: StateRules,
  own: (code: string, label: string, rows: readonly Dated<unknown>[]) => Parameter,
): Parameter[] {
  return (state.local?.places ?? []).flatMap((place) =>
    place.taxes.flatMap((tax) => [
      own(`${place.code}.${tax.code}`, tax.label, tax.terms.rows),
      ...('supplemental' in tax.terms
        ? [own(`${place.code}.${tax.code}.supplemental`, `${tax.label}, supplemental wages`, tax.terms.supplemental)]
        : []),
    ]),
  );
}

export const PARAMETERS: readonly Parameter[] = [
  federal('withholding', 'Federal income tax withholding', WITHHOLDING),
  federal('supplemental', 'Federal supplemental wage rates', SUPPLEMENTAL),
  federal('wage-brackets', 'Wage-bracket ranges', WAGE_BRACKETS),
  federal('oasdi.base', 'OASDI wage base', OASDI_BASE),
  federal('oasdi.rate', 'OASDI rate', OASDI_RATE),
  federal('hi.rate', 'HI rate', HI_RATE),
  federal('hi.additional', 'Additional Medicare tax', ADDITIONAL_HI),
  federal('futa', 'FUTA rate and base', FUTA),
  federal('futa.credit-reduction', 'FUTA credit reduction', CREDIT_REDUCTION),
  federal('futa.marks', 'Marks of federal unemployment tax', UNEMPLOYMENT_MARKS),
  federal('household', 'Household coverage mark', HOUSEHOLD_MARK),
  federal('election', 'Election worker coverage mark', ELECTION_MARK),
  federal('farm', 'Farm worker coverage mark', FARM_MARK),
  federal('limits', 'Limits on deferrals and benefits', BENEFIT_LIMITS),
  federal('roth-catch-up', 'Wages above which catch-up deferrals are Roth', ROTH_CATCH_UP),
  federal('garnishment.free', 'Earnings free of garnishment a week', EARNINGS_FREE_OF_GARNISHMENT),
  federal('minimum-wage', 'Federal minimum wage', FEDERAL_WAGE),
  federal('levy', 'Exempt from levy', LEVY_EXEMPTION),
  ...ALL_STATES.flatMap(ofState),
];
const BY_CODE = new Map(PARAMETERS.map((parameter) => [parameter.code, parameter]));
export const findParameter = (code: string): Parameter | null => BY_CODE.get(code) ?? null;
