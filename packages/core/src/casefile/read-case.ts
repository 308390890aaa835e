import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { problem, type Issue } from '../issues/issue.js';
import {
  PAY_ITEMS,
  findItem,
  type PayItem,
  type DeductionItem,
  type EarningItem,
  type EmployerItem,
} from '../items/registry.js';
import type { OwnRules } from '../jurisdictions/dated.js';
import type { OwnPlaces } from '../jurisdictions/locality.js';
import { findState } from '../jurisdictions/states.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import { leaveHours, type LeavePlan } from '../leave/accrual.js';
import { ZERO, type Cents } from '../money/cents.js';
import { rate, showPercent, showRate, type Rate } from '../money/rate.js';
import { GARNISHMENT_KINDS, type Garnishment } from '../paycheck/garnishment.js';
import {
  FILING_STATUSES,
  MARITAL_STATUSES,
  type Deduction,
  type Earning,
  type EmployerPaid,
  type FederalCertificate,
  type LeaveAccount,
  type PaycheckInput,
  type WorkPlace,
} from '../paycheck/input.js';
import type { WorkClass } from '../paycheck/workers-compensation.js';
import { EMPLOYER_KINDS, WORKER_KINDS, type EmployerKind, type WorkerKind } from '../paycheck/kinds.js';
import { ownRules, readRows } from '../rules/pack.js';
import { ownPlaces, readPlaceRows } from '../rules/places.js';
import { isTaxCode, isWageBase, type TaxCode, type WageBase } from '../taxes/registry.js';
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
const NO_CERTIFICATE: FederalCertificate = {
  form: '2020',
  filingStatus: 'single',
  multipleJobs: false,
  dependentCredit: ZERO,
  otherIncome: ZERO,
  deductions: ZERO,
  extraWithholding: ZERO,
  exempt: false,
  exemptYear: null,
  nonresidentAlien: false,
  isLockedIn: false,
};
const COMMON_FEDERAL_FIELDS = ['form', 'extraWithholding', 'exempt', 'exemptYear', 'nonresidentAlien', 'lockedIn'];
const readCommon = (reader: Reader) => ({
  extraWithholding: reader.amount('extraWithholding'),
  exempt: reader.flag('exempt'),
  exemptYear: reader.has('exemptYear') ? reader.whole('exemptYear') : null,
  nonresidentAlien: reader.flag('nonresidentAlien'),
  isLockedIn: reader.flag('lockedIn'),
});

export function readFederalCertificate(reader: Reader): FederalCertificate {
  const form = reader.oneOf('form', ['2020', 'pre-2020'] as const);
  if (form === 'pre-2020') {
    reader.only([...COMMON_FEDERAL_FIELDS, 'maritalStatus', 'allowances']);
    return {
      form,
      maritalStatus: reader.oneOf('maritalStatus', MARITAL_STATUSES) ?? 'single',
      allowances: reader.whole('allowances'),
      ...readCommon(reader),
    };
  }
  reader.only([
    ...COMMON_FEDERAL_FIELDS,
    'filingStatus',
    'multipleJobs',
    'dependentCredit',
    'otherIncome',
    'deductions',
  ]);
  return {
    form: '2020',
    filingStatus: reader.oneOf('filingStatus', FILING_STATUSES) ?? 'single',
    multipleJobs: reader.flag('multipleJobs'),
    dependentCredit: reader.amount('dependentCredit'),
    otherIncome: reader.amount('otherIncome'),
    deductions: reader.amount('deductions'),
    ...readCommon(reader),
  };
}

