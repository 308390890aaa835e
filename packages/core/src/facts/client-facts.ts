import { PAY_FREQUENCIES } from '../calendar/pay-frequency.js';
import { FORM_NAMES } from '../filings/names.js';
import { problem } from '../issues/issue.js';
import { isPlausibleFactor } from '../items/factor.js';
import { findItem, type BaseFamily } from '../items/registry.js';
import { BASE_FAMILIES } from '../items/treatment.js';
import { parsePercent, parseRate, ratePerThousand } from '../money/rate.js';
import { EMPLOYER_KINDS } from '../computation/kinds.js';
import { isTaxCode, taxOf } from '../tax-registry/registry.js';
import type { FactField } from './field.js';
import { FactKinds, UNTIL, text, untilWords, type FactKind, type FactValue, dayText, moneyText } from './fact-kind.js';

export const FORM_FAMILIES = [
  ['941', 'Form 941, quarterly'],
  ['943', 'Form 943, agricultural employees'],
  ['944', 'Form 944, yearly'],
  ['945', 'Form 945, withholding on other payments'],
  ['schedule-h', 'Schedule H, household employees'],
] as const;
export type FormFamily = (typeof FORM_FAMILIES)[number][0];

export const ENTITIES = [
  ['sole-proprietor', 'sole proprietor'],
  ['partnership', 'partnership'],
  ['corporation', 'corporation'],
  ['s-corporation', 'S corporation'],
  ['limited-liability', 'limited liability company'],
  ['trust', 'trust or estate'],
  ['association', 'association or exempt organization'],
  ['government', 'government'],
  ['person', 'a person'],
] as const;
const wordOf = (choices: readonly (readonly [string, string])[], value: string): string =>
  choices.find(([known]) => known === value)?.[1] ?? value;

/** Form families an employer of a kind may file (Instructions for Forms 941, 943, 944 and Schedule H). */
const FAMILIES_OF: Readonly<Record<string, readonly FormFamily[]>> = {
  household: ['schedule-h', '941', '944'],
  agricultural: ['943', '941', '944'],
};
export const familiesOf = (employerKind: string): readonly FormFamily[] =>
  FAMILIES_OF[employerKind] ?? ['941', '944', '945'];

const EMPLOYER: FactKind = {
  kind: 'employer',
  label: 'Employer type',
  fields: [
    {
      name: 'kind',
      label: 'Employer',
      kind: 'choice',
      isRequired: true,
      choices: Object.entries(EMPLOYER_KINDS).map(([kind, rule]) => [kind, rule.label] as const),
    },
    { name: 'entity', label: 'Entity', kind: 'choice', isRequired: true, choices: ENTITIES },
    { name: 'formFamily', label: 'Federal form', kind: 'choice', isRequired: true, choices: FORM_FAMILIES },
    { name: 'isSeasonal', label: 'Seasonal employer', kind: 'flag' },
    { name: 'firstWages', label: 'First pay date', kind: 'date' },
    { name: 'lastWages', label: 'Last pay date', kind: 'date', help: 'When the business closes' },
    { name: 'successor', label: 'Taken over by', kind: 'text', most: 57 },
    { name: 'predecessor', label: 'Took over the business of', kind: 'text', most: 57 },
    { name: 'fiscalYearEnds', label: 'Fiscal year ends', kind: 'month-day', help: 'Month and day, 12-31' },
    { name: 'employees', label: 'Employees', kind: 'whole', help: 'Where a premium depends on the size' },
    { name: 'quarterlyPayroll', label: 'Payroll a quarter', kind: 'amount', help: 'Where a rate depends on it' },
  ],
  check: (value, path) => {
    const kind = text(value, 'kind');
    const family = text(value, 'formFamily') as FormFamily;
    const may = familiesOf(kind);
    if (!may.includes(family))
      return [
        problem('employer.form-family', `${path}.formFamily`, {
          form: wordOf(FORM_FAMILIES, family),
          kind: EMPLOYER_KINDS[kind as keyof typeof EMPLOYER_KINDS].label.toLowerCase(),
          choices: may.join(', '),
        }),
      ];
    const [first, last] = [text(value, 'firstWages'), text(value, 'lastWages')];
    return first !== '' && last !== '' && last < first
      ? [problem('dates.order', `${path}.lastWages`, { first: 'the first day with wages', last: 'the last' })]
      : [];
  },
  says: (value) => {
    const kind = EMPLOYER_KINDS[text(value, 'kind') as keyof typeof EMPLOYER_KINDS];
    const parts = [
      kind.label,
      wordOf(ENTITIES, text(value, 'entity')),
      `files ${wordOf(FORM_FAMILIES, text(value, 'formFamily'))}`,
      value['isSeasonal'] === true ? 'seasonal' : '',
      text(value, 'firstWages') === '' ? '' : `wages from ${dayText(value, 'firstWages')}`,
      text(value, 'lastWages') === '' ? '' : `closed, last wages ${dayText(value, 'lastWages')}`,
      text(value, 'successor') === '' ? '' : `taken over by ${text(value, 'successor')}`,
      text(value, 'predecessor') === '' ? '' : `took over ${text(value, 'predecessor')}`,
    ];
    return parts.filter((part) => part !== '').join(', ');
  },
};

