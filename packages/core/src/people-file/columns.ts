import { STATE_CODES } from '../jurisdictions/state.js';
import { stateCertificateFields } from '../facts/employee-facts.js';

export type PeopleColumnKind =
  'text' | 'date' | 'amount' | 'decimal' | 'percent' | 'whole' | 'flag' | 'state' | 'ssn' | 'zip' | 'name' | 'choice';

/** A column that a file of people may have: what it holds and the headings by which it is known. */
export interface PeopleColumn {
  readonly name: string;
  readonly label: string;
  readonly kind: PeopleColumnKind;
  /** Headings in small letters without blanks and signs. */
  readonly headings: readonly string[];
  readonly most?: number;
  /** Words that stand for a choice, in small letters without blanks and signs. */
  readonly words?: Readonly<Record<string, string>>;
}

const text = (name: string, label: string, most: number, ...headings: string[]): PeopleColumn => ({
  name,
  label,
  kind: 'text',
  most,
  headings,
});
const of = (kind: PeopleColumnKind, name: string, label: string, ...headings: string[]): PeopleColumn => ({
  name,
  label,
  kind,
  headings,
});

const STATUSES = {
  s: 'single',
  single: 'single',
  singleormarriedfilingseparately: 'single',
  mj: 'married-jointly',
  mfj: 'married-jointly',
  marriedjointly: 'married-jointly',
  marriedfilingjointly: 'married-jointly',
  m: 'married-jointly',
  married: 'married-jointly',
  mfs: 'married-separately',
  marriedseparately: 'married-separately',
  marriedfilingseparately: 'married-separately',
  h: 'head-of-household',
  hoh: 'head-of-household',
  headofhousehold: 'head-of-household',
};