/** Reads a state certificate by the fields that the state's rules declare. */
export function readStateCertificate(code: string, reader: Reader): StateCertificate {
  const rule = findState(code)?.incomeTax;
  if (!rule || rule.kind === 'none') {
    reader.only([]);
    return {};
  }
  const { fields } = rule.certificate;
  reader.only(fields.map((field) => field.name));
  const entries = fields.flatMap((field): [string, string | number | boolean][] => {
    switch (field.kind) {
      case 'choice': {
        const value = reader.oneOf(field.name, field.choices ?? [], field.otherwise);
        return value === null ? [] : [[field.name, value]];
      }
      case 'percent':
        reader.decimal(field.name);
        return reader.has(field.name) ? [[field.name, String(reader.raw(field.name))]] : [];
      case 'whole':
        return reader.has(field.name) ? [[field.name, reader.whole(field.name)]] : [];
      case 'flag':
        return [[field.name, reader.flag(field.name)]];
      case 'amount':
        reader.amount(field.name);
        return reader.has(field.name) ? [[field.name, String(reader.raw(field.name))]] : [];
    }
  });
  return Object.fromEntries(entries);
}

function readEarning(reader: Reader, issues: Issue[]): Earning[] {
  reader.only(['item', 'hours', 'rate', 'amount', 'regularRate']);
  const item = readItem(reader, 'earning', issues);
  const hours = reader.decimal('hours');
  const rate = reader.decimal('rate');
  const amount = reader.has('amount') ? reader.amount('amount') : null;
  if (!item || item.list !== 'earning') return [];
  const path = reader.path;
  if (amount !== null && hours !== null) issues.push(problem('earning.both', path, { item: item.label }));
  else if (amount === null && hours === null) issues.push(problem('earning.no-amount', path, { item: item.label }));
  else if (hours !== null && rate === null)
    issues.push(problem('earning.hours-without-rate', `${path}.rate`, { item: item.label }));
  return [{ item, hours, rate, amount, isOnRegularRate: reader.flag('regularRate') }];
}

type ItemOf<L> = Extract<PayItem, { list: L }>;
function readItem<L extends PayItem['list']>(reader: Reader, wanted: L, issues: Issue[]): ItemOf<L> | null {
  const code = reader.text('item');
  if (code === null) return null;
  const item = findItem(code);
  const path = `${reader.path}.item`;
  if (!item) {
    const choices = PAY_ITEMS.filter((known) => known.list === wanted).map((known) => known.code);
    issues.push(problem('item.unknown', path, { item: code, choices: choices.join(', ') }));
    return null;
  }
  if (item.list !== wanted) {
    issues.push(problem('item.wrong-list', path, { item: item.label, kind: item.list, wanted }));
    return null;
  }
  return item as ItemOf<L>;
}

function readDeductions(readers: readonly Reader[], issues: Issue[]): Deduction[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'amount', 'percent', 'perCheck', 'perYear', 'balance']);
    const item: DeductionItem | null = readItem(reader, 'deduction', issues);
    const optional = (field: string): Cents | null => (reader.has(field) ? reader.amount(field) : null);
    const percent = reader.has('percent') ? reader.percent('percent') : null;
    const amount = optional('amount');
    if (amount === null && percent === null && !reader.has('percent'))
      issues.push(problem('input.missing', `${reader.path}.amount`, { what: 'the amount' }));
    if (amount !== null && percent !== null)
      issues.push(problem('deduction.needs-amount', reader.path, { item: item?.label ?? 'The deduction' }));
    if (percent && percent.n > percent.d) issues.push(problem('input.too-large', `${reader.path}.percent`));
    const limits = { perCheck: optional('perCheck'), perYear: optional('perYear'), balance: optional('balance') };
    return item ? [{ item, amount, percent, limits }] : [];
  });
}

function readEmployerPaid(readers: readonly Reader[], issues: Issue[]): EmployerPaid[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'amount']);
    const item: EmployerItem | null = readItem(reader, 'employer', issues);
    const amount = reader.amount('amount');
    return item ? [{ item, amount }] : [];
  });
}

