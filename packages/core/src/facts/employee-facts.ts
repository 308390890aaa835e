import { JOBS } from './job-facts.js';
import { readFederalCertificate, readStateCertificate } from '../casefile/read-certificates.js';
import { isObject, type Reader } from '../casefile/reader.js';
import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { problem, type Issue } from '../issues/issue.js';
import { findItem } from '../items/registry.js';
import type { CertificateField } from '../jurisdictions/state.js';
import { findState } from '../jurisdictions/states.js';
import { WORKER_KINDS } from '../computation/kinds.js';
import { FactKinds, UNTIL, text, untilWords, type FactKind, type FactValue, moneyText } from './fact-kind.js';
import type { FactField } from './field.js';
import { GARNISHMENT, LEAVE, STANDING } from './pay-line-facts.js';

const FREQUENCY_WORDS = PAY_FREQUENCIES.filter((one) => one !== 'miscellaneous').map((one) => [one, one] as const);
const YEARLY = 'A year, as on the form';

const PAY: FactKind = {
  kind: 'pay',
  label: 'Pay',
  fields: [
    {
      name: 'basis',
      label: 'Pay type',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['hourly', 'by the hour'],
        ['salary', 'a salary'],
        ['commission', 'commission only'],
        ['none', 'no standing pay'],
      ],
    },
    { name: 'rate', label: 'Hourly rate', kind: 'decimal', isRequired: true, when: { field: 'basis', is: ['hourly'] } },
    {
      name: 'hours',
      label: 'Usual hours a period',
      kind: 'decimal',
      when: { field: 'basis', is: ['hourly'] },
      help: 'Blank: those of a full period',
    },
    { name: 'amount', label: 'Salary', kind: 'amount', isRequired: true, when: { field: 'basis', is: ['salary'] } },
    {
      name: 'frequency',
      label: 'Salary frequency',
      kind: 'choice',
      choices: FREQUENCY_WORDS,
      isRequired: true,
      when: { field: 'basis', is: ['salary'] },
    },
    {
      name: 'rates',
      label: 'Other hourly rates',
      kind: 'rows',
      of: [
        { name: 'label', label: 'For', kind: 'text', isRequired: true, most: 30 },
        { name: 'rate', label: 'Rate', kind: 'decimal', isRequired: true },
      ],
    },
  ],
  reads: payIssues,
  says: (value) => {
    const taken = lines(value, 'deductions')
      .map((line) => `${findItem(text(line, 'item'))?.label ?? text(line, 'item')} ${text(line, 'amount')}`)
      .join(', ');
    const others = lines(value, 'rates')
      .map((line) => `${text(line, 'label')} ${text(line, 'rate')}`)
      .join(', ');
    const usual = text(value, 'hours') === '' ? '' : `, usually ${text(value, 'hours')} hours`;
    const base = {
      hourly: `${moneyText(value, 'rate')} an hour${usual}`,
      salary: `Salary ${moneyText(value, 'amount')}, ${text(value, 'frequency')}`,
      commission: 'Commission only',
      none: 'No standing pay',
    }[text(value, 'basis')];
    return [base, others === '' ? '' : `also ${others}`, taken === '' ? '' : `each check ${taken}`]
      .filter((part) => part !== '')
      .join('; ');
  },
};

const lines = (value: FactValue, name: string): FactValue[] =>
  Array.isArray(value[name]) ? value[name].filter(isObject) : [];

function payIssues(reader: Reader, issues: Issue[]): void {
  reader.only(['basis', 'rate', 'hours', 'amount', 'frequency', 'deductions', 'rates']);
  const basis = reader.oneOf('basis', ['hourly', 'salary', 'commission', 'none'] as const);
  const missing = (field: string, what: string) =>
    issues.push(problem('input.missing', `${reader.path}.${field}`, { what }));
  if (basis === 'hourly') {
    if (!reader.decimal('rate') && !reader.has('rate')) missing('rate', 'the hourly rate');
    reader.decimal('hours');
  }
  if (basis === 'salary') {
    if (!reader.has('amount')) missing('amount', 'the salary');
    reader.amount('amount');
    reader.oneOf('frequency', PAY_FREQUENCIES);
  }
  for (const line of reader.list('rates', false)) {
    line.text('label');
    if (!line.has('rate')) issues.push(problem('input.missing', `${line.path}.rate`, { what: 'the rate' }));
    line.decimal('rate');
  }
  for (const line of reader.list('deductions', false)) {
    const code = line.text('item');
    const item = code === null ? null : findItem(code);
    if (code !== null && item?.list !== 'deduction')
      issues.push(problem('item.unknown', `${line.path}.item`, { item: code, choices: 'a deduction item' }));
    line.amount('amount');
  }
}