/** A form that a client files, or does not, against what follows from what it is and pays. */
const FORM: FactKind = {
  kind: 'form',
  label: 'Form it files or does not',
  slot: 'form',
  fields: [
    {
      name: 'form',
      label: 'Form',
      kind: 'choice',
      isRequired: true,
      choices: Object.entries(FORM_NAMES),
    },
    {
      name: 'files',
      label: 'Files it',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['yes', 'yes'],
        ['no', 'no'],
      ],
    },
    { name: 'reason', label: 'Reason', kind: 'text', isRequired: true, most: 160 },
    UNTIL,
  ],
  says: (value) =>
    `${text(value, 'files') === 'yes' ? 'Files' : 'Does not file'} ${wordOf(Object.entries(FORM_NAMES), text(value, 'form'))}: ${text(value, 'reason')}${untilWords(value)}`,
};

const SCHEDULE: FactKind = {
  kind: 'schedule',
  label: 'Pay schedule',
  slot: 'name',
  fields: [
    {
      name: 'name',
      label: 'Name of the schedule',
      kind: 'text',
      most: 30,
      help: 'Blank where there is one; the second needs a name, which its employees have in their Work',
    },
    {
      name: 'frequency',
      label: 'Pay frequency',
      kind: 'choice',
      isRequired: true,
      choices: PAY_FREQUENCIES.filter((one) => one !== 'miscellaneous').map((one) => [one, one] as const),
    },
    { name: 'periodEnd', label: 'Period end date', kind: 'date', isRequired: true },
    { name: 'daysToCheck', label: 'Pay lag, days', kind: 'whole' },
    {
      name: 'whenClosed',
      label: 'A check date on a weekend or bank holiday moves',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['before', 'to the banking day before'],
        ['after', 'to the banking day after'],
      ],
    },
    { name: 'hours', label: 'Usual hours a period', kind: 'decimal' },
    {
      name: 'account',
      label: 'Paid from',
      kind: 'text',
      most: 40,
      help: 'The bank account, by its label; blank: the first one',
    },
  ],
  says: (value) =>
    `${text(value, 'name') === '' ? '' : `${text(value, 'name')}: `}${text(value, 'frequency')}, a period ends ${dayText(value, 'periodEnd')}, checks ${text(value, 'daysToCheck') || '0'} days later, moved to the banking day ${text(value, 'whenClosed')}${text(value, 'account') === '' ? '' : `, paid from ${text(value, 'account')}`}`,
};

