import { makeDate } from '../calendar/local-date.js';
import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { type Issue, problem } from '../issues/issue.js';
import type { OwnPlaces } from '../jurisdictions/locality.js';
import type { EarningItem } from '../items/registry.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import { type Cents, ZERO } from '../money/cents.js';
import type { PaycheckInput } from '../computation/input.js';
import { EMPLOYER_KINDS, type EmployerKind, WORKER_KINDS, type WorkerKind } from '../computation/kinds.js';
import type { LeftOut } from '../computation/left-out.js';
import type { WorkClass } from '../computation/work-class.js';
import { dailyOvertimeOf } from '../paycheck/workweeks.js';
import { ownRules, readRows } from '../rules/pack.js';
import { ownPlaces, readPlaceRows } from '../rules/places.js';
import { type TaxCode, isKnownTax, isTaxCode, placeOfOwnTax } from '../tax-registry/registry.js';
import { type Kept, PLACES, RULES, kept } from './kept-parts.js';
import { NO_CERTIFICATE, readFederalCertificate, readStateCertificate } from './read-certificates.js';
import { readOwnRates, readRates } from './read-employer.js';
import {
  classNamed,
  readDeductions,
  readEarning,
  readEmployerPaid,
  readGarnishments,
  readItem,
  readLeave,
  readWorkClasses,
  type PaidEvery,
} from './read-lines.js';
import { readLocalization, readPlaces } from './read-places.js';
import { readDeductionsToDate, readOwnDeductionsToDate, readTaxes, readWages, readWithheld } from './read-to-date.js';
import { Reader, isObject } from './reader.js';

/** A case of the case file, read and checked. `input` is null when there are issues. */
export interface ReadCase {
  readonly id: string;
  readonly input: PaycheckInput | null;
  readonly grossUp: { readonly item: EarningItem; readonly net: Cents } | null;
  readonly expect: Readonly<Record<string, string>>;
  readonly issues: readonly Issue[];
}

const CASE_FIELDS = [
  'id',
  'checkDate',
  'payFrequency',
  'employee',
  'employer',
  'earnings',
  'deductions',
  'employerPaid',
  'leave',
  'settings',
  'grossUp',
  'yearToDate',
  'monthToDate',
  'withheld',
  'rules',
  'places',
  'expect',
  'source',
];

/** Stands where a date is missing, in an input that is thrown away for it. */
const NO_DATE = makeDate(2025, 1, 1);
/** What is said of the person of a case; a year case takes the same. */
export const EMPLOYEE_FIELDS = [
  'kind',
  'birthDate',
  'priorYearWages',
  'federal',
  'residence',
  'work',
  'certificates',
  'exemptFrom',
  'unemploymentState',
  'localization',
  'garnishments',
  'workClass',
];
const EMPLOYER_FIELDS = ['kind', 'employees', 'quarterlyPayroll', 'unemploymentRates', 'rates', 'workersCompensation'];
const SETTINGS_FIELDS = [
  'supplementalMethod',
  'withholdingMethod',
  'roundWithholdingToDollar',
  'daysInPeriod',
  'lastRegular',
  'overtimeOnRegularRate',
];
const TO_DATE_FIELDS = ['wages', 'supplementalWages', 'taxes', 'deductions', 'ownDeductions', 'employerPaid'];
const WORKERS = Object.keys(WORKER_KINDS);
const EMPLOYERS = Object.keys(EMPLOYER_KINDS);

const inner = (reader: Reader | null, field: string): Reader | null =>
  reader?.has(field) ? reader.object(field) : null;

type PersonPart = Pick<
  PaycheckInput,
  | 'worker'
  | 'birthDate'
  | 'priorYearWages'
  | 'federal'
  | 'work'
  | 'residenceState'
  | 'residenceLocalities'
  | 'unemploymentState'
  | 'localization'
  | 'stateCertificates'
  | 'exemptFrom'
  | 'garnishments'
> & { readonly workClass: string | null; readonly ordersLeftOut: readonly LeftOut[] };
type EmployerPart = Pick<
  PaycheckInput,
  'employerKind' | 'employees' | 'quarterlyPayroll' | 'unemploymentRates' | 'ownRates'