export const STATUS_WORDS: Readonly<Record<string, string>> = {
  single: 'single',
  'married-jointly': 'married filing jointly',
  'married-separately': 'married filing separately',
  'head-of-household': 'head of household',
  married: 'married',
  'married-at-single-rate': 'married, withhold at single rate',
};
const statuses = (...values: string[]): (readonly [string, string])[] =>
  values.map((value) => [value, STATUS_WORDS[value] ?? value] as const);
const ON_2020 = { field: 'form', is: ['2020'] } as const;
const ON_OLD = { field: 'form', is: ['pre-2020'] } as const;

const FEDERAL: FactKind = {
  kind: 'federal-certificate',
  label: 'Form W-4',
  until: 'withheld as single, without other adjustments',
  fields: [
    {
      name: 'form',
      label: 'Form',
      kind: 'choice',
      isRequired: true,
      preset: '2020',
      choices: [
        ['2020', 'of 2020 or later'],
        ['pre-2020', 'from before 2020'],
      ],
    },
    {
      name: 'filingStatus',
      label: 'Step 1(c), filing status',
      kind: 'choice',
      isRequired: true,
      choices: statuses('single', 'married-jointly', 'married-separately', 'head-of-household'),
      when: ON_2020,
    },
    { name: 'multipleJobs', label: 'Step 2(c), box checked', kind: 'flag', when: ON_2020 },
    { name: 'dependentCredit', label: 'Step 3, dependents', kind: 'amount', help: YEARLY, when: ON_2020 },
    { name: 'otherIncome', label: 'Step 4(a), other income', kind: 'amount', help: YEARLY, when: ON_2020 },
    { name: 'deductions', label: 'Step 4(b), deductions', kind: 'amount', help: YEARLY, when: ON_2020 },
    {
      name: 'maritalStatus',
      label: 'Marital status',
      kind: 'choice',
      isRequired: true,
      choices: statuses('single', 'married', 'married-at-single-rate'),
      when: ON_OLD,
    },
    { name: 'allowances', label: 'Line 5, allowances', kind: 'whole', when: ON_OLD },
    { name: 'extraWithholding', label: 'Extra withholding', kind: 'amount', help: 'Each pay period' },
    { name: 'exempt', label: 'Claims exemption', kind: 'flag' },
    { name: 'exemptYear', label: 'Exempt for the year', kind: 'whole', help: 'Ends on February 15 of the next year' },
    { name: 'nonresidentAlien', label: 'Nonresident alien', kind: 'flag' },
    { name: 'lockedIn', label: 'Lock-in letter (2800C)', kind: 'flag' },
  ],
  reads: (reader) => void readFederalCertificate(reader),
  says: (value) => {
    if (value['form'] === 'pre-2020')
      return `Form W-4 from before 2020: ${STATUS_WORDS[text(value, 'maritalStatus')] ?? ''}, ${text(value, 'allowances') || '0'} allowances`;
    const parts = [
      STATUS_WORDS[text(value, 'filingStatus')] ?? '',
      value['multipleJobs'] === true ? 'step 2 box checked' : 'step 2 box not checked',
    ];
    const steps: readonly (readonly [string, string])[] = [
      ['dependentCredit', 'step 3'],
      ['otherIncome', 'step 4(a)'],
      ['deductions', 'step 4(b)'],
      ['extraWithholding', 'step 4(c)'],
    ];
    for (const [field, label] of steps)
      if (text(value, field) !== '' && text(value, field) !== '0.00') parts.push(`${label} ${text(value, field)}`);
    if (value['exempt'] === true) parts.push('exempt');
    if (value['nonresidentAlien'] === true) parts.push('nonresident alien');
    return `Form W-4: ${parts.join(', ')}`;
  },
};