const LOOKBACK: FactKind = {
  kind: 'lookback',
  label: 'Lookback',
  slot: 'year',
  fields: [
    { name: 'year', label: 'For the year', kind: 'whole', isRequired: true },
    { name: 'q3', label: 'July to September, two years before', kind: 'amount', isRequired: true },
    { name: 'q4', label: 'October to December, two years before', kind: 'amount', isRequired: true },
    { name: 'q1', label: 'January to March, the year before', kind: 'amount', isRequired: true },
    { name: 'q2', label: 'April to June, the year before', kind: 'amount', isRequired: true },
  ],
  says: (value) =>
    `Lookback for ${text(value, 'year')}: ${['q3', 'q4', 'q1', 'q2'].map((name) => moneyText(value, name)).join(' + ')}`,
};

const TAX_EXEMPTION: FactKind = {
  kind: 'tax-exemption',
  label: 'Exemption from a tax',
  slot: 'tax',
  fields: [
    { name: 'tax', label: 'Tax', kind: 'tax', isRequired: true },
    { name: 'reason', label: 'Reason', kind: 'text', isRequired: true, most: 160 },
    UNTIL,
  ],
  says: (value) => `${taxLabel(text(value, 'tax'))}: ${text(value, 'reason')}${untilWords(value)}`,
};
const taxLabel = (code: string): string => (isTaxCode(code) ? taxOf(code).label : code);

const OWN_RATE: FactKind = {
  kind: 'own-rate',
  label: 'Employer tax rate',
  slot: 'tax',
  fields: [
    { name: 'tax', label: 'Tax', kind: 'tax', isRequired: true },
    { name: 'percent', label: 'Percent', kind: 'percent', isRequired: true },
    UNTIL,
  ],
  says: (value) => {
    const rate = parsePercent(text(value, 'percent'));
    return `${taxLabel(text(value, 'tax'))}: ${rate ? ratePerThousand(rate) : ''}${untilWords(value)}`;
  },
};

const LOCAL: FactKind = {
  kind: 'local-registration',
  label: 'Local registration',
  slot: 'locality',
  fields: [
    { name: 'state', label: 'State', kind: 'state', isRequired: true },
    { name: 'locality', label: 'Locality', kind: 'text', isRequired: true, most: 60 },
    { name: 'account', label: 'Account number', kind: 'text', most: 30 },
    { name: 'collector', label: 'Collector code', kind: 'text', most: 20, help: 'Tax collection district' },
    UNTIL,
  ],
  says: (value) =>
    [`${text(value, 'locality')}, ${text(value, 'state')}`, text(value, 'account'), text(value, 'collector')]
      .filter((part) => part !== '')
      .join(', ') + untilWords(value),
};

/** The field of a pay item that says how a base treats it. */
export const treatmentField = (family: BaseFamily): string => `for-${family}`;
const TREATMENT_WORDS = [
  ['taxed', 'taxed'],
  ['untaxed', 'not taxed'],
] as const;

