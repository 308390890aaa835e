import { parseDate, showShortDate, type LocalDate } from '../calendar/local-date.js';
import { factDoubts } from '../facts/doubts.js';
import { EMPLOYEE_FACTS, type EmployeeFactKind } from '../facts/employee-facts.js';
import type { FactValue } from '../facts/fact-kind.js';
import { nextEmployeeNumber, personIssues } from '../identity/person.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { stateNamed } from '../jurisdictions/state-named.js';
import { findState } from '../jurisdictions/states.js';
import { findColumn } from './columns.js';
import { readCell } from './read-cell.js';
import { ignoredOf } from './sheet-rows.js';
import { streetOf } from '../identity/street.js';
import { APPLIED_FOR, isAppliedFor } from '../identity/numbers.js';

export interface NewFact {
  readonly kind: EmployeeFactKind;
  readonly from: string;
  readonly value: FactValue;
}
/** A person as a row of the file says, ready to be taken on. */
export interface NewPerson {
  readonly number: string;
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
  readonly ssn: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  readonly zip: string;
  readonly country: string;
  readonly province: string;
  readonly hiredOn: string | null;
  readonly bornOn: string | null;
  readonly kind: 'employee' | 'partner' | 'contractor';
  readonly isRetirementPlan: boolean;
  readonly facts: readonly NewFact[];
}
/** A row of the file, by its number in the file (headings are row 1). */
export interface ReadRow {
  readonly row: number;
  /** Whom the row names, as it was understood, also where the row is wrong. */
  readonly name: string;
  /** What was understood of it: `Hire date 03/15/2024`, `Hourly rate 21.50`. */
  readonly understood: readonly string[];
  readonly person: NewPerson | null;
  readonly issues: readonly Issue[];
}
export interface ReadPeople {
  /** What is wrong with the file as a whole. */
  readonly issues: readonly Issue[];
  readonly rows: readonly ReadRow[];
}

export interface PeopleFile {
  readonly table: readonly (readonly string[])[];
  /** The row of the headings, counted from 1; what stands above is not read. The first where it is left out. */
  readonly headingRow?: number;
  /** Rows that are left out: totals, and what somebody chose to skip. */
  readonly skipped?: readonly number[];
  /** A column name for each heading; blank where a column is not taken. */
  readonly mapping: readonly string[];
}
/** What the client already has, for doubles and for what a row leaves out. */
export interface Surroundings {
  readonly today: LocalDate;
  readonly numbers: ReadonlySet<string>;
  /** Marks of the social security numbers that the client already has. */
  readonly hasSsn: (ssn: string) => boolean;
  /** The state of the client, taken where a row names no state of work. */
  readonly clientState: string;
}

export const MOST_ROWS = 5000;
type Cells = Readonly<Record<string, string | number | boolean>>;

const isBlankRow = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');

function mappingIssues(mapping: readonly string[]): Issue[] {
  const issues: Issue[] = [];
  const used = mapping.filter((name) => name !== '');
  for (const name of new Set(used.filter((one, index) => used.indexOf(one) !== index)))
    issues.push(problem('file.column-twice', 'mapping', { what: findColumn(name)?.label ?? name }));
  for (const name of used.filter((one) => !findColumn(one)))
    issues.push(problem('input.not-one-of', 'mapping', { value: name, choices: 'the columns of a people file' }));
  const has = (...names: string[]): boolean => names.every((name) => used.includes(name));
  if (!has('fullName') && !has('firstName', 'lastName'))
    issues.push(problem('file.column-unmapped', 'mapping', { what: 'the name' }));
  if (!has('ssn')) issues.push(problem('file.column-unmapped', 'mapping', { what: 'the social security number' }));
  return issues;
}

const FULL_NAME = /^([^,]+),\s*([^\s,]+)(?:\s+([^,]+))?$/;
const PLAIN_NAME = /^(\S+)\s+(?:(\S+)\s+)?(\S+)$/;