> & { readonly classes: readonly WorkClass[] };
type ToDatePart = Pick<
  PaycheckInput,
  | 'wagesToDate'
  | 'taxesToDate'
  | 'deductionsToDate'
  | 'ownDeductionsToDate'
  | 'employerPaidToDate'
  | 'supplementalToDate'
>;
const PERSONS = new WeakMap<object, Kept<PersonPart>>();
const EMPLOYERS_READ = new WeakMap<object, Kept<EmployerPart>>();
const TO_DATES = new WeakMap<object, Kept<ToDatePart>>();

function readPerson(value: unknown, issues: Issue[]): PersonPart {
  const employee = isObject(value) ? new Reader(value, 'employee', issues) : null;
  employee?.only(EMPLOYEE_FIELDS);
  const worker = (employee?.oneOf('kind', WORKERS, 'employee') ?? 'employee') as WorkerKind;
  if (worker === 'partner') issues.push(problem('worker.partner', 'employee.kind'));
  const places = employee ? readPlaces(employee, issues) : { work: [], residenceState: '', residenceLocalities: [] };
  const federal = employee?.object('federal');
  const certificates = inner(employee, 'certificates');
  const stateCertificates: Record<string, StateCertificate> = {};
  for (const state of certificates?.names() ?? []) {
    if (!certificates?.has(state)) continue;
    const own = certificates.object(state);
    if (own) stateCertificates[state] = readStateCertificate(state, own);
  }
  const exemptFrom = new Set<TaxCode>();
  const exempted = employee?.raw('exemptFrom') ?? [];
  for (const code of Array.isArray(exempted) ? (exempted as unknown[]) : [exempted]) {
    if (typeof code === 'string' && isTaxCode(code)) exemptFrom.add(code);
    else issues.push(problem('input.not-one-of', 'employee.exemptFrom', { value: String(code), choices: 'tax codes' }));
  }
  const ordersLeftOut: LeftOut[] = [];
  return {
    worker,
    birthDate: employee?.has('birthDate') ? employee.date('birthDate') : null,
    priorYearWages: employee?.has('priorYearWages') ? employee.amount('priorYearWages') : null,
    federal: federal ? readFederalCertificate(federal) : NO_CERTIFICATE,
    work: places.work,
    residenceState: places.residenceState,
    residenceLocalities: places.residenceLocalities,
    unemploymentState: employee?.has('unemploymentState') ? employee.text('unemploymentState') : null,
    localization: readLocalization(inner(employee, 'localization')),
    stateCertificates,
    exemptFrom,
    garnishments: readGarnishments(employee?.list('garnishments', false) ?? [], ordersLeftOut),
    ordersLeftOut,
    workClass: employee?.has('workClass') ? employee.text('workClass') : null,
  };
}

function readEmployer(value: unknown, issues: Issue[]): EmployerPart {
  const employer = isObject(value) ? new Reader(value, 'employer', issues) : null;
  employer?.only(EMPLOYER_FIELDS);
  return {
    employerKind: (employer?.oneOf('kind', EMPLOYERS, 'business') ?? 'business') as EmployerKind,
    employees: employer?.has('employees') ? employer.whole('employees') : null,
    quarterlyPayroll: employer?.has('quarterlyPayroll') ? employer.amount('quarterlyPayroll') : null,
    unemploymentRates: readRates(inner(employer, 'unemploymentRates'), issues),
    ownRates: readOwnRates(inner(employer, 'rates'), issues),
    classes: readWorkClasses(employer, issues),
  };
}

function readToDate(value: unknown, issues: Issue[]): ToDatePart {
  const toDate = isObject(value) ? new Reader(value, 'yearToDate', issues) : null;
  toDate?.only(TO_DATE_FIELDS);
  return {
    wagesToDate: readWages(inner(toDate, 'wages'), issues),
    taxesToDate: readTaxes(inner(toDate, 'taxes'), issues),
    deductionsToDate: readDeductionsToDate(inner(toDate, 'deductions'), issues),
    ownDeductionsToDate: readOwnDeductionsToDate(inner(toDate, 'ownDeductions')),
    employerPaidToDate: readOwnDeductionsToDate(inner(toDate, 'employerPaid')),
    supplementalToDate: toDate?.amount('supplementalWages') ?? ZERO,
  };
}

