import { problem } from '../issues/issue.js';
import { EARNING_ITEMS, findItem } from '../items/registry.js';
import { GARNISHMENT_KINDS } from '../computation/orders.js';
import { FILING_STATUSES } from '../computation/input.js';
import { UNTIL, text, untilWords, type FactKind, type FactValue, moneyText } from './fact-kind.js';
import type { FactField } from './field.js';
import type { DatedFact } from './in-force.js';

/**
 * From which day posted checks lower a balance. A later entry that only changes the amount repeats it, so that the
 * balance is not counted afresh.
 */
export const COUNTED_FROM: FactField = {
  name: 'countedFrom',
  label: 'Start',
  kind: 'date',
  help: 'Checks from this day on count; blank: from the first day of this entry',
};
/** The day from which a fact's balance counts. */
export const countedFrom = (fact: Pick<DatedFact, 'from' | 'value'>): string =>
  text(fact.value, COUNTED_FROM.name) || fact.from;

const balanceWords = (value: FactValue): string =>
  text(value, 'balance') === ''
    ? ''
    : `, ${text(value, 'balance')} to go${text(value, 'countedFrom') === '' ? '' : ` from ${text(value, 'countedFrom')} on`}`;

const limits = (value: FactValue): string =>
  [
    ['perCheck', 'at most %s a check'],
    ['perYear', 'at most %s a year'],
  ]
    .filter(([name]) => text(value, name ?? '') !== '')
    .map(([name, words]) => `, ${(words ?? '').replace('%s', text(value, name ?? ''))}`)
    .join('') + balanceWords(value);

const tiersOf = (value: FactValue): readonly FactValue[] =>
  Array.isArray(value['match']) ? (value['match'] as readonly FactValue[]) : [];
const tierWords = (tier: FactValue): string =>
  `${text(tier, 'percent')}% of what is deferred${text(tier, 'upTo') === '' ? '' : ` up to ${text(tier, 'upTo')}% of gross`}`;

const FOR_HSA = { field: 'item', is: ['hsa', 'section-125-hsa'] } as const;

/** An earning, deduction or employer-paid amount of every check. */
export const STANDING: FactKind = {
  kind: 'standing',
  label: 'Recurring earning or deduction',
  slot: 'item',
  fields: [
    { name: 'item', label: 'Pay item', kind: 'text', isRequired: true, help: 'A standard item or one of the client' },
    { name: 'amount', label: 'Amount', kind: 'amount' },
    { name: 'percent', label: 'or percent of gross', kind: 'percent' },
    { name: 'hours', label: 'or hours', kind: 'decimal' },
    {
      name: 'match',
      label: 'or a match of what is deferred',
      kind: 'rows',
      of: [
        { name: 'percent', label: 'Percent', kind: 'percent', isRequired: true },
        { name: 'upTo', label: 'Up to percent of gross', kind: 'percent', help: 'Blank: of all that is deferred' },
      ],
    },
    { name: 'rate', label: 'at a rate of', kind: 'decimal' },
    { name: 'perCheck', label: 'At most a check', kind: 'amount' },
    { name: 'perYear', label: 'At most a year', kind: 'amount' },
    { name: 'balance', label: 'Remaining balance', kind: 'amount', help: 'Of a loan or toward a goal' },
    {
      name: 'coverage',
      label: 'Health plan covers',
      kind: 'choice',
      choices: [
        ['self', 'the person alone'],
        ['family', 'a family'],
      ],
      when: FOR_HSA,
      help: 'Decides about the yearly limit; blank: a family',
    },
    COUNTED_FROM,
    UNTIL,
  ],
  check: (value, path) => {
    const given = ['amount', 'percent', 'hours'].filter((name) => text(value, name) !== '');
    if (tiersOf(value).length > 0) given.push('match');
    const list = findItem(text(value, 'item'))?.list;
    const item = findItem(text(value, 'item'))?.label ?? text(value, 'item');
    if (given.length !== 1) return [problem('standing.one-measure', `${path}.amount`, { item })];
    if (given[0] === 'match' && list !== undefined && list !== 'employer')
      return [problem('item.wrong-list', `${path}.match`, { item, kind: list, wanted: 'line the employer pays' })];
    if (given[0] === 'hours' && text(value, 'rate') === '')
      return [problem('earning.hours-without-rate', `${path}.rate`, { item })];
    if (given[0] === 'percent' && Number(text(value, 'percent')) > 100)
      return [problem('percent.over-whole', `${path}.percent`, { percent: text(value, 'percent') })];
    return [];
  },
  says: (value) => {
    const item = findItem(text(value, 'item'))?.label ?? text(value, 'item');
    const tiers = tiersOf(value);
    const measure =
      tiers.length > 0
        ? tiers.map(tierWords).join(', then ')
        : text(value, 'percent') !== ''
          ? `${text(value, 'percent')}% of gross`
          : text(value, 'hours') !== ''
            ? `${text(value, 'hours')} hours at ${moneyText(value, 'rate')}`
            : moneyText(value, 'amount');
    const coverage = text(value, 'coverage') === 'self' ? ', covering the person alone' : '';
    return `${item} ${measure}${coverage}${limits(value)}${untilWords(value)}`;
  },
};