/** Every column the file may have, in the order of an export. */
export const PEOPLE_COLUMNS: readonly PeopleColumn[] = [
  text(
    'number',
    'Employee no.',
    12,
    'number',
    'employeenumber',
    'employeeno',
    'empno',
    'emp',
    'empnumber',
    'employeeid',
    'id',
    'empid',
    'no',
    'fileno',
    'filenumber',
    'clocknumber',
  ),
  of('name', 'fullName', 'Last, first name', 'name', 'fullname', 'employee', 'employeename'),
  text('firstName', 'First name', 15, 'firstname', 'first', 'givenname'),
  text('middleName', 'Middle name', 15, 'middlename', 'middle', 'middleinitial', 'mi'),
  text('lastName', 'Last name', 20, 'lastname', 'last', 'surname', 'familyname'),
  text('suffix', 'Suffix', 4, 'suffix'),
  of(
    'ssn',
    'ssn',
    'Social security number',
    'ssn',
    'socialsecuritynumber',
    'socialsecurity',
    'socialsecurityno',
    'socsec',
    'socsecno',
    'socsecnumber',
    'ssno',
    'ssnumber',
    'taxid',
  ),
  text('street', 'Street', 60, 'street', 'address', 'address1', 'streetaddress', 'addressline1', 'homeaddress'),
  text('unit', 'Apartment, suite', 60, 'address2', 'addressline2', 'apt', 'apartment', 'unit', 'suite', 'street2'),
  text('city', 'City', 22, 'city', 'town'),
  of('state', 'state', 'State', 'state', 'st', 'homestate'),
  of('zip', 'zip', 'ZIP', 'zip', 'zipcode', 'postalcode'),
  text('country', 'Country, if abroad', 2, 'country', 'countrycode', 'countryifabroad'),
  text('province', 'Province, if abroad', 23, 'province', 'foreignstate', 'provinceifabroad'),
  of('date', 'hiredOn', 'Hire date', 'hired', 'hiredon', 'hiredate', 'datehired', 'startdate', 'dateofhire'),
  of('date', 'bornOn', 'Date of birth', 'born', 'bornon', 'birthdate', 'dateofbirth', 'dob'),
  {
    name: 'kind',
    label: 'Worker category',
    kind: 'choice',
    headings: ['kind', 'workerkind', 'kindofworker', 'type', 'employeetype'],
    words: {
      employee: 'employee',
      w2: 'employee',
      statutory: 'statutory',
      partner: 'partner',
      contractor: 'contractor',
      '1099': 'contractor',
      independentcontractor: 'contractor',
    },
  },
  of(
    'flag',
    'isRetirementPlan',
    'Retirement plan (box 13)',
    'retirementplan',
    'inretirementplan',
    'inaretirementplan',
    'retirement',
  ),
  text('email', 'E-mail', 60, 'email', 'emailaddress'),
  text('phone', 'Telephone', 20, 'phone', 'telephone', 'mobile', 'phonenumber'),
  text('title', 'Job title', 40, 'title', 'jobtitle', 'position'),
  text('department', 'Department', 30, 'department', 'dept'),
  of('decimal', 'rate', 'Hourly rate', 'rate', 'hourlyrate', 'payrate', 'hourly', 'wage'),
  of(
    'decimal',
    'hours',
    'Usual hours a period',
    'hours',
    'usualhours',
    'defaulthours',
    'hoursperperiod',
    'usualhoursaperiod',
  ),
  of('amount', 'salary', 'Salary', 'salary', 'salaryamount', 'annualsalary', 'yearlysalary', 'annualpay', 'basesalary'),
  {
    name: 'salaryFrequency',
    label: 'Salary frequency',
    kind: 'choice',
    headings: ['salaryfrequency', 'salaryper', 'thesalaryis', 'per', 'payperiod'],
    words: {
      weekly: 'weekly',
      week: 'weekly',
      biweekly: 'biweekly',
      semimonthly: 'semimonthly',
      monthly: 'monthly',
      month: 'monthly',
      quarterly: 'quarterly',
      annually: 'annually',
      annual: 'annually',
      yearly: 'annually',
      year: 'annually',
    },
  },
  {
    name: 'filingStatus',
    label: 'W-4 filing status',
    kind: 'choice',
    headings: [
      'filingstatus',
      'w4filingstatus',
      'federalfilingstatus',
      'fedfilingstatus',
      'fedstatus',
      'w4status',
      'federalstatus',
    ],
    words: STATUSES,
  },
  of('flag', 'multipleJobs', 'W-4 step 2 box', 'multiplejobs', 'w4step2', 'w4step2box', 'step2', 'step2c', 'twojobs'),
  of(
    'amount',
    'dependentCredit',
    'W-4 step 3',
    'dependents',
    'w4step3',
    'step3',
    'dependentcredit',
    'dependentsamount',
    'dependentamount',
    'claimdependents',
    'feddependentsamount',
  ),
  of('amount', 'otherIncome', 'W-4 step 4(a)', 'otherincome', 'w4step4a', 'step4a'),
  of('amount', 'deductions', 'W-4 step 4(b)', 'deductions', 'w4step4b', 'step4b', 'w4deductions'),
  of(
    'amount',
    'extraWithholding',
    'W-4 step 4(c)',
    'extrawithholding',
    'w4step4c',
    'step4c',
    'additionalwithholding',
    'addlfedwh',
    'addlfedwithholding',
    'additionalfederalwithholding',
    'addlfit',
    'extrafit',
  ),
  of('flag', 'exempt', 'W-4 exempt', 'exempt', 'w4exempt', 'federalexempt'),
  {
    name: 'oldStatus',
    label: 'Old W-4 status',
    kind: 'choice',
    headings: ['oldw4status', 'maritalstatus', 'pre2020status'],
    words: {
      s: 'single',
      single: 'single',
      m: 'married',
      married: 'married',
      marriedatsinglerate: 'married-at-single-rate',
      marriedbutwithholdathighersinglerate: 'married-at-single-rate',
      h: 'single',
    },
  },
  of('whole', 'oldAllowances', 'Old W-4 allowances', 'oldw4allowances', 'pre2020allowances', 'federalallowances'),
  of('state', 'workState', 'Work state', 'workstate', 'worksin', 'stateofwork', 'workedin'),
  text('workLocality', 'Work locality', 60, 'worklocality', 'localityofwork', 'workcity', 'worklocation'),
  of('state', 'residenceState', 'Resident state', 'residencestate', 'livesin', 'stateofresidence', 'residentstate'),
  text(
    'residenceLocality',
    'Resident locality',
    60,
    'residencelocality',
    'localityofresidence',
    'residentlocality',
    'county',
    'countyofresidence',
  ),
  text('schoolDistrict', 'School district', 60, 'schooldistrict'),
  of('percent', 'deferralPercent', '401(k) percent', '401kpercent', '401k%', 'deferralpercent', '401k'),
  of('amount', 'deferralAmount', '401(k) amount', '401kamount', 'deferralamount'),
  of(
    'amount',
    'health',
    'Health, section 125',
    'health',
    'healthsection125',
    'section125health',
    'medical',
    'healthpretax',
  ),
];
const BY_NAME = new Map(PEOPLE_COLUMNS.map((column) => [column.name, column]));