const KIND_OF_FIELD: Readonly<Record<CertificateField['kind'], FactField['kind']>> = {
  choice: 'choice',
  whole: 'whole',
  amount: 'amount',
  percent: 'decimal',
  flag: 'flag',
};
/** The fields of a state's own certificate as a form asks them; none where the state withholds no income tax. */
export function stateCertificateFields(state: string): readonly FactField[] {
  const rule = findState(state)?.incomeTax;
  if (rule?.kind !== 'worksheet') return [];
  return rule.certificate.fields.map((field) => ({
    name: field.name,
    label: field.label,
    kind: KIND_OF_FIELD[field.kind],
    help: field.help,
    ...(field.choices ? { choices: field.choices.map((value) => [value, STATUS_WORDS[value] ?? value] as const) } : {}),
    ...(field.kind === 'choice' && field.otherwise === undefined ? { isRequired: true as const } : {}),
  }));
}

const STATE: FactKind = {
  kind: 'state-certificate',
  label: 'State certificate',
  slot: 'state',
  fields: [{ name: 'state', label: 'State', kind: 'state', isRequired: true }],
  reads: (reader, issues) => {
    reader.only(['state', 'certificate']);
    const state = reader.text('state');
    if (state === null) return;
    if (!findState(state)) {
      issues.push(problem('rule.state-unknown', `${reader.path}.state`, { state }));
      return;
    }
    const inner = reader.object('certificate');
    if (inner) readStateCertificate(state, inner);
  },
  says: (value) => {
    const certificate = isObject(value['certificate']) ? value['certificate'] : {};
    const state = text(value, 'state');
    const rule = findState(state)?.incomeTax;
    const form = rule?.kind === 'worksheet' ? rule.certificate.form : 'certificate';
    const order = rule?.kind === 'worksheet' ? rule.certificate.fields.map((field) => field.name) : [];
    const fields = order
      .filter((name) => ![undefined, false, '0.00'].includes(certificate[name] as undefined))
      .map((name) => certificateWords(name, certificate[name]));
    return `${state} ${form}: ${fields.join(', ') || 'nothing claimed'}`;
  },
};
function certificateWords(name: string, given: unknown): string {
  if (name === 'filingStatus') return STATUS_WORDS[String(given)] ?? String(given);
  return given === true ? name : `${name} ${String(given)}`;
}

const PLACE: FactKind = {
  kind: 'place',
  label: 'Places',
  fields: [
    { name: 'work', label: 'Work state', kind: 'state', isRequired: true },
    { name: 'workLocality', label: 'Work locality', kind: 'text', most: 60, placeOf: 'work' },
    { name: 'residence', label: 'Resident state', kind: 'state', isRequired: true },
    {
      name: 'residenceLocality',
      label: 'Resident locality',
      placeOf: 'residence',
      kind: 'text',
      most: 60,
      help: 'City, county or municipality that taxes',
    },
    { name: 'schoolDistrict', label: 'School district', kind: 'text', most: 60 },
    {
      name: 'unemploymentState',
      label: 'Unemployment state',
      kind: 'state',
      help: 'Only for work in several states; blank: found by the localization tests',
    },
    { name: 'localizedIn', label: 'Work localized in', kind: 'state', help: 'All of it but what is incidental' },
    {
      name: 'baseOfOperations',
      label: 'Base of operations',
      kind: 'state',
      help: 'When no one state has nearly all the work',
    },
    { name: 'directedFrom', label: 'Directed from', kind: 'state', help: 'When there is no base of operations' },
    { name: 'reciprocityCertificate', label: 'Reciprocity certificate on file', kind: 'flag' },
    {
      name: 'convenienceOf',
      label: 'Works at home instead of an office in',
      kind: 'state',
      help: 'When that is the person’s own convenience',
    },
    {
      name: 'otherWork',
      label: 'Other places of work',
      kind: 'rows',
      of: [
        { name: 'state', label: 'State', kind: 'state', isRequired: true },
        { name: 'locality', label: 'Locality', kind: 'text', most: 60, placeOf: 'state' },
        { name: 'share', label: 'Share of the pay', kind: 'decimal', isRequired: true, help: '0.4 for 40 percent' },
      ],
    },
  ],
  says: (value) => {
    const at = (state: string, locality: string): string => (locality === '' ? state : `${locality}, ${state}`);
    const also = lines(value, 'otherWork')
      .map((other) => `${text(other, 'share')} in ${at(text(other, 'state'), text(other, 'locality'))}`)
      .join(', ');
    const school = text(value, 'schoolDistrict') === '' ? '' : `, school district ${text(value, 'schoolDistrict')}`;
    const office = text(value, 'convenienceOf') === '' ? '' : ` for an office in ${text(value, 'convenienceOf')}`;
    return `Works in ${at(text(value, 'work'), text(value, 'workLocality'))}${office}${also ? ` (${also})` : ''}, lives in ${at(text(value, 'residence'), text(value, 'residenceLocality'))}${school}`;
  },
};