function nameOf(cells: Cells, issues: Issue[]): { firstName: string; middleName: string; lastName: string } {
  const of = (name: string): string => String(cells[name] ?? '').trim();
  const full = of('fullName');
  if (full === '') return { firstName: of('firstName'), middleName: of('middleName'), lastName: of('lastName') };
  const comma = FULL_NAME.exec(full);
  if (comma) return { lastName: comma[1]?.trim() ?? '', firstName: comma[2] ?? '', middleName: comma[3]?.trim() ?? '' };
  const spaced = PLAIN_NAME.exec(full);
  if (spaced) return { firstName: spaced[1] ?? '', middleName: spaced[2] ?? '', lastName: spaced[3] ?? '' };
  issues.push(problem('file.name', 'fullName', { value: full }));
  return { firstName: '', middleName: '', lastName: '' };
}

const given = (cells: Cells, names: readonly string[]): Record<string, string | number | boolean> =>
  Object.fromEntries(names.flatMap((name) => (cells[name] === undefined ? [] : [[name, cells[name]]])));

const FROM_2020 = ['filingStatus', 'multipleJobs', 'dependentCredit', 'otherIncome', 'deductions'];

function federalOf(cells: Cells): FactValue | null {
  const common = given(cells, ['extraWithholding', 'exempt']);
  if (cells['oldStatus'] !== undefined)
    return { form: 'pre-2020', maritalStatus: cells['oldStatus'], allowances: cells['oldAllowances'] ?? 0, ...common };
  if (cells['filingStatus'] === undefined) return null;
  return { form: '2020', ...given(cells, FROM_2020), ...common };
}

function payOf(cells: Cells, issues: Issue[]): FactValue | null {
  if (cells['rate'] !== undefined && cells['salary'] !== undefined)
    issues.push(problem('earning.both', 'salary', { item: 'The row' }));
  if (cells['rate'] !== undefined) return { basis: 'hourly', ...given(cells, ['rate', 'hours']) };
  if (cells['salary'] === undefined) return null;
  return { basis: 'salary', amount: cells['salary'], frequency: cells['salaryFrequency'] ?? 'annually' };
}

function certificatesOf(cells: Cells): FactValue[] {
  const byState = new Map<string, Record<string, unknown>>();
  for (const [name, value] of Object.entries(cells)) {
    const [prefix, state = '', field = ''] = name.split(':');
    if (prefix !== 'certificate') continue;
    byState.set(state, { ...byState.get(state), [field]: value });
  }
  return [...byState].map(([state, certificate]) => ({ state, certificate }));
}

function standingOf(cells: Cells): FactValue[] {
  const lines: FactValue[] = [];
  if (cells['deferralPercent'] !== undefined) lines.push({ item: '401k', percent: cells['deferralPercent'] });
  if (cells['deferralAmount'] !== undefined) lines.push({ item: '401k', amount: cells['deferralAmount'] });
  if (cells['health'] !== undefined) lines.push({ item: 'section-125-health', amount: cells['health'] });
  return lines;
}

function factsOf(cells: Cells, around: Surroundings, from: string, issues: Issue[]): NewFact[] {
  const facts: NewFact[] = [];
  const add = (kind: EmployeeFactKind, value: FactValue | null): void => {
    if (value) facts.push({ kind, from, value });
  };
  add('pay', payOf(cells, issues));
  add('federal-certificate', federalOf(cells));
  const home = cells['residenceState'] ?? cells['state'];
  // A state under "Work location" is the state of work, not a city of it.
  const place = cells['workLocality'];
  const placed = typeof place === 'string' ? stateNamed(place) : null;
  const work = cells['workState'] ?? placed ?? (around.clientState || undefined);
  if (work !== undefined)
    add('place', {
      work,
      residence: home ?? work,
      ...given(cells, [...(placed === null ? ['workLocality'] : []), 'residenceLocality', 'schoolDistrict']),
    });
  for (const certificate of certificatesOf(cells)) add('state-certificate', certificate);
  for (const line of standingOf(cells)) add('standing', line);
  const worker = given(cells, ['title', 'department']);
  const kind = cells['kind'] === 'statutory' ? { kind: 'statutory' } : {};
  if (Object.keys({ ...worker, ...kind }).length > 0) add('worker', { ...kind, ...worker });
  const reached = given(cells, ['email', 'phone']);
  if (Object.keys(reached).length > 0) add('consent', { delivery: 'paper', ...reached });
  return facts;
}

/** Where a fact's field came from in the file, so that the issue names the column. */
const COLUMN_OF_FIELD: Readonly<Record<string, string>> = {
  amount: 'salary',
  frequency: 'salaryFrequency',
  maritalStatus: 'oldStatus',
  allowances: 'oldAllowances',
  work: 'workState',
  residence: 'residenceState',
};

