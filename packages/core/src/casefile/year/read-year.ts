import type { LocalDate } from '../../calendar/local-date.js';
import { makeDate } from '../../calendar/local-date.js';
import type { FederalForm } from '../../deposits/family.js';
import type { EmployerFacts } from '../../filings/kind.js';
import { findKind } from '../../filings/registry.js';
import { problem, type Issue } from '../../issues/issue.js';
import type { Cents } from '../../money/cents.js';
import { EMPLOYER_KINDS, WORKER_KINDS, type EmployerKind } from '../../computation/kinds.js';
import { EMPLOYEE_FIELDS } from '../read-case.js';
import { Reader, isObject, type JsonObject } from '../reader.js';
import { frequencyOf } from './frequency.js';
import { readChanges, readFiled, type Change, type Filed } from './read-corrections.js';

export const ASKS = ['liabilities', 'returns', 'wage-statements', 'corrections'] as const;
export type Ask = (typeof ASKS)[number];

export interface YearPerson {
  readonly id: string;
  /** Nine digits, or blank. */
  readonly ssn: string;
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
  readonly isRetirementPlan: boolean;
  readonly isStatutory: boolean;
  /** The employee of a case. */
  readonly employee: JsonObject;
}
/** A check of the year: a case without its person, employer and year to date. */
export interface YearCheck {
  readonly person: string;
  readonly checkDate: LocalDate;
  readonly periodStart: LocalDate;
  readonly periodEnd: LocalDate;
  /** The day on which it was voided; null: it stands. */
  readonly voided: LocalDate | null;
  readonly path: string;
  readonly parts: JsonObject;
}
export interface YearPayment {
  readonly family: string;
  readonly date: LocalDate;
  readonly amount: Cents;
}
export interface YearCase {
  readonly id: string;
  readonly year: number;
  readonly ein: string;
  readonly employer: EmployerFacts;
  /** The employer of a case. */
  readonly caseEmployer: JsonObject;
  /** Codes of the forms that are filed; null: those that follow from what the employer is. */
  readonly forms: readonly string[] | null;
  readonly lookback: ReadonlyMap<string, Cents>;
  /** Deposit class by agency or deposit. */
  readonly frequency: ReadonlyMap<string, string>;
  readonly firstWages: LocalDate | null;
  /** Amounts entered on a return, by `kind period` and name. */
  readonly entered: ReadonlyMap<string, Readonly<Record<string, Cents>>>;
  readonly people: readonly YearPerson[];
  readonly checks: readonly YearCheck[];
  readonly payments: readonly YearPayment[];
  readonly asOf: LocalDate;
  readonly filed: readonly Filed[];
  readonly changes: readonly Change[];
  readonly asks: ReadonlySet<Ask>;
}

const FIELDS = [
  'id',
  'kind',
  'year',
  'employer',
  'people',
  'paychecks',
  'payments',
  'entered',
  'payFrequency',
  'rules',
  'places',
  'asOf',
  'ask',
  'filed',
  'changes',
  'source',
];
const CASE_EMPLOYER = ['kind', 'employees', 'quarterlyPayroll', 'rates', 'workersCompensation', 'unemploymentRates'];
const EMPLOYER_FIELDS = [
  ...CASE_EMPLOYER,
  'ein',
  'states',
  'forms',
  'lookback',
  'frequency',
  'seasonal',
  'firstWages',
  'lastWages',
  'successor',
];
const PERSON_FIELDS = ['id', 'name', 'ssn', 'retirementPlan'];
const CHECK_FIELDS = ['person', 'checkDate', 'periodStart', 'periodEnd', 'payFrequency', 'void'];
const CASE_PARTS = [
  'earnings',
  'deductions',
  'employerPaid',
  'leave',
  'settings',
  'grossUp',
  'withheld',
  'garnishments',
];
/** The return on which wages are reported, by the code of its form. */
const FEDERAL_FORMS: Readonly<Record<string, FederalForm>> = {
  'us-941': '941',
  'us-943': '943',
  'us-944': '944',
  'us-945': '945',
  'us-schedule-h': 'schedule-h',
};

const only = (value: JsonObject, fields: readonly string[]): JsonObject =>
  Object.fromEntries(fields.flatMap((field) => (value[field] === undefined ? [] : [[field, value[field]]])));

