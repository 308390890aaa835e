import { ALL_STATES, findState } from '../jurisdictions/states.js';
import type { LocalTax, Locality } from '../jurisdictions/locality.js';
import type { Program } from '../jurisdictions/program.js';
import type { StateCode, StateRules } from '../jurisdictions/state.js';
import type { TaxKind } from '../jurisdictions/tax-kind.js';

/** The one list of taxes: `<jurisdiction>-<tax>[-EE|-ER]`. */
export interface Tax {
  readonly code: TaxCode;
  readonly label: string;
  readonly kind: TaxKind;
  /** Who levies it: the United States, a state, or a place of a state. */
  readonly level: 'federal' | 'state' | 'local';
  readonly jurisdiction: 'US' | StateCode;
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
type StateTaxCode = `${StateCode}-${string}`;
export type TaxCode = FederalTaxCode | StateTaxCode;
export type WageBase = 'US-FIT' | 'US-OASDI' | 'US-HI' | 'US-FUTA' | StateTaxCode;
export type TaxGroup = WageBase;
export type AgencyCode = 'IRS' | `${StateCode}-${string}`;

const federal = (code: FederalTaxCode, kind: TaxKind, label: string, payer: Tax['payer'], base: WageBase): Tax => ({
  code,
  label,
  kind,
  level: 'federal',
  jurisdiction: 'US',
  payer,
  agency: 'IRS',
  base,
  group: base,
});
const FEDERAL: readonly Tax[] = [
  federal('US-FIT', 'income', 'Federal income tax', 'employee', 'US-FIT'),
  federal('US-OASDI-EE', 'social-security', 'Social security (OASDI), employee', 'employee', 'US-OASDI'),
  federal('US-OASDI-ER', 'social-security', 'Social security (OASDI), employer', 'employer', 'US-OASDI'),
  federal('US-HI-EE', 'medicare', 'Medicare (HI), employee', 'employee', 'US-HI'),
  federal('US-HI-ER', 'medicare', 'Medicare (HI), employer', 'employer', 'US-HI'),
  federal('US-HI-ADD', 'medicare', 'Additional Medicare', 'employee', 'US-HI'),
  federal('US-FUTA', 'unemployment', 'FUTA', 'employer', 'US-FUTA'),
];

const codeAt = (state: StateRules, place: Locality, tax: LocalTax): StateTaxCode =>
  tax.isShared ? `${state.code}-${tax.code}` : `${state.code}-${place.code}-${tax.code}`;

/** Codes are made once: a text put together for every check would cost more than the tax. */
interface StateCodes {
  readonly sit: StateTaxCode;
  readonly sui: StateTaxCode;
  readonly programs: ReadonlyMap<Program, StateTaxCode>;
  readonly places: ReadonlyMap<Locality, ReadonlyMap<LocalTax, StateTaxCode>>;
}
const CODES: ReadonlyMap<StateRules, StateCodes> = new Map(
  ALL_STATES.map((state) => [
    state,
    {
      sit: `${state.code}-SIT`,
      sui: `${state.code}-SUI`,
      programs: new Map((state.programs ?? []).map((program) => [program, `${state.code}-${program.code}`])),
      places: new Map(
        (state.local?.places ?? []).map((place) => [
          place,
          new Map(place.taxes.map((tax) => [tax, codeAt(state, place, tax)])),
        ]),
      ),
    },
  ]),
);
function codesOf(state: StateRules): StateCodes {
  const codes = CODES.get(state);
  if (!codes) throw new RangeError(`no state ${state.code}`);
  return codes;
}
export const incomeTaxCode = (state: StateRules): StateTaxCode => codesOf(state).sit;
export const unemploymentCode = (state: StateRules): StateTaxCode => codesOf(state).sui;
export const programCode = (state: StateRules, program: Program): StateTaxCode =>
  codesOf(state).programs.get(program) ?? `${state.code}-${program.code}`;
export const localCode = (state: StateRules, place: Locality, tax: LocalTax): StateTaxCode =>
  codesOf(state).places.get(place)?.get(tax) ?? codeAt(state, place, tax);

/** Programs are told apart by payer at the end of the code; both halves are one group. */
const groupOf = (code: string): TaxGroup => code.replace(/-(EE|ER)$/, '') as TaxGroup;

function agencyOf(state: StateRules, program: Program): AgencyCode {
  const { agencies } = state;
  const chosen =
    program.agency === 'income'
      ? (agencies.income ?? agencies.unemployment).code
      : program.agency === 'unemployment'
        ? agencies.unemployment.code
        : program.agency.code;
  return chosen as AgencyCode;
}

function taxesOf(state: StateRules): Tax[] {
  const { code, agencies } = state;
  const taxes: Tax[] = [];
  const own = (
    suffix: string,
    { kind, label, payer }: Pick<Tax, 'kind' | 'label' | 'payer'>,
    agency: string,
    level: Tax['level'] = 'state',
  ): Tax => ({
    code: `${code}-${suffix}`,
    label,
    kind,
    level,
    jurisdiction: code,
    payer,
    agency: agency as AgencyCode,
    base: `${code}-${suffix}`,
    group: groupOf(`${code}-${suffix}`),
  });
  if (state.incomeTax.kind !== 'none' && agencies.income)
    taxes.push(
      own('SIT', { kind: 'income', label: `${state.name} income tax`, payer: 'employee' }, agencies.income.code),
    );
  const label = state.unemployment.label ?? `${state.name} unemployment`;
  taxes.push(own('SUI', { kind: 'unemployment', label, payer: 'employer' }, agencies.unemployment.code));
  for (const program of state.programs ?? []) taxes.push(own(program.code, program, agencyOf(state, program)));
  for (const place of state.local?.places ?? [])
    for (const tax of place.taxes) {
      const suffix = tax.isShared ? tax.code : `${place.code}-${tax.code}`;
      if (tax.isShared && taxes.some((known) => known.code === `${code}-${suffix}`)) continue;
      taxes.push(own(suffix, tax, place.agency ?? state.local?.agency ?? '', 'local'));
    }
  return taxes;
}

export const TAXES: readonly Tax[] = [...FEDERAL, ...ALL_STATES.flatMap(taxesOf)];
const BY_CODE = new Map(TAXES.map((tax) => [tax.code, tax]));

/** Codes of before a tax over several places had one code, or with a wrong district number: they stand in ledgers only. */
const RETIRED: ReadonlyMap<string, StateTaxCode> = new Map([
  ['NY-MCTD-1-MCTMT', 'NY-MCTMT'],
  ['NY-MCTD-2-MCTMT', 'NY-MCTMT'],
  ['OR-PORTLAND-SHS', 'OR-METRO-SHS'],
  ['OR-PORTLAND-PFA', 'OR-MULTNOMAH-PFA'],
  ['OR-PORTLAND-TRIMET', 'OR-TRIMET'],
  ['OR-METRO-TRIMET', 'OR-TRIMET'],
  ['OR-LANE-LTD', 'OR-LTD'],
  ['OH-SD-2503-SDIT', 'OH-SD-2501-SDIT'],
  ['OH-SD-2104-SDIT', 'OH-SD-2102-SDIT'],
]);

/** The tax with this code; throws for a code that is not in the list (a programmer's error). */
export function taxOf(code: TaxCode): Tax {
  const tax = taxNamed(code);
  if (!tax) throw new RangeError(`no tax ${code}`);
  return tax;
}
/** The same for a code that comes from outside; null when there is no such tax. */
export const taxNamed = (code: string): Tax | null => BY_CODE.get(code as TaxCode) ?? rarerTax(code);
function rarerTax(code: string): Tax | null {
  const known = RETIRED.get(code);
  return known ? (BY_CODE.get(known) ?? null) : ownLocalTax(code);
}

/** A program of a state with its tax. */
export interface ProgramTax {
  readonly program: Program;
  readonly tax: Tax;
}
const PROGRAMS: ReadonlyMap<StateRules, readonly ProgramTax[]> = new Map(
  ALL_STATES.map((state) => [
    state,
    (state.programs ?? []).map((program) => ({ program, tax: taxOf(programCode(state, program)) })),
  ]),
);
/** The programs of a state, in the order of its rules. */
export const programsOf = (state: StateRules): readonly ProgramTax[] => PROGRAMS.get(state) ?? [];

/** What of an employee's tax stands in boxes 14 or 18 to 20 of Form W-2. */
export type WageStatementPart =
  /** A local income tax, with the name of the locality (boxes 18 to 20). */
  | { readonly is: 'local'; readonly locality: string }
  /** A contribution to a state program, or a local fee (box 14). */
  | { readonly is: 'other'; readonly label: string };
const STATEMENT_PARTS: ReadonlyMap<string, WageStatementPart> = new Map(
  ALL_STATES.flatMap((state) => [
    ...(state.programs ?? [])
      .filter((program) => program.payer === 'employee')
      .map((program): [string, WageStatementPart] => [
        programCode(state, program),
        { is: 'other', label: `${state.code} ${program.code.replace(/-EE$/, '')}` },
      ]),
    ...(state.local?.places ?? []).flatMap((place) =>
      place.taxes
        .filter((tax) => tax.payer === 'employee')
        .map((tax): [string, WageStatementPart] => [
          localCode(state, place, tax),
          tax.terms.is === 'fee'
            ? { is: 'other', label: `${state.code} ${tax.code.replace(/-EE$/, '')}` }
            : { is: 'local', locality: tax.isShared ? tax.code : place.name },
        ]),
    ),
  ]),
);
/** Where an employee's tax stands on Form W-2 besides the boxes of its own; null: nowhere. */
export function statementPartOf(code: TaxCode): WageStatementPart | null {
  const tax = taxOf(code);
  const known = STATEMENT_PARTS.get(tax.code);
  const [, state = '', , kind = ''] = known ? [] : (OWN_LOCAL.exec(code) ?? []);
  const own = LOCAL_TAX_KINDS[kind];
  if (known || tax.payer !== 'employee' || !own) return known ?? null;
  return own.isFee
    ? { is: 'other', label: `${state} ${kind.replace(/-EE$/, '')}` }
    : { is: 'local', locality: tax.label.slice(0, -own.label.length - 1) };
}

interface LocalTaxKind {
  readonly label: string;
  readonly kind: TaxKind;
  readonly payer: Tax['payer'];
  /** A fixed amount for a time instead of a share of pay. */
  readonly isFee?: true;
}
/** Kinds of local tax a firm can add a place with, by the last part of the code. */
export const LOCAL_TAX_KINDS: Readonly<Record<string, LocalTaxKind>> = {
  LIT: { kind: 'income', label: 'income tax', payer: 'employee' },
  EIT: { kind: 'income', label: 'earned income tax', payer: 'employee' },
  OLF: { kind: 'occupational', label: 'occupational license fee', payer: 'employee' },
  SDIT: { kind: 'income', label: 'school district tax', payer: 'employee' },
  PET: { kind: 'payroll', label: 'payroll tax', payer: 'employer' },
  LST: { kind: 'occupational', label: 'local services tax', payer: 'employee', isFee: true },
  CSF: { kind: 'occupational', label: 'city service fee', payer: 'employee', isFee: true },
  'OPT-EE': { kind: 'occupational', label: 'occupational privilege tax, employee', payer: 'employee', isFee: true },
  'OPT-ER': { kind: 'occupational', label: 'occupational privilege tax, employer', payer: 'employer', isFee: true },
};
const OWN_LOCAL = new RegExp(`^([A-Z]{2})-([A-Z0-9-]+)-(${Object.keys(LOCAL_TAX_KINDS).join('|')})$`);
const ownLocal = new Map<string, Tax>();

/** The tax of a locality that a firm added: its code says all that the registry needs. */
function ownLocalTax(code: string): Tax | null {
  const known = ownLocal.get(code);
  if (known) return known;
  const [, state = '', place = '', kind = ''] = OWN_LOCAL.exec(code) ?? [];
  const rules = findState(state);
  const found = LOCAL_TAX_KINDS[kind];
  if (!rules || !found) return null;
  const own = code as StateTaxCode;
  const name = place.split('-').map((word) => word.charAt(0) + word.slice(1).toLowerCase());
  const agency = (rules.local?.agency ?? `${state}-LOCAL`) as AgencyCode;
  const tax: Tax = {
    code: own,
    label: `${name.join(' ')} ${found.label}`,
    kind: found.kind,
    level: 'local',
    jurisdiction: rules.code,
    payer: found.payer,
    agency,
    base: own,
    group: own,
  };
  ownLocal.set(code, tax);
  return tax;
}

/** A code of the product's rules; others may be those of a locality that a firm added. */
export const isKnownTax = (code: string): boolean => BY_CODE.has(code as TaxCode) || BASES.has(code);
/** The state and the place in the code of a locality's tax. */
export function placeOfOwnTax(code: string): { readonly state: string; readonly place: string } | null {
  const [, state = '', place = ''] = OWN_LOCAL.exec(code) ?? [];
  return state === '' ? null : { state, place };
}
export const isTaxCode = (code: string): code is TaxCode => BY_CODE.has(code as TaxCode) || ownLocalTax(code) !== null;
/** The income tax that the state itself has withheld, not that of a place in it. */
/**
 * A tax whose amount on a check may be another than is computed, for a reason: one that is settled by a return of the
 * person. Social security, Medicare and the programs of states are fixed shares of the wages.
 */
export const mayBeOverridden = ({ kind, payer }: Tax): boolean => kind === 'income' && payer === 'employee';
export const isStateIncomeTax = ({ kind, level }: Tax): boolean => kind === 'income' && level === 'state';
/** The unemployment contribution of the employer to a state. */
export const isStateUnemployment = ({ kind, level, payer }: Tax): boolean =>
  kind === 'unemployment' && level === 'state' && payer === 'employer';
/** The group of a state's own income tax; null where it has none. */
export const incomeTaxGroup = (state: string): TaxGroup | null =>
  TAXES.find((tax) => tax.jurisdiction === state && isStateIncomeTax(tax))?.group ?? null;
/** Codes of the taxes that answer a question, for a query over the ledger. */
export const codesWhere = (asks: (tax: Tax) => boolean): readonly TaxCode[] =>
  TAXES.filter(asks).map((tax) => tax.code);
export const WAGE_BASES: readonly WageBase[] = [...new Set(TAXES.map((tax) => tax.base))];
const BASES = new Set<string>(WAGE_BASES);
export const isWageBase = (name: string): name is WageBase => BASES.has(name) || ownLocalTax(name) !== null;
export interface AgencyName {
  readonly name: string;
  readonly short: string;
  /** Null: federal. */
  readonly state: StateCode | null;
}
export const AGENCIES: Readonly<Record<AgencyCode, AgencyName>> = {
  IRS: { name: 'Internal Revenue Service', short: 'IRS', state: null },
  ...Object.fromEntries(
    ALL_STATES.flatMap(({ agencies, code }) =>
      [agencies.income, agencies.unemployment, ...(agencies.others ?? [])].flatMap((agency) =>
        agency ? [[agency.code, { name: agency.name, short: agency.short, state: code }]] : [],
      ),
    ),
  ),
};

const UNEMPLOYMENT_AGENCY = new Map<string, StateCode>(
  ALL_STATES.map((state) => [state.agencies.unemployment.code, state.code]),
);
/** The state whose unemployment tax an agency collects; undefined for every other agency. */
export const unemploymentStateOf = (agency: string): StateCode | undefined => UNEMPLOYMENT_AGENCY.get(agency);

/** The name of an agency, or its code when it is not one of ours. */
export const agencyName = (code: string): string => AGENCIES[code as AgencyCode]?.name ?? code;