function factIssues(fact: NewFact): Issue[] {
  return EMPLOYEE_FACTS.issues(fact.kind, fact.value, '').map((issue) => {
    const field = issue.field.split('.').at(-1) ?? '';
    const state = fact.kind === 'state-certificate' ? `certificate:${String(fact.value['state'])}:${field}` : '';
    return { ...issue, field: state || (COLUMN_OF_FIELD[field] ?? field) };
  });
}

/** What a row says that is legal and looks like a slip: the preview shows it, and taking the file on is the second look. */
const doubtsOf = (facts: readonly NewFact[], hiredOn: string | null): Issue[] =>
  facts.flatMap((fact) =>
    factDoubts(fact, { facts: [], hiredOn }, '').map((issue) => ({
      ...issue,
      field: issue.field.split('.').at(-1) ?? '',
    })),
  );

/** Columns whose reading is worth seeing before a file is taken: days and addresses, and whose number it is. */
const SEEN = ['hiredOn', 'bornOn', 'ssn', 'street', 'city', 'state', 'zip'];
const understoodOf = (cells: Cells): string[] =>
  SEEN.flatMap((name) => {
    const value = cells[name];
    if (value === undefined || value === '') return [];
    const day = parseDate(String(value));
    if (day !== null) return [`${findColumn(name)?.label ?? name} ${showShortDate(day)}`];
    if (name === 'ssn') return [value === APPLIED_FOR ? `SSN ${value}` : `SSN ending ${String(value).slice(-4)}`];
    return [String(value)];
  });

function readRow(
  row: readonly string[],
  file: PeopleFile,
  around: Surroundings,
): { person: NewPerson | null; issues: Issue[]; name: string; understood: string[] } {
  const issues: Issue[] = [];
  const cells: Record<string, string | number | boolean> = {};
  file.mapping.forEach((name, index) => {
    const cell = row[index] ?? '';
    const column = name === '' || cell.trim() === '' ? null : findColumn(name);
    if (!column) return;
    const read = readCell(column, cell);
    if ('issue' in read) issues.push(read.issue);
    else cells[name] = read.value;
  });
  const name = nameOf(cells, issues);
  const textOf = (field: string): string => String(cells[field] ?? '').trim();
  const day = (field: string): string | null => (cells[field] === undefined ? null : textOf(field));
  const missing = (field: string, what: string): void => {
    if (!issues.some((issue) => issue.field === field)) issues.push(problem('input.missing', field, { what }));
  };
  if (name.firstName === '' && cells['fullName'] === undefined) missing('firstName', 'The first name');
  if (name.lastName === '' && cells['fullName'] === undefined) missing('lastName', 'The last name');
  if (cells['ssn'] === undefined) missing('ssn', 'The social security number');
  const kind = textOf('kind');
  const identity = {
    ...name,
    suffix: textOf('suffix'),
    street: streetOf(textOf('street'), textOf('unit')),
    city: textOf('city'),
    state: textOf('state'),
    zip: textOf('zip'),
    country: textOf('country').toUpperCase(),
    province: textOf('province'),
    hiredOn: day('hiredOn'),
    bornOn: day('bornOn'),
  };
  for (const [field, most] of [
    ['firstName', 15],
    ['middleName', 15],
    ['lastName', 20],
  ] as const)
    if (identity[field].length > most) issues.push(problem('input.too-long', field, { most: String(most) }));
  issues.push(...personIssues(identity, around.today));
  const facts = factsOf(cells, around, identity.hiredOn ?? around.today, issues);
  issues.push(...facts.flatMap(factIssues));
  if (!issues.some((issue) => issue.severity === 'error')) issues.push(...doubtsOf(facts, identity.hiredOn));
  const person: NewPerson = {
    number: textOf('number'),
    ...identity,
    ssn: textOf('ssn') === APPLIED_FOR ? '' : textOf('ssn'),
    kind: kind === 'partner' || kind === 'contractor' ? kind : 'employee',
    isRetirementPlan: cells['isRetirementPlan'] === true,
    facts: kind === 'partner' || kind === 'contractor' ? [] : facts,
  };
  const called = [name.lastName, name.firstName].filter((part) => part !== '').join(', ');
  return {
    person: issues.some((issue) => issue.severity === 'error') ? null : person,
    issues,
    name: called === '' ? textOf('fullName') : called,
    understood: understoodOf(cells),
  };
}