/** Reads a year case. Never throws; what is wrong is in `issues`, all of it at once. */
export function readYear(value: JsonObject, issues: Issue[]): YearCase | null {
  const reader = new Reader(value, '', issues);
  reader.only(FIELDS);
  const year = reader.has('year') ? reader.whole('year') : 0;
  if (year < 1990 || year > 2199) issues.push(problem('input.missing', 'year', { what: 'the year' }));
  const employer = reader.object('employer');
  employer?.only(EMPLOYER_FIELDS);
  const people = reader.list('people', true).map((one) => readPerson(one));
  const names = new Set(people.map(({ id }) => id));
  const checks = reader.list('paychecks', true).flatMap((one) => readCheck(one, value, names, issues));
  const payments = reader.list('payments', false).flatMap(readPayment);
  const asOf = reader.has('asOf') ? reader.date('asOf') : null;
  const asked = reader.has('ask') ? reader.raw('ask') : [...ASKS];
  const asks = new Set<Ask>();
  for (const one of Array.isArray(asked) ? (asked as unknown[]) : [asked])
    if ((ASKS as readonly unknown[]).includes(one)) asks.add(one as Ask);
    else issues.push(problem('input.not-one-of', 'ask', { value: String(one), choices: ASKS.join(', ') }));
  if (!employer) return null;
  const source = value['employer'] as JsonObject;
  const forms = readForms(employer, issues);
  const kind = (employer.oneOf('kind', Object.keys(EMPLOYER_KINDS), 'business') ?? 'business') as EmployerKind;
  const day = (field: string): LocalDate | null => (employer.has(field) ? employer.date(field) : null);
  const lastWages = day('lastWages');
  const federal = (forms ?? []).map((form) => FEDERAL_FORMS[form]).find((form) => form !== undefined);
  const read: YearCase = {
    id: typeof value['id'] === 'string' ? value['id'] : '',
    year,
    ein: typeof source['ein'] === 'string' ? source['ein'] : '',
    employer: {
      kind,
      form: federal ?? (kind === 'household' ? 'schedule-h' : kind === 'agricultural' ? '943' : '941'),
      isSeasonal: employer.flag('seasonal'),
      isWithoutUnemployment: !EMPLOYER_KINDS[kind].owesFederalUnemployment,
      lastWages,
      isSuccessor: employer.flag('successor'),
    },
    caseEmployer: { ...only(source, CASE_EMPLOYER), unemploymentRates: unemploymentRates(source, employer) },
    forms,
    lookback: amountsOf(employer, 'lookback'),
    frequency: textsOf(employer, 'frequency'),
    firstWages: day('firstWages'),
    entered: readEntered(reader, issues),
    people,
    checks: [...checks].sort((a, b) => (a.checkDate < b.checkDate ? -1 : a.checkDate > b.checkDate ? 1 : 0)),
    payments,
    asOf: asOf ?? makeDate(year + 1, 12, 31),
    filed: readFiled(reader, year, names, issues),
    changes: readChanges(reader, issues, {
      check: [...CASE_PARTS, 'payFrequency'],
      person: [...PERSON_FIELDS, ...EMPLOYEE_FIELDS],
    }),
    asks,
  };
  return issues.length > 0 ? null : read;
}

/** A check with some of its parts as they should have been; the days of the check are those of the case. */
export const changedCheck = (check: YearCheck, set: JsonObject): YearCheck => ({
  ...check,
  parts: { ...check.parts, ...only(set, [...CASE_PARTS, 'payFrequency']) },
});
/** A person with some parts as they should have been. */
export function changedPerson(person: YearPerson, set: JsonObject): YearPerson {
  const name = isObject(set['name']) ? set['name'] : {};
  const part = (field: string, otherwise: string): string =>
    typeof name[field] === 'string' ? name[field] : otherwise;
  return {
    ...person,
    ssn: typeof set['ssn'] === 'string' ? set['ssn'].replace(/-/g, '') : person.ssn,
    firstName: part('first', person.firstName),
    middleName: part('middle', person.middleName),
    lastName: part('last', person.lastName),
    suffix: part('suffix', person.suffix),
    isRetirementPlan: typeof set['retirementPlan'] === 'boolean' ? set['retirementPlan'] : person.isRetirementPlan,
    employee: { ...person.employee, ...only(set, EMPLOYEE_FIELDS) },
  };
}

function readPerson(reader: Reader): YearPerson {
  reader.only([...PERSON_FIELDS, ...EMPLOYEE_FIELDS]);
  const name = reader.has('name') ? reader.object('name') : null;
  name?.only(['first', 'middle', 'last', 'suffix']);
  const part = (field: string): string => (name?.has(field) ? (name.text(field) ?? '') : '');
  const kind = reader.oneOf('kind', Object.keys(WORKER_KINDS), 'employee');
  const source = Object.fromEntries([...PERSON_FIELDS, ...EMPLOYEE_FIELDS].map((field) => [field, reader.raw(field)]));
  return {
    id: reader.text('id') ?? '',
    ssn: (reader.has('ssn') ? (reader.text('ssn') ?? '') : '').replace(/-/g, ''),
    firstName: part('first'),
    middleName: part('middle'),
    lastName: part('last'),
    suffix: part('suffix'),
    isRetirementPlan: reader.flag('retirementPlan'),
    isStatutory: kind === 'statutory',
    employee: only(source, EMPLOYEE_FIELDS),
  };
}