function readGarnishments(readers: readonly Reader[]): Garnishment[] {
  return readers.flatMap((reader) => {
    reader.only([
      'kind',
      'label',
      'amount',
      'priority',
      'supportsOthers',
      'inArrears',
      'filingStatus',
      'dependents',
      'fee',
      'balance',
    ]);
    const kind = reader.oneOf('kind', GARNISHMENT_KINDS);
    if (kind === null) return [];
    return [
      {
        kind,
        label: reader.has('label') ? (reader.text('label') ?? kind) : kind,
        amount: reader.has('amount') ? reader.amount('amount') : null,
        priority: reader.has('priority') ? reader.whole('priority') : null,
        supportsOthers: reader.flag('supportsOthers'),
        isInArrears: reader.flag('inArrears'),
        levy:
          kind === 'federal-levy'
            ? {
                filingStatus:
                  reader.oneOf('filingStatus', FILING_STATUSES, 'married-separately') ?? 'married-separately',
                dependents: reader.whole('dependents'),
              }
            : null,
        fee: reader.amount('fee'),
        balance: reader.has('balance') ? reader.amount('balance') : null,
      },
    ];
  });
}

const PLAUSIBLE_ABOVE = 25;

function readRates(reader: Reader | null, issues: Issue[]): Record<string, Rate> {
  const rates: Record<string, Rate> = {};
  if (!reader) return rates;
  for (const state of reader.names()) {
    const value = reader.percent(state);
    if (value === null) continue;
    const highest = findState(state)?.unemployment.highestPlausibleRate;
    const isImplausible = highest
      ? value.n * highest.d > highest.n * value.d
      : value.n * 100 > PLAUSIBLE_ABOVE * value.d;
    if (isImplausible)
      issues.push(
        problem('employer.rate-implausible', `employer.unemploymentRates.${state}`, { rate: showPercent(value) }),
      );
    rates[state] = value;
  }
  return rates;
}

/** The person's class among those of the client's policy; a class the policy does not name is an issue. */
function readWorkClass(employee: Reader | null, employer: Reader | null, issues: Issue[]): WorkClass | null {
  const classes = (employer?.list('workersCompensation', false) ?? []).flatMap((reader): WorkClass[] => {
    reader.only(['class', 'per', 'rate']);
    const code = reader.text('class');
    const per = reader.oneOf('per', ['hundred', 'hour'] as const, 'hundred');
    const rate = reader.decimal('rate');
    if (!rate) issues.push(problem('input.missing', `${reader.path}.rate`, { what: 'the rate of the class' }));
    return code && per && rate ? [{ code, per, rate }] : [];
  });
  if (!employee?.has('workClass')) return null;
  const wanted = employee.text('workClass');
  const found = classes.find((candidate) => candidate.code === wanted);
  if (!found)
    issues.push(
      problem('input.not-one-of', 'employee.workClass', {
        value: String(wanted),
        choices: classes.map((known) => known.code).join(', ') || 'none',
      }),
    );
  return found ?? null;
}

const RESET = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
function readLeave(readers: readonly Reader[], issues: Issue[]): LeaveAccount[] {
  return readers.flatMap((reader) => {
    reader.only(['item', 'per', 'hours', 'balance', 'maximum', 'waitsUntil', 'resetOn', 'carryOver', 'lastCheck']);
    const item = readItem(reader, 'earning', issues);
    const per = reader.oneOf('per', ['period', 'hour', 'year'] as const);
    const hours = reader.decimal('hours');
    if (!reader.has('hours'))
      issues.push(problem('input.missing', `${reader.path}.hours`, { what: 'the hours that build up' }));
    const lastCheck = reader.date('lastCheck');
    const optional = (name: string) => {
      const value = reader.has(name) ? reader.decimal(name) : null;
      return value ? leaveHours(value) : null;
    };
    const resetOn = reader.has('resetOn') ? (reader.text('resetOn') ?? '') : '';
    const [, month, day] = RESET.exec(resetOn) ?? [];
    if (resetOn !== '' && month === undefined)
      issues.push(problem('input.not-a-date', `${reader.path}.resetOn`, { value: resetOn }));
    if (!item || !per || !hours || !lastCheck) return [];
    const plan: LeavePlan = {
      item: item.code,
      per,
      hours: leaveHours(hours),
      maximum: optional('maximum'),
      waitsUntil: reader.has('waitsUntil') ? reader.date('waitsUntil') : null,
      reset:
        month === undefined ? null : { month: Number(month), day: Number(day), carryOver: optional('carryOver') ?? 0 },
    };
    return [{ plan, balance: optional('balance') ?? 0, lastCheck }];
  });
}