const PAY_ITEM: FactKind = {
  kind: 'pay-item',
  label: 'Pay item',
  slot: 'code',
  fields: [
    {
      name: 'code',
      label: 'Code',
      kind: 'text',
      isRequired: true,
      most: 30,
      help: 'Lowercase letters, digits, hyphens',
    },
    { name: 'label', label: 'Name on the pay statement', kind: 'text', isRequired: true, most: 40 },
    { name: 'like', label: 'Treated as', kind: 'item', isRequired: true, lists: ['earning', 'deduction', 'employer'] },
    {
      name: 'factor',
      label: 'Multiplier',
      kind: 'decimal',
      help: 'Of an earning by the hour, like 1.75; blank: as the standard item',
    },
    { name: 'perCheck', label: 'At most a check', kind: 'amount' },
    { name: 'perYear', label: 'At most a year', kind: 'amount' },
    { name: 'account', label: 'Ledger account', kind: 'text', most: 30 },
    ...BASE_FAMILIES.map(([family, label]): FactField => ({
      name: treatmentField(family),
      label: `For ${label}`,
      kind: 'choice',
      choices: TREATMENT_WORDS,
      help: 'Blank: as the standard item',
    })),
    UNTIL,
  ],
  check: (value, path) => {
    const code = text(value, 'code');
    const own = BASE_FAMILIES.find(([family]) => text(value, treatmentField(family)) !== '');
    if (own && (code === text(value, 'like') || findItem(text(value, 'like'))?.list === 'employer'))
      return [problem('item.treatment-of-own', `${path}.${treatmentField(own[0])}`, { base: own[1] })];
    const times = parseRate(text(value, 'factor'));
    if (times && (findItem(text(value, 'like'))?.list !== 'earning' || code === text(value, 'like')))
      return [problem('item.factor-of-earning', `${path}.factor`)];
    if (times && !isPlausibleFactor(times))
      return [problem('item.factor', `${path}.factor`, { factor: text(value, 'factor') })];
    if (!/^[a-z0-9][a-z0-9-]*$/.test(code)) return [problem('item.code-shape', `${path}.code`, { value: code })];
    const known = findItem(code);
    return known && known.code !== text(value, 'like')
      ? [problem('item.code-taken', `${path}.code`, { item: known.label })]
      : [];
  },
  says: (value) => {
    const like = findItem(text(value, 'like'));
    const most = text(value, 'perYear') === '' ? '' : `, at most ${text(value, 'perYear')} a year`;
    const account = text(value, 'account') === '' ? '' : `, account ${text(value, 'account')}`;
    const unlike = BASE_FAMILIES.flatMap(([family, label]) => {
      const choice = TREATMENT_WORDS.find(([given]) => given === text(value, treatmentField(family)));
      return choice ? [`, ${choice[1]} for ${label}`] : [];
    });
    const times = text(value, 'factor') === '' ? '' : `, ${text(value, 'factor')} times the rate`;
    return `${text(value, 'label')} (${text(value, 'code')}), treated as ${like?.label ?? ''}${times}${unlike.join('')}${most}${account}${untilWords(value)}`;
  },
};

const WORK_CLASS: FactKind = {
  kind: 'work-class',
  label: "Workers' compensation class",
  slot: 'class',
  fields: [
    { name: 'class', label: 'Class code', kind: 'text', isRequired: true, most: 10 },
    {
      name: 'per',
      label: 'Rated by',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['hundred', '100.00 of pay'],
        ['hour', 'the hour'],
      ],
    },
    { name: 'rate', label: 'Rate', kind: 'decimal', isRequired: true },
    { name: 'employeeRate', label: 'Of it the employee pays', kind: 'decimal', help: 'Dollars an hour, Washington' },
    UNTIL,
  ],
  check: (value, path) => {
    const own = parseRate(text(value, 'employeeRate'));
    const rate = parseRate(text(value, 'rate'));
    if (!own || !rate || (text(value, 'per') === 'hour' && own.n * rate.d <= rate.n * own.d)) return [];
    return [problem('compensation.employee-rate', `${path}.employeeRate`)];
  },
  says: (value) =>
    `Class ${text(value, 'class')}: ${text(value, 'rate')} ${text(value, 'per') === 'hour' ? 'an hour' : 'for each 100.00 of pay'}${text(value, 'employeeRate') === '' ? '' : `, of it ${text(value, 'employeeRate')} from the employee`}${untilWords(value)}`,
};

const DEPARTMENT: FactKind = {
  kind: 'department',
  label: 'Department or place',
  slot: 'name',
  fields: [
    { name: 'name', label: 'Name', kind: 'text', isRequired: true, most: 30 },
    {
      name: 'sort',
      label: 'It is a',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['department', 'department'],
        ['location', 'location'],
        ['cost-center', 'cost center'],
        ['job', 'job or customer'],
      ],
    },
    UNTIL,
  ],
  says: (value) => `${text(value, 'name')}, ${text(value, 'sort').replace('-', ' ')}${untilWords(value)}`,
};