type SettingsPart = Pick<
  PaycheckInput,
  'daysInPeriod' | 'supplementalMethod' | 'withholdingMethod' | 'roundWithholdingToDollar' | 'lastRegular'
>;
function readSettings(
  settings: Reader | null,
  issues: Issue[],
): SettingsPart & { readonly isOvertimeOnRegularRate: boolean } {
  settings?.only(SETTINGS_FIELDS);
  const daysInPeriod = settings?.has('daysInPeriod') ? settings.whole('daysInPeriod') : 1;
  if (daysInPeriod < 1 || daysInPeriod > 366)
    issues.push(problem('input.not-whole', 'settings.daysInPeriod', { value: String(daysInPeriod) }));
  const last = inner(settings, 'lastRegular');
  last?.only(['wages', 'withheld']);
  return {
    daysInPeriod: Math.min(daysInPeriod, 366),
    supplementalMethod: settings?.oneOf('supplementalMethod', ['flat', 'aggregate'] as const, 'flat') ?? 'flat',
    withholdingMethod:
      settings?.oneOf('withholdingMethod', ['percentage', 'wage-bracket'] as const, 'percentage') ?? 'percentage',
    roundWithholdingToDollar: settings?.flag('roundWithholdingToDollar') ?? false,
    isOvertimeOnRegularRate: settings?.flag('overtimeOnRegularRate') ?? false,
    lastRegular: last ? { wages: last.amount('wages'), withheld: last.amount('withheld') } : null,
  };
}

/** A tax code is that of a rule of the product, or of a locality among these. */
export function isOfSomePlace(code: string, places: OwnPlaces | null): boolean {
  const place = isKnownTax(code) ? null : placeOfOwnTax(code);
  return place === null || (places?.get(place.state) ?? []).some((own) => own.code === place.place);
}

/** Codes made like those of a locality that no locality has, the firm's own included: they would be kept and not used. */
function codesOfNoPlace(input: PaycheckInput): Issue[] {
  const isOurs = (code: string): boolean => isOfSomePlace(code, input.places);
  const among = (codes: Iterable<string>, field: (code: string) => string): Issue[] =>
    [...codes].filter((code) => !isOurs(code)).map((code) => problem('tax.not-ours', field(code), { tax: code }));
  return [
    ...among(input.exemptFrom, () => 'employee.exemptFrom'),
    ...among(Object.keys(input.ownRates), (code) => `employer.rates.${code}`),
    ...among(Object.keys(input.wagesToDate), (code) => `yearToDate.wages.${code}`),
    ...among(Object.keys(input.taxesToDate), (code) => `yearToDate.taxes.${code}`),
    ...among(input.withheld?.keys() ?? [], (code) => `withheld.${code}`),
  ];
}