interface Places {
  readonly work: readonly WorkPlace[];
  readonly residenceState: string;
  readonly residenceLocalities: readonly string[];
}

/** A locality is a name or code, or a list of them (a municipality and a school district). */
function localitiesOf(reader: Reader | null, issues: Issue[]): string[] {
  const given = [...[reader?.raw('locality')].flat(), reader?.raw('schoolDistrict')].filter(
    (name) => name !== undefined && name !== null,
  );
  return given.flatMap((name) => {
    if (typeof name === 'string' && name.trim() !== '') return [name];
    issues.push(problem('input.missing', `${reader?.path ?? ''}.locality`, { what: 'the name of the locality' }));
    return [];
  });
}

function readPlaces(employee: Reader, issues: Issue[]): Places {
  const residence = employee.object('residence');
  const residenceState = residence?.text('state') ?? '';
  residence?.only(['state', 'locality', 'schoolDistrict']);
  const readers = employee.list('work', true);
  if (readers.length === 0 && employee.has('work'))
    issues.push(problem('input.missing', 'employee.work', { what: 'a place of work' }));
  const work = readers.map((place): WorkPlace => {
    place.only(['state', 'locality', 'share', 'convenienceOf', 'reciprocityCertificate']);
    return {
      state: place.text('state') ?? '',
      localities: localitiesOf(place, issues),
      share: (place.has('share') ? place.decimal('share') : null) ?? (readers.length === 1 ? rate('1') : rate('0')),
      convenienceOf: place.has('convenienceOf') ? place.text('convenienceOf') : null,
      reciprocityCertificate: place.has('reciprocityCertificate') ? place.flag('reciprocityCertificate') : null,
    };
  });
  const whole = 10 ** 9;
  const sum = work.reduce((total, { share }) => total + Math.round((share.n * whole) / share.d), 0);
  if (work.length > 0 && sum !== whole)
    issues.push(problem('rule.shares', 'employee.work', { sum: showRate({ n: sum, d: whole }) }));
  return { work, residenceState, residenceLocalities: localitiesOf(residence, issues) };
}

function readWages(reader: Reader | null, issues: Issue[]): Partial<Record<WageBase, Cents>> {
  const wages: Partial<Record<WageBase, Cents>> = {};
  for (const name of reader?.names() ?? []) {
    if (isWageBase(name)) wages[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the wage bases of docs/jurisdictions.md',
        }),
      );
  }
  return wages;
}
function readTaxes(reader: Reader | null, issues: Issue[]): Partial<Record<TaxCode, Cents>> {
  const taxes: Partial<Record<TaxCode, Cents>> = {};
  for (const name of reader?.names() ?? []) {
    if (isTaxCode(name)) taxes[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the tax codes of docs/jurisdictions.md',
        }),
      );
  }
  return taxes;
}
function readDeductionsToDate(reader: Reader | null, issues: Issue[]): Record<string, Cents> {
  const taken: Record<string, Cents> = {};
  for (const name of reader?.names() ?? []) {
    if (findItem(name)?.list === 'deduction') taken[name] = reader?.amount(name) ?? ZERO;
    else
      issues.push(
        problem('item.unknown', `${reader?.path ?? ''}.${name}`, { item: name, choices: 'a deduction item' }),
      );
  }
  return taken;
}
function readOwnRates(reader: Reader | null, issues: Issue[]): Partial<Record<TaxCode, Rate>> {
  const rates: Partial<Record<TaxCode, Rate>> = {};
  for (const name of reader?.names() ?? []) {
    const value = reader?.percent(name) ?? null;
    if (!isTaxCode(name))
      issues.push(
        problem('input.not-one-of', `${reader?.path ?? ''}.${name}`, {
          value: name,
          choices: 'the tax codes of docs/jurisdictions.md',
        }),
      );
    else if (value && value.n * 4 > value.d)
      issues.push(problem('employer.rate-implausible', `employer.rates.${name}`, { rate: showPercent(value) }));
    else if (value) rates[name] = value;
  }
  return rates;
}
const inner = (reader: Reader | null, field: string): Reader | null =>
  reader?.has(field) ? reader.object(field) : null;