const WITHHOLDING: FactKind = {
  kind: 'withholding',
  label: 'Withholding choices',
  fields: [
    {
      name: 'supplementalMethod',
      label: 'Supplemental wages',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['flat', 'the flat rate'],
        ['aggregate', 'together with regular wages'],
      ],
    },
    {
      name: 'withholdingMethod',
      label: 'Income tax method',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['percentage', 'percentage method'],
        ['wage-bracket', 'wage-bracket tables'],
      ],
    },
    { name: 'roundWithholdingToDollar', label: 'Round withholding to whole dollars', kind: 'flag' },
  ],
  says: (value) =>
    `${text(value, 'withholdingMethod') === 'percentage' ? 'Percentage method' : 'Wage-bracket tables'}; supplemental wages ${text(value, 'supplementalMethod') === 'flat' ? 'at the flat rate' : 'together with regular wages'}${value['roundWithholdingToDollar'] === true ? '; whole dollars' : ''}`,
};

const OVERTIME: FactKind = {
  kind: 'overtime',
  label: 'Overtime',
  fields: [
    {
      name: 'premium',
      label: 'The premium is on',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['regular-rate', 'the regular rate'],
        ['own-rate', 'the rate of its own line'],
      ],
      help: 'The federal law asks for the regular rate: all pay for the hours, promised bonuses too (29 CFR § 778.109)',
    },
  ],
  says: (value) =>
    `The premium is on ${text(value, 'premium') === 'regular-rate' ? 'the regular rate of all pay for the hours' : 'the rate of its own line'}`,
};

/** Inches that a printed page is moved by, at most half of one either way; null: not such a length. */
export function shiftOf(given: string): number | null {
  const read = given.trim() === '' ? 0 : /^[-+]?\d*\.?\d{1,2}$/.test(given.trim()) ? Number(given) : Number.NaN;
  return Math.abs(read) <= 0.5 ? read : null;
}

const CHECKS: FactKind = {
  kind: 'checks',
  label: 'Checks and journal',
  fields: [
    { name: 'nextNumber', label: 'Next check number', kind: 'whole' },
    {
      name: 'layout',
      label: 'Check position',
      kind: 'choice',
      choices: [
        ['top', 'at the top'],
        ['middle', 'in the middle'],
        ['bottom', 'at the bottom'],
      ],
    },
    {
      name: 'stock',
      label: 'Stock',
      kind: 'choice',
      choices: [
        ['printed', 'with the bank’s line of magnetic ink'],
        ['blank', 'blank: the line is printed with the check'],
      ],
      help: 'Blank stock asks for magnetic toner, a typeface under Firm, and a sample that the bank has tested',
    },
    {
      name: 'right',
      label: 'Print farther right by',
      kind: 'text',
      most: 6,
      help: 'Inches, like 0.06; below zero moves it left. Measure the marks of the sample page',
    },
    {
      name: 'down',
      label: 'Print farther down by',
      kind: 'text',
      most: 6,
      help: 'Inches; below zero moves it up',
    },
    { name: 'wagesAccount', label: 'Account for wages', kind: 'text', most: 30 },
    { name: 'taxAccount', label: 'Account for employer taxes', kind: 'text', most: 30 },
    { name: 'payableAccount', label: 'Account for what is owed', kind: 'text', most: 30 },
    { name: 'cashAccount', label: 'Account for cash', kind: 'text', most: 30 },
    { name: 'fundsAccount', label: 'Account for funds held by the firm', kind: 'text', most: 30 },
    { name: 'feesAccount', label: 'Account for the firm’s fees', kind: 'text', most: 30 },
  ],
  check: (value, path) =>
    (['right', 'down'] as const)
      .filter((name) => text(value, name) !== '' && shiftOf(text(value, name)) === null)
      .map((name) => problem('checks.shift', `${path}.${name}`, { value: text(value, name) })),
  says: (value) =>
    [
      text(value, 'nextNumber') === '' ? '' : `next check ${text(value, 'nextNumber')}`,
      text(value, 'layout') === ''
        ? ''
        : `check ${text(value, 'layout') === 'middle' ? 'in the middle' : `at the ${text(value, 'layout')}`}`,
      text(value, 'stock') === 'blank' ? 'on blank stock' : '',
      ...(['right', 'down'] as const).map((name) =>
        text(value, name) === '' ? '' : `${text(value, name)} in ${name}`,
      ),
      ...(['wagesAccount', 'taxAccount', 'payableAccount', 'cashAccount', 'fundsAccount', 'feesAccount'] as const).map(
        (name) => text(value, name),
      ),
    ]
      .filter((part) => part !== '')
      .join(', '),
};