/** Rows of a value that more than one row has. */
function doubles(rows: readonly { row: number; value: string }[]): ReadonlyMap<string, readonly number[]> {
  const found = new Map<string, number[]>();
  for (const { row, value } of rows) if (value !== '') found.set(value, [...(found.get(value) ?? []), row]);
  return new Map([...found].filter(([, at]) => at.length > 1));
}

/**
 * Reads a table of people. Nothing is taken on here: every row answers with the person it describes or with what is
 * wrong, by the name of the column. Rows without a number get the next free one.
 */
export function readPeople(file: PeopleFile, around: Surroundings): ReadPeople {
  const issues = mappingIssues(file.mapping);
  const headingRow = file.headingRow ?? 1;
  const skipped = new Set(file.skipped ?? []);
  const body = file.table
    .slice(headingRow)
    .map((cells, index) => ({ cells, row: headingRow + index + 1 }))
    .filter(({ cells, row }) => !skipped.has(row) && !isBlankRow(cells));
  const ignored = ignoredOf(file.table[headingRow - 1] ?? [], file.mapping);
  if (ignored.length > 0) issues.push(warning('file.ignored', 'mapping', { headings: ignored.join(', ') }));
  if (!file.mapping.includes('rate') && !file.mapping.includes('salary'))
    issues.push(warning('file.no-pay', 'mapping'));
  const errors = issues.filter((issue) => issue.severity === 'error');
  if (body.length === 0) errors.push(problem('file.no-rows', 'file'));
  if (body.length > MOST_ROWS) errors.push(problem('file.too-many-rows', 'file', { most: String(MOST_ROWS) }));
  if (errors.length > 0) return { issues: errors, rows: [] };
  const read = body.map(({ cells, row }) => ({ row, cells, ...readRow(cells, file, around) }));
  const at = (name: string): number => file.mapping.indexOf(name);
  const valuesOf = (name: string, clean: (text: string) => string) =>
    at(name) < 0 ? [] : read.map(({ row, cells }) => ({ row, value: clean(cells[at(name)] ?? '') }));
  const twiceNumber = doubles(valuesOf('number', (text) => text.trim()));
  const bareSsn = (text: string): string => {
    if (isAppliedFor(text)) return '';
    const digits = text.replace(/[\s-]/g, '');
    return /^\d{7,8}$/.test(text.trim()) ? digits.padStart(9, '0') : digits;
  };
  const twiceSsn = doubles(valuesOf('ssn', bareSsn).filter(({ value }) => value !== ''));
  const numbers = [...around.numbers, ...valuesOf('number', (text) => text.trim()).map((one) => one.value)];
  const rows = read.map(({ row, cells, person, issues: own, name, understood }): ReadRow => {
    const more: Issue[] = [];
    const number = at('number') < 0 ? '' : (cells[at('number')] ?? '').trim();
    const ssn = bareSsn(cells[at('ssn')] ?? '');
    if (twiceNumber.has(number))
      more.push(problem('file.number-twice', 'number', { number, rows: (twiceNumber.get(number) ?? []).join(', ') }));
    else if (around.numbers.has(number)) more.push(problem('person.number-taken', 'number', { number }));
    if (twiceSsn.has(ssn)) more.push(problem('file.ssn-twice', 'ssn', { rows: (twiceSsn.get(ssn) ?? []).join(', ') }));
    else if (ssn !== '' && around.hasSsn(ssn)) more.push(problem('person.ssn-taken', 'ssn'));
    if (!person || more.length > 0) return { row, name, understood, person: null, issues: [...own, ...more] };
    if (person.number !== '') return { row, name, understood, person, issues: own };
    const free = nextEmployeeNumber(numbers);
    numbers.push(free);
    return { row, name, understood, person: { ...person, number: free }, issues: own };
  });
  return { issues, rows };
}

/** A state whose residents the file mentions, for columns of its certificate. */
export const statesWithCertificate = (states: readonly string[]): string[] =>
  states.filter((state) => findState(state)?.incomeTax.kind === 'worksheet');