/** Rows are the same list for everybody of a payroll: read once, as long as the list lives. */
interface Kept<T> {
  readonly made: T;
  readonly issues: readonly Issue[];
}
const RULES = new WeakMap<object, Kept<OwnRules | null>>();
const PLACES = new WeakMap<object, Kept<OwnPlaces | null>>();
function kept<T>(
  known: WeakMap<object, Kept<T>>,
  rows: unknown,
  issues: Issue[],
  read: (rows: unknown, found: Issue[]) => T,
): T {
  const key = typeof rows === 'object' && rows !== null ? rows : null;
  const before = key ? known.get(key) : undefined;
  if (before) {
    issues.push(...before.issues);
    return before.made;
  }
  const found: Issue[] = [];
  const made = read(rows, found);
  if (key) known.set(key, { made, issues: found });
  issues.push(...found);
  return made;
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
  const employee = reader.object('employee');
  employee?.only([
    'kind',
    'birthDate',
    'federal',
    'residence',
    'work',
    'certificates',
    'exemptFrom',
    'unemploymentState',
    'garnishments',
    'workClass',
  ]);
  const employer = inner(reader, 'employer');
  employer?.only(['kind', 'employees', 'quarterlyPayroll', 'unemploymentRates', 'rates', 'workersCompensation']);
  const settings = inner(reader, 'settings');
  settings?.only([
    'supplementalMethod',
    'withholdingMethod',
    'roundWithholdingToDollar',
    'daysInPeriod',
    'lastRegular',
  ]);
  const toDate = inner(reader, 'yearToDate');
  toDate?.only(['wages', 'supplementalWages', 'taxes', 'deductions']);
  const month = inner(reader, 'monthToDate');
  month?.only(['wages', 'taxes']);

  const worker = (employee?.oneOf('kind', Object.keys(WORKER_KINDS), 'employee') ?? 'employee') as WorkerKind;
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
  const earnings = reader.list('earnings', !reader.has('grossUp')).flatMap((line) => readEarning(line, issues));
  const deductions = readDeductions(reader.list('deductions', false), issues);
  const employerPaid = readEmployerPaid(reader.list('employerPaid', false), issues);
  const daysInPeriod = settings?.has('daysInPeriod') ? settings.whole('daysInPeriod') : 1;
  if (daysInPeriod < 1 || daysInPeriod > 366)
    issues.push(problem('input.not-whole', 'settings.daysInPeriod', { value: String(daysInPeriod) }));
  const last = inner(settings, 'lastRegular');
  last?.only(['wages', 'withheld']);

  const grossUpReader = reader.has('grossUp') ? reader.object('grossUp') : null;
  const grossUpItem: EarningItem | null = grossUpReader ? readItem(grossUpReader, 'earning', issues) : null;
  const grossUp = grossUpReader && grossUpItem ? { item: grossUpItem, net: grossUpReader.amount('net') } : null;
  const unemploymentRates = readRates(inner(employer, 'unemploymentRates'), issues);
  const ownRates = readOwnRates(inner(employer, 'rates'), issues);
  const employerKind = (employer?.oneOf('kind', Object.keys(EMPLOYER_KINDS), 'business') ?? 'business') as EmployerKind;
  const expect = isObject(value['expect']) ? (value['expect'] as Record<string, string>) : {};
  const rest = {
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
    ...places,
    unemploymentState: employee?.has('unemploymentState') ? employee.text('unemploymentState') : null,
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
    supplementalToDate: toDate?.amount('supplementalWages') ?? ZERO,
    wagesThisMonth: month?.amount('wages') ?? ZERO,
    taxesThisMonth: readTaxes(inner(month, 'taxes'), issues),
  };
  const base = { id, grossUp, expect, issues };
  if (issues.length > 0 || !checkDate || !payFrequency) return { ...base, input: null };
  return { ...base, input: { checkDate, payFrequency, ...rest } };
}