const CONTACT: FactKind = {
  kind: 'contact',
  label: 'Contact',
  slot: 'name',
  fields: [
    { name: 'name', label: 'Name', kind: 'text', isRequired: true, most: 40 },
    { name: 'role', label: 'Role', kind: 'text', most: 40 },
    { name: 'phone', label: 'Telephone', kind: 'text', most: 20 },
    { name: 'email', label: 'E-mail', kind: 'text', most: 60 },
    UNTIL,
  ],
  says: (value) =>
    (['name', 'role', 'phone', 'email'] as const)
      .map((name) => text(value, name))
      .filter((part) => part !== '')
      .join(', ') + untilWords(value),
};

const NOTE: FactKind = {
  kind: 'note',
  label: 'Note',
  slot: 'about',
  fields: [
    { name: 'about', label: 'About', kind: 'text', isRequired: true, most: 40 },
    { name: 'note', label: 'Note', kind: 'text', isRequired: true, most: 400 },
    UNTIL,
  ],
  says: (value) => `${text(value, 'about')}: ${text(value, 'note')}${untilWords(value)}`,
};

const ENROLMENT: FactKind = {
  kind: 'enrollment',
  label: 'Enrollment with an agency',
  slot: 'agency',
  fields: [
    { name: 'agency', label: 'Agency', kind: 'text', isRequired: true, most: 40 },
    { name: 'number', label: 'Identification number', kind: 'text', most: 40 },
    {
      name: 'standing',
      label: 'Status',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['applied', 'applied for'],
        ['enrolled', 'enrolled'],
        ['ended', 'ended'],
      ],
    },
  ],
  says: (value) => `${text(value, 'agency')}: ${text(value, 'standing')} ${text(value, 'number')}`.trim(),
};

const FEE_PRICES = [
  ['perMonth', 'A month'],
  ['perPayroll', 'A payroll'],
  ['perCheck', 'A paycheck'],
  ['perReturn', 'A return filed'],
  ['perWageStatement', 'A Form W-2'],
] as const;
/** What the firm asks for its work. */
const SERVICE_FEE: FactKind = {
  kind: 'service-fee',
  label: 'Fees of the firm',
  fields: [
    ...FEE_PRICES.map(([name, label]): FactField => ({ name, label, kind: 'amount' })),
    { name: 'dueDays', label: 'Due, days after the invoice', kind: 'whole', isRequired: true, preset: '15' },
    {
      name: 'collected',
      label: 'Paid',
      kind: 'choice',
      isRequired: true,
      preset: 'invoice',
      choices: [
        ['invoice', 'by the client, on the invoice'],
        ['funds', 'with the funds collected'],
      ],
    },
    UNTIL,
  ],
  check: (value, path) =>
    FEE_PRICES.some(([name]) => text(value, name) !== '') ? [] : [problem('fees.nothing', `${path}.perMonth`)],
  says: (value) =>
    `${FEE_PRICES.filter(([name]) => text(value, name) !== '')
      .map(([name, label]) => `${moneyText(value, name)} ${label.replace(/^A /, 'a ')}`)
      .join(
        ', ',
      )}; due after ${text(value, 'dueDays')} days${text(value, 'collected') === 'funds' ? ', collected with the funds' : ''}${untilWords(value)}`,
};

