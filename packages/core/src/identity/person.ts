import { addDays, addMonths, parseDate, showDate, type LocalDate } from '../calendar/local-date.js';
import { ask, problem, warning, type Issue } from '../issues/issue.js';
import { findState } from '../jurisdictions/states.js';
import { STREET_LINE_LENGTH, streetInFile, streetLines } from './street.js';
import { nameInFile } from './transliterate.js';
import { isZipOf } from './zip-areas.js';

/** Who a person is, as typed. Blank is not known. */
export interface PersonIdentity {
  readonly firstName: string;
  readonly middleName: string;
  readonly lastName: string;
  readonly suffix: string;
  readonly street: string;
  readonly city: string;
  readonly state: string;
  /** ZIP code, or the postal code of another country. */
  readonly zip: string;
  /** Two letters of SSA Publication 42-007, for an address outside the United States; else blank. */
  readonly country: string;
  /** State or province of another country. */
  readonly province: string;
  readonly hiredOn: string | null;
  readonly bornOn: string | null;
}

/** What the name fields of the wage file can carry (SSA Publication 42-007, EFW2: letters, digits, blanks, hyphens, apostrophes). */
const NAME = /^[A-Za-z0-9 '-]*$/;
const SUFFIXES = ['JR', 'SR', 'I', 'II', 'III', 'IV', 'V', 'VI'];
const TITLES = /^(mr|mrs|ms|miss|dr|rev|prof)\.?\s/i;

function nameIssues(person: PersonIdentity): Issue[] {
  const issues: Issue[] = [];
  for (const field of ['firstName', 'middleName', 'lastName', 'suffix'] as const) {
    const inFile = nameInFile(person[field]);
    if (!NAME.test(inFile)) issues.push(problem('name.forbidden', field, { field: person[field] }));
    else if (inFile !== person[field].trim())
      issues.push(warning('name.in-file', field, { name: person[field].trim(), file: inFile }));
  }
  if (TITLES.test(`${person.firstName} `)) issues.push(problem('name.title', 'firstName', { name: person.firstName }));
  if (/\d/.test(`${person.firstName}${person.lastName}`))
    issues.push(problem('name.digits', /\d/.test(person.firstName) ? 'firstName' : 'lastName'));
  if (person.suffix !== '' && !SUFFIXES.includes(person.suffix.toUpperCase().replace('.', '')))
    issues.push(warning('name.suffix', 'suffix', { suffix: person.suffix }));
  const last = person.lastName.trim().split(' ').at(-1) ?? '';
  if (person.lastName.trim().includes(' ') && SUFFIXES.slice(0, 2).includes(last.toUpperCase().replace('.', '')))
    issues.push(warning('name.suffix-in-name', 'lastName', { suffix: last }));
  return issues;
}

/** Country codes that mean the United States or a territory with ZIP codes: such an address is not a foreign one. */
const AT_HOME: ReadonlySet<string> = new Set(['US', 'PR', 'VI', 'GU', 'AS', 'MP']);

function foreignIssues({ country, state, zip }: Pick<PersonIdentity, 'country' | 'state' | 'zip'>): Issue[] {
  if (!/^[A-Z]{2}$/.test(country) || AT_HOME.has(country)) return [problem('country.code', 'country', { country })];
  return [
    ...(state === '' ? [] : [problem('country.with-state', 'state', { country })]),
    ...(/^[A-Za-z0-9 -]*$/.test(zip) ? [] : [problem('country.postal-code', 'zip')]),
  ];
}

/** Characters of an address line in the wage file (SSA Publication 42-007, EFW2: Location and Delivery Address). */
export const WAGE_FILE_ADDRESS = 22;

function streetIssues(street: string): Issue[] {
  const lines = streetLines(street);
  if (lines.some((line) => line.length > STREET_LINE_LENGTH))
    return [problem('address.line', 'street', { most: String(STREET_LINE_LENGTH) })];
  const inFile = streetInFile(street, WAGE_FILE_ADDRESS);
  const file = [inFile.delivery, inFile.location].filter((line) => line !== '').join(' / ');
  if (inFile.isCut) return [ask('address.cut', 'street', { most: String(WAGE_FILE_ADDRESS), file })];
  return inFile.delivery === lines[0] && inFile.location === lines[1]
    ? []
    : [warning('address.in-file', 'street', { file })];
}

/** Issues of an address; blank fields are gaps, not issues. */
export function addressIssues(
  address: Pick<PersonIdentity, 'street' | 'city' | 'state' | 'zip'> &
    Partial<Pick<PersonIdentity, 'country' | 'province'>>,
  mayBePostBox = true,
): Issue[] {
  const issues: Issue[] = [];
  const { state, zip, country = '', province = '' } = address;
  issues.push(...streetIssues(address.street));
  if (country !== '') return [...issues, ...foreignIssues({ country, state, zip })];
  if (province !== '') issues.push(problem('country.missing', 'country', { province }));
  if (state !== '' && !findState(state)) issues.push(problem('rule.state-unknown', 'state', { state }));
  else if (zip !== '' && !/^\d{5}$/.test(zip)) issues.push(problem('zip.shape', 'zip'));
  else if (state !== '' && zip !== '' && isZipOf(zip, state) === false)
    issues.push(ask('zip.other-state', 'zip', { zip, state }));
  if (!mayBePostBox && /\bp\.?\s*o\.?\s*box\b/i.test(address.street)) issues.push(ask('address.post-box', 'street'));
  return issues;
}

const YOUNGEST_MONTHS = 14 * 12;
const OLDEST_MONTHS = 100 * 12;
/** Records are kept from here on; a hire date before it is a slip of the finger. */
const FIRST_HIRE = '1940-01-01';

function dateIssues(person: PersonIdentity, today: LocalDate): Issue[] {
  const issues: Issue[] = [];
  const born = person.bornOn === null ? null : parseDate(person.bornOn);
  const hired = person.hiredOn === null ? null : parseDate(person.hiredOn);
  if (person.bornOn !== null && !born) issues.push(problem('input.not-a-date', 'bornOn', { value: person.bornOn }));
  if (person.hiredOn !== null && !hired) issues.push(problem('input.not-a-date', 'hiredOn', { value: person.hiredOn }));
  if (born && born > today) issues.push(problem('dates.birth-future', 'bornOn', { day: showDate(born) }));
  else if (born && addMonths(born, OLDEST_MONTHS) < today)
    issues.push(problem('dates.birth-too-old', 'bornOn', { day: showDate(born) }));
  if (hired && hired < FIRST_HIRE) issues.push(problem('dates.hire-too-old', 'hiredOn', { day: showDate(hired) }));
  if (hired && hired > addDays(today, 366)) issues.push(problem('dates.hire-far', 'hiredOn', { day: showDate(hired) }));
  if (born && hired && hired <= born) issues.push(problem('dates.hired-before-born', 'hiredOn'));
  else if (born && hired && born <= today && addMonths(born, YOUNGEST_MONTHS) > hired)
    issues.push(ask('dates.young', 'bornOn', { day: showDate(born) }));
  return issues;
}

/** Everything that can be wrong in who a person is; the social security number has its own check. */
export const personIssues = (person: PersonIdentity, today: LocalDate): Issue[] => [
  ...nameIssues(person),
  ...addressIssues(person, false),
  ...dateIssues(person, today),
];

/** The next free employee number: one more than the highest, in the same width. */
export function nextEmployeeNumber(taken: readonly string[]): string {
  const numbers = taken.filter((number) => /^\d{1,9}$/.test(number));
  const highest = numbers.reduce((most, number) => Math.max(most, Number(number)), 0);
  const width = numbers.reduce((most, number) => Math.max(most, number.startsWith('0') ? number.length : 0), 0);
  return String(highest + 1).padStart(width, '0');
}
