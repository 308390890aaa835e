import { makeDate } from '../calendar/local-date.js';
import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { type Issue, problem } from '../issues/issue.js';
import type { EarningItem } from '../items/registry.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import { type Cents, ZERO } from '../money/cents.js';
import type { PaycheckInput } from '../paycheck/input.js';
import { EMPLOYER_KINDS, type EmployerKind, WORKER_KINDS, type WorkerKind } from '../paycheck/kinds.js';
import { ownRules, readRows } from '../rules/pack.js';
import { ownPlaces, readPlaceRows } from '../rules/places.js';
import { type TaxCode, isTaxCode } from '../taxes/registry.js';
import { PLACES, RULES, kept } from './kept-rows.js';
import { NO_CERTIFICATE, readFederalCertificate, readStateCertificate } from './read-certificates.js';
import { readOwnRates, readRates } from './read-employer.js';
import {
  readDeductions,
  readEarning,
  readEmployerPaid,
  readGarnishments,
  readItem,
  readLeave,
  readWorkClass,
} from './read-lines.js';
import { readLocalization, readPlaces } from './read-places.js';
import { readDeductionsToDate, readOwnDeductionsToDate, readTaxes, readWages } from './read-to-date.js';
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
  'rules',
  'places',
  'expect',
  'source',
];

/** Stands where a date is missing, in an input that is thrown away for it. */
const NO_DATE = makeDate(2025, 1, 1);
const EMPLOYEE_FIELDS = [
  'kind',
  'birthDate',
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
];
const TO_DATE_FIELDS = ['wages', 'supplementalWages', 'taxes', 'deductions', 'ownDeductions', 'employerPaid'];
const WORKERS = Object.keys(WORKER_KINDS);
const EMPLOYERS = Object.keys(EMPLOYER_KINDS);

const inner = (reader: Reader | null, field: string): Reader | null =>
  reader?.has(field) ? reader.object(field) : null;

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
  const employee = reader.object('employee');
  employee?.only(EMPLOYEE_FIELDS);
  const employer = inner(reader, 'employer');
  employer?.only(EMPLOYER_FIELDS);
  const settings = inner(reader, 'settings');
  settings?.only(SETTINGS_FIELDS);
  const toDate = inner(reader, 'yearToDate');
  toDate?.only(TO_DATE_FIELDS);
  const month = inner(reader, 'monthToDate');
  month?.only(['wages', 'taxes']);

  const worker = (employee?.oneOf('kind', WORKERS, 'employee') ?? 'employee') as WorkerKind;
  if (worker === 'partner') issues.push(problem('worker.partner', 'employee.kind'));
  const places = employee ? readPlaces(employee, issues) : { work: [], residenceState: '', residenceLocalities: [] };
  const federalReader = employee?.object('federal');
  const federal = federalReader ? readFederalCertificate(federalReader) : NO_CERTIFICATE;
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
  const birthDate = employee?.has('birthDate') ? employee.date('birthDate') : null;
  if (birthDate && checkDate && birthDate > checkDate)
    issues.push(problem('input.not-a-date', 'employee.birthDate', { value: birthDate }));
  const garnishments = readGarnishments(employee?.list('garnishments', false) ?? []);
  const daysInPeriod = settings?.has('daysInPeriod') ? settings.whole('daysInPeriod') : 1;
  if (daysInPeriod < 1 || daysInPeriod > 366)
    issues.push(problem('input.not-whole', 'settings.daysInPeriod', { value: String(daysInPeriod) }));
  const paid = {
    frequency: payFrequency ?? 'weekly',
    days: payFrequency === 'miscellaneous' ? Math.min(daysInPeriod, 366) : 1,
  };
  const earnings = reader.list('earnings', !reader.has('grossUp')).flatMap((line) => readEarning(line, issues, paid));
  const deductions = readDeductions(reader.list('deductions', false), issues);
  const employerPaid = readEmployerPaid(reader.list('employerPaid', false), issues);
  const last = inner(settings, 'lastRegular');
  last?.only(['wages', 'withheld']);

  const grossUpReader = reader.has('grossUp') ? reader.object('grossUp') : null;
  const grossUpItem: EarningItem | null = grossUpReader ? readItem(grossUpReader, 'earning', issues) : null;
  const grossUp = grossUpReader && grossUpItem ? { item: grossUpItem, net: grossUpReader.amount('net') } : null;
  const unemploymentRates = readRates(inner(employer, 'unemploymentRates'), issues);
  const ownRates = readOwnRates(inner(employer, 'rates'), issues);
  const employerKind = (employer?.oneOf('kind', EMPLOYERS, 'business') ?? 'business') as EmployerKind;
  const expect = isObject(value['expect']) ? (value['expect'] as Record<string, string>) : {};
  const base = { id, grossUp, expect, issues };
  const input: PaycheckInput = {
    checkDate: checkDate ?? NO_DATE,
    payFrequency: payFrequency ?? 'weekly',
    places: reader.has('places')
      ? kept(PLACES, value['places'], issues, (rows, found) => ownPlaces(readPlaceRows(rows, 'places', found)))
      : null,
    rules: reader.has('rules')
      ? kept(RULES, value['rules'], issues, (rows, found) => ownRules(readRows(rows, 'rules', found)))
      : null,
    daysInPeriod,
    worker,
    birthDate,
    federal,
    work: places.work,
    residenceState: places.residenceState,
    residenceLocalities: places.residenceLocalities,
    unemploymentState: employee?.has('unemploymentState') ? employee.text('unemploymentState') : null,
    localization: readLocalization(inner(employee, 'localization')),
    stateCertificates,
    exemptFrom,
    garnishments,
    leave: readLeave(reader.list('leave', false), issues),
    workClass: readWorkClass(employee, employer, issues),
    employerKind,
    employees: employer?.has('employees') ? employer.whole('employees') : null,
    quarterlyPayroll: employer?.has('quarterlyPayroll') ? employer.amount('quarterlyPayroll') : null,
    unemploymentRates,
    ownRates,
    earnings,
    deductions,
    employerPaid,
    supplementalMethod:
      settings?.oneOf('supplementalMethod', ['flat', 'aggregate'] as const, 'flat') ?? ('flat' as const),
    withholdingMethod:
      settings?.oneOf('withholdingMethod', ['percentage', 'wage-bracket'] as const, 'percentage') ??
      ('percentage' as const),
    roundWithholdingToDollar: settings?.flag('roundWithholdingToDollar') ?? false,
    lastRegular: last ? { wages: last.amount('wages'), withheld: last.amount('withheld') } : null,
    wagesToDate: readWages(inner(toDate, 'wages'), issues),
    taxesToDate: readTaxes(inner(toDate, 'taxes'), issues),
    deductionsToDate: readDeductionsToDate(inner(toDate, 'deductions'), issues),
    ownDeductionsToDate: readOwnDeductionsToDate(inner(toDate, 'ownDeductions')),
    employerPaidToDate: readOwnDeductionsToDate(inner(toDate, 'employerPaid')),
    supplementalToDate: toDate?.amount('supplementalWages') ?? ZERO,
    wagesThisMonth: month?.amount('wages') ?? ZERO,
    taxesThisMonth: readTaxes(inner(month, 'taxes'), issues),
  };
  return { ...base, input: issues.length > 0 || !checkDate || !payFrequency ? null : input };
}