const heldWords = (days: string): string => (days === '1' ? 'one banking day' : `${days} banking days`);
const beforeWords = (days: string): string =>
  days === '0' ? 'on the check date' : `${days} banking days before the check date`;

/** Taxes, and pay to accounts, collected into the firm's trust account before they are paid. */
const FUNDING: FactKind = {
  kind: 'funding',
  label: 'Funds collected before they are paid',
  fields: [
    {
      name: 'what',
      label: 'Collected',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['taxes', 'taxes'],
        ['taxes-and-net-pay', 'taxes and direct deposit'],
      ],
    },
    {
      name: 'accountTail',
      label: 'Account that may be debited, last four digits',
      kind: 'text',
      isRequired: true,
      most: 4,
    },
    {
      name: 'entryClass',
      label: 'Account of',
      kind: 'choice',
      isRequired: true,
      preset: 'CCD',
      choices: [
        ['CCD', 'a business (CCD)'],
        ['PPD', 'a person (PPD)'],
      ],
    },
    { name: 'authorizedOn', label: 'Authorization signed on', kind: 'date', isRequired: true },
    { name: 'signedBy', label: 'Signed by', kind: 'text', isRequired: true, most: 60 },
    { name: 'most', label: 'At most for one debit', kind: 'amount', help: 'Blank where it has no limit' },
    {
      name: 'daysBefore',
      label: 'Debit settles before the check date, banking days',
      kind: 'whole',
      isRequired: true,
      preset: '3',
    },
    {
      name: 'holdDays',
      label: 'Held before it is paid out, banking days',
      kind: 'whole',
      isRequired: true,
      preset: '2',
      help: 'A debit may come back for two banking days',
    },
    UNTIL,
  ],
  check: (value, path) => [
    ...(/^\d{4}$/.test(text(value, 'accountTail'))
      ? []
      : [problem('funding.tail', `${path}.accountTail`, { value: text(value, 'accountTail') })]),
    ...(['daysBefore', 'holdDays'] as const)
      .filter((name) => !/^(\d|10)$/.test(text(value, name)))
      .map((name) => problem('funding.days', `${path}.${name}`, { value: text(value, name) })),
  ],
  says: (value) =>
    `${text(value, 'what') === 'taxes' ? 'Taxes' : 'Taxes and direct deposit'} by debit of the account ending ${text(value, 'accountTail')}, ${beforeWords(text(value, 'daysBefore'))}, held ${heldWords(text(value, 'holdDays'))}; authorized ${dayText(value, 'authorizedOn')} by ${text(value, 'signedBy')}${text(value, 'most') === '' ? '' : `, at most ${moneyText(value, 'most')}`}${untilWords(value)}`,
};

/** Whether the firm may sign, file and deposit in its own name for the client, to the IRS (Form 8655). */
const AGENT: FactKind = {
  kind: 'reporting-agent',
  label: 'Form 8655, reporting agent authorization',
  fields: [
    {
      name: 'standing',
      label: 'Status',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['sent', 'sent to be signed'],
        ['signed', 'signed'],
        ['revoked', 'revoked'],
      ],
    },
    { name: 'returnsFrom', label: 'Returns from the period that begins', kind: 'date', isRequired: true },
    { name: 'depositsFrom', label: 'Deposits from the month that begins', kind: 'date', isRequired: true },
    { name: 'wantsNotices', label: 'Copies of notices to the firm', kind: 'flag' },
    { name: 'signedBy', label: 'Signed by', kind: 'text', most: 57, help: 'When it came back' },
  ],
  check: (value, path) =>
    text(value, 'standing') === 'signed' && text(value, 'signedBy') === ''
      ? [problem('input.missing', `${path}.signedBy`, { what: 'Who signed Form 8655' })]
      : [],
  says: (value) => {
    const standing = text(value, 'standing');
    const from = `returns from ${dayText(value, 'returnsFrom')}, deposits from ${dayText(value, 'depositsFrom')}${value['wantsNotices'] === true ? ', with copies of notices' : ''}`;
    if (standing === 'revoked') return 'Revoked';
    return standing === 'sent' ? `Sent to be signed: ${from}` : `Signed by ${text(value, 'signedBy')}: ${from}`;
  },
};