/** A column for a field of a state's certificate is named `certificate:NJ:rateTable`. */
const CERTIFICATE = /^certificate:([A-Z]{2}):(\w+)$/;
/** The state of a certificate's column; null for every other column. */
export const certificateStateOf = (name: string): string | null => CERTIFICATE.exec(name)?.[1] ?? null;

const kindOf = (kind: string): PeopleColumnKind =>
  kind === 'flag'
    ? 'flag'
    : kind === 'whole'
      ? 'whole'
      : kind === 'amount'
        ? 'amount'
        : kind === 'decimal'
          ? 'decimal'
          : 'choice';

function certificateColumn(state: string, field: string): PeopleColumn | null {
  const found = stateCertificateFields(state).find((one) => one.name === field);
  if (!found) return null;
  const words = Object.fromEntries(
    (found.choices ?? []).flatMap(([value, word]) => [
      [plain(value), value],
      [plain(word), value],
    ]),
  );
  return {
    name: `certificate:${state}:${field}`,
    label: `${state} certificate, ${found.label.toLowerCase()}`,
    kind: kindOf(found.kind),
    headings: [plain(`${state} ${found.label}`), plain(`${state} ${field}`)],
    ...(found.choices
      ? { words: { ...(field === 'filingStatus' ? statusesAmong(found.choices) : {}), ...words } }
      : {}),
  };
}
const statusesAmong = (choices: readonly (readonly [string, string])[]): Record<string, string> =>
  Object.fromEntries(Object.entries(STATUSES).filter(([, value]) => choices.some(([known]) => known === value)));

/** Lowercase letters and digits only: how headings and words are compared. */
export const plain = (text: string): string => text.toLowerCase().replace(/[^a-z0-9%]/g, '');

export function findColumn(name: string): PeopleColumn | null {
  const match = CERTIFICATE.exec(name);
  return match ? certificateColumn(match[1] ?? '', match[2] ?? '') : (BY_NAME.get(name) ?? null);
}

/** Columns for the certificates of some states. */
export const certificateColumns = (states: readonly string[]): PeopleColumn[] =>
  states.flatMap((state) =>
    stateCertificateFields(state).flatMap((field) => certificateColumn(state, field.name) ?? []),
  );

let everyState: readonly PeopleColumn[] | null = null;
const allCertificateColumns = (): readonly PeopleColumn[] => (everyState ??= certificateColumns(STATE_CODES));

/** The column that a heading most likely means; null when it is not known. */
export function columnOfHeading(heading: string): string | null {
  const wanted = plain(heading);
  if (wanted === '') return null;
  const known = PEOPLE_COLUMNS.find(
    (column) => column.headings.includes(wanted) || plain(column.label) === wanted || plain(column.name) === wanted,
  );
  if (known) return known.name;
  return (
    allCertificateColumns().find((column) => column.headings.includes(wanted) || plain(column.label) === wanted)
      ?.name ?? null
  );
}

/** A mapping proposed from the headings: one column name (or blank) for each, the first of two alike. */
export function proposeMapping(headings: readonly string[]): string[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const name = columnOfHeading(heading);
    if (name === null || taken.has(name)) return '';
    taken.add(name);
    return name;
  });
}