/** Reads one JSON value as a case. Never throws; everything that is wrong is in `issues`, all of it at once. */
export function readCase(value: unknown): ReadCase {
  const issues: Issue[] = [];
  if (!isObject(value))
    return { id: '', input: null, grossUp: null, expect: {}, issues: [problem('input.not-json', '')] };
  const reader = new Reader(value, '', issues);
  reader.only(CASE_FIELDS);
  const id = typeof value['id'] === 'string' ? value['id'] : '';
  const checkDate = reader.date('checkDate');
  const payFrequency = reader.oneOf('payFrequency', PAY_FREQUENCIES);
  reader.object('employee');
  for (const field of ['employer', 'yearToDate'] as const) inner(reader, field);
  const person = kept(PERSONS, value['employee'], issues, readPerson);
  const employer = kept(EMPLOYERS_READ, value['employer'], issues, readEmployer);
  const toDate = kept(TO_DATES, value['yearToDate'], issues, readToDate);
  const settings = readSettings(inner(reader, 'settings'), issues);
  const month = inner(reader, 'monthToDate');
  month?.only(['wages', 'taxes', 'deductions']);
  if (person.birthDate && checkDate && person.birthDate > checkDate)
    issues.push(problem('input.not-an-iso-date', 'employee.birthDate', { value: person.birthDate }));

  const rules = reader.has('rules')
    ? kept(RULES, value['rules'], issues, (rows, found) => ownRules(readRows(rows, 'rules', found)))
    : null;
  const state = person.work[0]?.state ?? '';
  const paid: PaidEvery = {
    isOvertimeOnRegularRate: settings.isOvertimeOnRegularRate,
    dailyRule: (hourly) => dailyOvertimeOf(state, checkDate ?? NO_DATE, hourly, rules),
    frequency: payFrequency ?? 'weekly',
    days: payFrequency === 'miscellaneous' ? settings.daysInPeriod : 1,
  };
  const earnings = reader.list('earnings', !reader.has('grossUp')).flatMap((line) => readEarning(line, issues, paid));
  const leftOut: LeftOut[] = [...person.ordersLeftOut];
  const deductions = readDeductions(reader.list('deductions', false), issues, leftOut);
  const employerPaid = readEmployerPaid(reader.list('employerPaid', false), issues, leftOut);

  const grossUpReader = reader.has('grossUp') ? reader.object('grossUp') : null;
  const grossUpItem: EarningItem | null = grossUpReader ? readItem(grossUpReader, 'earning', issues) : null;
  const grossUp = grossUpReader && grossUpItem ? { item: grossUpItem, net: grossUpReader.amount('net') } : null;
  const expect = isObject(value['expect']) ? (value['expect'] as Record<string, string>) : {};
  const input: PaycheckInput = {
    checkDate: checkDate ?? NO_DATE,
    payFrequency: paid.frequency,
    places: reader.has('places')
      ? kept(PLACES, value['places'], issues, (rows, found) => ownPlaces(readPlaceRows(rows, 'places', found)))
      : null,
    rules,
    daysInPeriod: settings.daysInPeriod,
    worker: person.worker,
    birthDate: person.birthDate,
    priorYearWages: person.priorYearWages,
    federal: person.federal,
    work: person.work,
    residenceState: person.residenceState,
    residenceLocalities: person.residenceLocalities,
    unemploymentState: person.unemploymentState,
    localization: person.localization,
    stateCertificates: person.stateCertificates,
    exemptFrom: person.exemptFrom,
    garnishments: person.garnishments,
    leave: readLeave(reader.list('leave', false), issues),
    workClass: classNamed(person.workClass, employer.classes, issues),
    employerKind: employer.employerKind,
    employees: employer.employees,
    quarterlyPayroll: employer.quarterlyPayroll,
    unemploymentRates: employer.unemploymentRates,
    ownRates: employer.ownRates,
    earnings,
    deductions,
    employerPaid,
    leftOut,
    supplementalMethod: settings.supplementalMethod,
    withholdingMethod: settings.withholdingMethod,
    roundWithholdingToDollar: settings.roundWithholdingToDollar,
    lastRegular: settings.lastRegular,
    wagesToDate: toDate.wagesToDate,
    taxesToDate: toDate.taxesToDate,
    deductionsToDate: toDate.deductionsToDate,
    ownDeductionsToDate: toDate.ownDeductionsToDate,
    employerPaidToDate: toDate.employerPaidToDate,
    supplementalToDate: toDate.supplementalToDate,
    wagesThisMonth: month?.amount('wages') ?? ZERO,
    taxesThisMonth: readTaxes(inner(month, 'taxes'), issues),
    deductionsThisMonth: readDeductionsToDate(inner(month, 'deductions'), issues),
    withheld: readWithheld(inner(reader, 'withheld'), issues),
  };
  issues.push(...codesOfNoPlace(input));
  return { id, grossUp, expect, issues, input: issues.length > 0 || !checkDate || !payFrequency ? null : input };
}