const KIND_WORDS: Readonly<Record<(typeof GARNISHMENT_KINDS)[number], string>> = {
  bankruptcy: 'bankruptcy order',
  'child-support': 'child support',
  'federal-levy': 'federal tax levy',
  'state-levy': 'state tax levy',
  'student-loan': 'student loan',
  creditor: 'creditor',
};
const FOR_SUPPORT = { field: 'kind', is: ['child-support'] } as const;
const FOR_LEVY = { field: 'kind', is: ['federal-levy'] } as const;
const FOR_CREDITOR = { field: 'kind', is: ['creditor'] } as const;

export const GARNISHMENT: FactKind = {
  kind: 'garnishment',
  label: 'Garnishment',
  slot: 'label',
  fields: [
    { name: 'label', label: 'Case', kind: 'text', isRequired: true, most: 40, help: 'Case number or payee' },
    {
      name: 'kind',
      label: 'Kind of order',
      kind: 'choice',
      isRequired: true,
      choices: GARNISHMENT_KINDS.map((kind) => [kind, KIND_WORDS[kind]] as const),
    },
    { name: 'amount', label: 'Amount a check', kind: 'amount', help: 'Blank: the most the law allows' },
    { name: 'balance', label: 'Remaining balance', kind: 'amount' },
    COUNTED_FROM,
    { name: 'fee', label: 'Administrative fee', kind: 'amount' },
    { name: 'priority', label: 'Order among several', kind: 'whole' },
    { name: 'supportsOthers', label: 'Supports another family', kind: 'flag', when: FOR_SUPPORT },
    { name: 'inArrears', label: '12 weeks in arrears', kind: 'flag', when: FOR_SUPPORT },
    {
      name: 'filingStatus',
      label: 'Filing status on the statement',
      kind: 'choice',
      choices: FILING_STATUSES.map((one) => [one, one] as const),
      when: FOR_LEVY,
    },
    {
      name: 'dependents',
      label: 'Dependents',
      kind: 'whole',
      when: { field: 'kind', is: ['federal-levy', 'creditor'] },
      help: 'On the statement of a levy, or where the state’s limit counts them',
    },
    { name: 'ageOrBlind', label: 'Aged 65 or blind', kind: 'whole', when: FOR_LEVY, help: 'Boxes on the statement' },
    { name: 'headOfFamily', label: 'Head of a family', kind: 'flag', when: FOR_CREDITOR },
    { name: 'consumerCredit', label: 'Debt from consumer credit', kind: 'flag', when: FOR_CREDITOR },
    { name: 'payee', label: 'Payee', kind: 'text', most: 60 },
    {
      name: 'caseId',
      label: 'Case identifier',
      kind: 'text',
      most: 20,
      when: FOR_SUPPORT,
      help: 'As the payee knows it; blank: the case above',
    },
    {
      name: 'fips',
      label: 'FIPS code of the order',
      kind: 'text',
      most: 7,
      when: FOR_SUPPORT,
      help: 'Five or seven digits',
    },
    { name: 'medical', label: 'Medical support is ordered', kind: 'flag', when: FOR_SUPPORT },
    UNTIL,
  ],
  says: (value) =>
    `${KIND_WORDS[text(value, 'kind') as 'creditor'] ?? ''} ${text(value, 'label')}: ${moneyText(value, 'amount') || 'what the law allows'}${limits(value)}${untilWords(value)}`,
};

export const LEAVE: FactKind = {
  kind: 'leave',
  label: 'Leave plan',
  slot: 'item',
  fields: [
    {
      name: 'item',
      label: 'Leave',
      kind: 'choice',
      isRequired: true,
      choices: EARNING_ITEMS.filter((item) => item.isLeave).map((item) => [item.code, item.label] as const),
    },
    {
      name: 'per',
      label: 'Accrues',
      kind: 'choice',
      isRequired: true,
      choices: [
        ['period', 'each pay period'],
        ['hour', 'with each hour worked'],
        ['year', 'once a year'],
      ],
    },
    { name: 'hours', label: 'Hours', kind: 'decimal', isRequired: true },
    { name: 'balance', label: 'Balance on the first day', kind: 'decimal' },
    COUNTED_FROM,
    { name: 'maximum', label: 'At most', kind: 'decimal' },
    { name: 'waitsUntil', label: 'Accrual begins', kind: 'date' },
    { name: 'resetOn', label: 'Year begins on', kind: 'month-day', help: 'Month and day, 01-01' },
    { name: 'carryOver', label: 'Carried over at most', kind: 'decimal' },
    UNTIL,
  ],
  says: (value) => {
    const per: Readonly<Record<string, string>> = { period: 'each pay period', hour: 'an hour worked', year: 'a year' };
    const most = text(value, 'maximum') === '' ? '' : `, at most ${text(value, 'maximum')}`;
    return `${findItem(text(value, 'item'))?.label ?? ''}: ${text(value, 'hours')} hours ${per[text(value, 'per')] ?? ''}${most}${untilWords(value)}`;
  },
};