/** Somebody whom the IRS may ask about a return (Part 4 of Form 941; Form 8655 is another thing). */
const DESIGNEE: FactKind = {
  kind: 'designee',
  label: 'Third-party designee',
  fields: [
    {
      name: 'standing',
      label: 'The IRS may ask about returns',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['yes', 'yes, this person'],
        ['no', 'no'],
      ],
    },
    { name: 'name', label: 'Name', kind: 'text', isRequired: true, most: 35, when: { field: 'standing', is: ['yes'] } },
    {
      name: 'phone',
      label: 'Telephone',
      kind: 'text',
      isRequired: true,
      most: 15,
      when: { field: 'standing', is: ['yes'] },
    },
    {
      name: 'pin',
      label: 'PIN of five digits',
      kind: 'text',
      isRequired: true,
      most: 5,
      when: { field: 'standing', is: ['yes'] },
      help: 'Which the designee chooses, and says when the IRS asks',
    },
  ],
  check: (value, path) => {
    if (text(value, 'standing') !== 'yes') return [];
    return [
      ...(/^\d{10}$/.test(text(value, 'phone').replace(/\D/g, ''))
        ? []
        : [problem('designee.phone', `${path}.phone`, { value: text(value, 'phone') })]),
      ...(/^\d{5}$/.test(text(value, 'pin')) ? [] : [problem('designee.pin', `${path}.pin`, {})]),
    ];
  },
  says: (value) =>
    text(value, 'standing') === 'yes' ? `The IRS may ask ${text(value, 'name')}, ${text(value, 'phone')}` : 'Nobody',
};

/** An agent of the client files in its own name for several employers at once (IRC § 3504, Form 2678). */
const AGGREGATE: FactKind = {
  kind: 'aggregate-filer',
  label: 'Form 2678, agent that files an aggregate Form 941',
  fields: [
    {
      name: 'standing',
      label: 'Status',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['approved', 'approved by the IRS'],
        ['revoked', 'revoked'],
      ],
    },
    { name: 'agent', label: 'Agent', kind: 'text', isRequired: true, most: 57, help: 'As on the approval letter' },
  ],
  says: (value) =>
    text(value, 'standing') === 'revoked' ? 'Revoked' : `${text(value, 'agent')} files an aggregate Form 941 for it`,
};

/** Every kind of fact about a client, in the order in which its page shows them. */
export const CLIENT_FACTS = new FactKinds([
  EMPLOYER,
  FORM,
  SCHEDULE,
  LOOKBACK,
  WITHHOLDING,
  OVERTIME,
  TAX_EXEMPTION,
  OWN_RATE,
  LOCAL,
  PAY_ITEM,
  WORK_CLASS,
  DEPARTMENT,
  CHECKS,
  CONTACT,
  NOTE,
  ENROLMENT,
  AGENT,
  DESIGNEE,
  AGGREGATE,
  FUNDING,
  SERVICE_FEE,
]);
export const CLIENT_FACT_KINDS = CLIENT_FACTS.kinds.map((kind) => kind.kind);
/** What a new client takes over from the firm's defaults or from another client: rules, never identity or history. */
export const COPIED_KINDS: readonly string[] = [
  'employer',
  'schedule',
  'withholding',
  'overtime',
  'own-rate',
  'pay-item',
  'work-class',
  'department',
  'checks',
];
/** A fact that a new client takes over: of a kind that is copied, and no job or customer, which is one client's own. */
export const isCopied = ({ kind, value }: { readonly kind: string; readonly value: FactValue }): boolean =>
  COPIED_KINDS.includes(kind) && !(kind === 'department' && text(value, 'sort') === 'job');