const WORKER: FactKind = {
  kind: 'worker',
  label: 'Work',
  fields: [
    {
      name: 'kind',
      label: 'Worker category',
      kind: 'choice',
      choices: Object.entries(WORKER_KINDS)
        .filter(([kind]) => kind !== 'partner' && kind !== 'contractor')
        .map(([kind, rule]) => [kind, rule.label] as const),
      help: 'Those the law treats apart',
    },
    { name: 'title', label: 'Job title', kind: 'text', most: 40 },
    { name: 'department', label: 'Department', kind: 'text', most: 30 },
    { name: 'location', label: 'Location', kind: 'text', most: 30 },
    { name: 'costCentre', label: 'Cost center', kind: 'text', most: 30 },
    {
      name: 'schedule',
      label: 'Pay schedule',
      kind: 'text',
      most: 30,
      help: 'Its name, where the client has several; blank: the one without a name',
    },
    {
      name: 'workClass',
      label: 'Class code',
      kind: 'text',
      most: 10,
      help: "Of the client's workers' compensation policy",
    },
    {
      name: 'priorYearWages',
      label: 'Social security wages last year',
      kind: 'amount',
      help: 'From this employer, box 3; checks posted here are counted by themselves. Decides whether catch-up deferrals must be Roth',
    },
    {
      name: 'exemptFrom',
      label: 'Exempt from taxes',
      kind: 'rows',
      of: [
        { name: 'tax', label: 'Tax', kind: 'tax', isRequired: true },
        { name: 'reason', label: 'Reason', kind: 'text', isRequired: true, most: 120 },
      ],
    },
  ],
  says: (value) => {
    const kind = text(value, 'kind') as keyof typeof WORKER_KINDS;
    const exempt = lines(value, 'exemptFrom')
      .map((line) => `exempt from ${text(line, 'tax')} (${text(line, 'reason')})`)
      .join(', ');
    const parts = [
      text(value, 'kind') === '' ? '' : WORKER_KINDS[kind].label,
      text(value, 'title'),
      ...(['department', 'location', 'costCentre'] as const).map((name) => text(value, name)),
      text(value, 'schedule') === '' ? '' : `paid by the schedule ${text(value, 'schedule')}`,
      text(value, 'workClass') === '' ? '' : `class ${text(value, 'workClass')}`,
      text(value, 'priorYearWages') === '' ? '' : `${text(value, 'priorYearWages')} of wages last year`,
      exempt,
    ];
    return parts.filter((part) => part !== '').join(', ');
  },
};