function readCheck(reader: Reader, year: JsonObject, people: ReadonlySet<string>, issues: Issue[]): YearCheck[] {
  reader.only([...CHECK_FIELDS, ...CASE_PARTS]);
  const person = reader.text('person') ?? '';
  if (person !== '' && !people.has(person))
    issues.push(
      problem('input.not-one-of', `${reader.path}.person`, { value: person, choices: [...people].join(', ') }),
    );
  const checkDate = reader.date('checkDate');
  const periodStart = reader.date('periodStart');
  const periodEnd = reader.date('periodEnd');
  const voided = reader.has('void') ? reader.date('void') : null;
  if (!checkDate || !periodStart || !periodEnd) return [];
  if (checkDate.slice(0, 4) !== String(year['year']))
    issues.push(problem('input.not-an-iso-date', `${reader.path}.checkDate`, { value: checkDate }));
  const said = reader.raw('payFrequency') ?? year['payFrequency'];
  const payFrequency = said ?? frequencyOf(periodStart, periodEnd);
  if (payFrequency === null)
    issues.push(problem('input.missing', `${reader.path}.payFrequency`, { what: 'the pay frequency' }));
  const parts = Object.fromEntries(
    CASE_PARTS.flatMap((field) => (reader.raw(field) === undefined ? [] : [[field, reader.raw(field)]])),
  );
  return [{ person, checkDate, periodStart, periodEnd, voided, path: reader.path, parts: { ...parts, payFrequency } }];
}

function readPayment(reader: Reader): YearPayment[] {
  reader.only(['group', 'date', 'amount']);
  const family = reader.text('group');
  const day = reader.date('date');
  const amount = reader.amount('amount');
  return family && day ? [{ family: family.toUpperCase(), date: day, amount }] : [];
}

/** Kinds that are not prepared here may stand among the forms: they decide about deposits. */
function readForms(employer: Reader, issues: Issue[]): string[] | null {
  if (!employer.has('forms')) return null;
  const given = employer.raw('forms');
  if (!Array.isArray(given)) {
    issues.push(problem('input.missing', 'employer.forms', { what: 'the list of forms' }));
    return null;
  }
  return (given as unknown[]).flatMap((form, index) => {
    const code = String(form).toLowerCase();
    if (findKind(code) || FEDERAL_FORMS[code]) return [code];
    issues.push(
      problem('input.not-one-of', `employer.forms[${index}]`, {
        value: String(form),
        choices: [...Object.keys(FEDERAL_FORMS), 'us-940', 'us-w2'].join(', '),
      }),
    );
    return [];
  });
}

/** Rates by state: as a case has them, or with each state. */
function unemploymentRates(source: JsonObject, employer: Reader): JsonObject {
  const rates: Record<string, unknown> = isObject(source['unemploymentRates'])
    ? { ...source['unemploymentRates'] }
    : {};
  const states = employer.has('states') ? employer.object('states') : null;
  for (const state of states?.names() ?? []) {
    const own = states?.object(state);
    own?.only(['unemploymentRate', 'account']);
    if (own?.has('unemploymentRate')) rates[state] = own.raw('unemploymentRate');
  }
  return rates;
}

function amountsOf(reader: Reader, field: string): Map<string, Cents> {
  const inner = reader.has(field) ? reader.object(field) : null;
  return new Map((inner?.names() ?? []).map((name) => [name.toUpperCase(), inner?.amount(name) as Cents]));
}
function textsOf(reader: Reader, field: string): Map<string, string> {
  const inner = reader.has(field) ? reader.object(field) : null;
  return new Map((inner?.names() ?? []).map((name) => [name.toUpperCase(), inner?.text(name) ?? '']));
}

/** `{"us-941":{"2026-Q1":{"researchCredit":"100.00"}}}` */
function readEntered(reader: Reader, issues: Issue[]): Map<string, Readonly<Record<string, Cents>>> {
  const found = new Map<string, Readonly<Record<string, Cents>>>();
  const entered = reader.has('entered') ? reader.object('entered') : null;
  for (const code of entered?.names() ?? []) {
    const kind = findKind(code);
    if (!kind) issues.push(problem('input.unknown-field', `entered.${code}`, { name: code }));
    const periods = kind ? entered?.object(code) : null;
    for (const period of periods?.names() ?? []) {
      const amounts = periods?.object(period);
      amounts?.only(kind?.asks.map(({ name }) => name) ?? []);
      const values = (amounts?.names() ?? []).map((name) => [name, amounts?.amount(name)] as const);
      found.set(`${code} ${period}`, Object.fromEntries(values) as Record<string, Cents>);
    }
  }
  return found;
}