const BANK: FactKind = {
  kind: 'bank',
  label: 'Bank account',
  slot: 'label',
  fields: [
    { name: 'label', label: 'Name of the account', kind: 'text', isRequired: true, most: 30 },
    { name: 'routing', label: 'Routing number', kind: 'routing', isRequired: true },
    { name: 'account', label: 'Account number', kind: 'secret', isRequired: true },
    {
      name: 'type',
      label: 'Type',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['checking', 'checking'],
        ['savings', 'savings'],
      ],
    },
    {
      name: 'share',
      label: 'Amount per check',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['rest', 'remainder of net pay'],
        ['amount', 'an amount'],
        ['percent', 'a percentage of the net pay'],
      ],
    },
    { name: 'amount', label: 'Amount', kind: 'amount', isRequired: true, when: { field: 'share', is: ['amount'] } },
    { name: 'percent', label: 'Percent', kind: 'percent', isRequired: true, when: { field: 'share', is: ['percent'] } },
    {
      name: 'prenote',
      label: 'Prenote',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['wanted', 'to be sent'],
        ['waived', 'not wanted'],
        ['confirmed', 'confirmed'],
      ],
    },
    UNTIL,
  ],
  check: (value, path) =>
    Number(text(value, 'percent')) > 100
      ? [problem('percent.over-whole', `${path}.percent`, { percent: text(value, 'percent') })]
      : [],
  says: (value) => {
    const shares: Readonly<Record<string, string>> = {
      rest: 'the rest of the net pay',
      amount: `${moneyText(value, 'amount')} of each check`,
      percent: `${text(value, 'percent')}% of the net pay`,
    };
    return `${text(value, 'label')}, ${text(value, 'type')}, routing ${text(value, 'routing')}, account ending ${text(value, 'accountTail')}: ${shares[text(value, 'share')] ?? ''}; prenote ${text(value, 'prenote')}${untilWords(value)}`;
  },
};

const CONSENT: FactKind = {
  kind: 'consent',
  label: 'Electronic delivery',
  fields: [
    {
      name: 'delivery',
      label: 'Form W-2 and statements',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['electronic', 'electronically, consent given'],
        ['paper', 'on paper'],
      ],
    },
    { name: 'email', label: 'E-mail', kind: 'text', most: 60 },
    { name: 'phone', label: 'Telephone', kind: 'text', most: 20 },
  ],
  says: (value) =>
    [
      text(value, 'delivery') === 'electronic' ? 'Agreed to electronic delivery' : 'Wants paper',
      text(value, 'email'),
      text(value, 'phone'),
    ]
      .filter((part) => part !== '')
      .join(', '),
};

const OWN_FIELD: FactKind = {
  kind: 'own-field',
  label: 'Custom field',
  slot: 'name',
  fields: [
    { name: 'name', label: 'Name', kind: 'text', isRequired: true, most: 30 },
    { name: 'content', label: 'Content', kind: 'text', isRequired: true, most: 120 },
    UNTIL,
  ],
  says: (value) => `${text(value, 'name')}: ${text(value, 'content')}${untilWords(value)}`,
};

const EMPLOYMENT: FactKind = {
  kind: 'employment',
  label: 'Employment',
  fields: [
    {
      name: 'standing',
      label: 'Status',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['active', 'active'],
        ['ended', 'terminated'],
        ['leave', 'on leave without pay'],
      ],
      help: 'Terminated: From is the last day of the employment',
    },
    { name: 'reason', label: 'Reason', kind: 'text', most: 60 },
  ],
  says: (value) => {
    const words: Readonly<Record<string, string>> = {
      active: 'Works here',
      ended: 'Has left',
      leave: 'On leave without pay',
    };
    const reason = text(value, 'reason');
    return `${words[text(value, 'standing')] ?? ''}${reason === '' ? '' : `: ${reason}`}`;
  },
};

/** Every kind of fact about a person, in the order in which a page shows them. */
export const EMPLOYEE_FACTS = new FactKinds([
  PAY,
  FEDERAL,
  STATE,
  PLACE,
  WORKER,
  JOBS,
  STANDING,
  GARNISHMENT,
  LEAVE,
  BANK,
  CONSENT,
  EMPLOYMENT,
  OWN_FIELD,
]);
export type EmployeeFactKind =
  | 'pay'
  | 'federal-certificate'
  | 'state-certificate'
  | 'place'
  | 'worker'
  | 'jobs'
  | 'standing'
  | 'garnishment'
  | 'leave'
  | 'bank'
  | 'consent'
  | 'employment'
  | 'own-field';
export const EMPLOYEE_FACT_KINDS = EMPLOYEE_FACTS.kinds.map((kind) => kind.kind) as EmployeeFactKind[];
