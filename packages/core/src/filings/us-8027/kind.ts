import { LEGAL } from '../../calendar/holidays.js';
import { onOrAfter } from '../../calendar/business-days.js';
import { endOfMonth, makeDate, yearOf } from '../../calendar/local-date.js';
import { problem, warning } from '../../issues/issue.js';
import { recalled } from '../../jurisdictions/dated.js';
import { publication } from '../../jurisdictions/state-words.js';
import { cents, showDollars, toDollars } from '../../money/cents.js';
import { OF_EVERY_FILING, periodOver, runChecks, type Check } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { lineOf } from '../return-lines.js';
import { form8027, type Form8027 } from './form.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;
const answered: Check<Form8027> = ({ lines, establishment, badRate }) => [
  ...(establishment === '' ? [problem('check.no-establishment', 'establishment')] : []),
  ...(badRate === '' ? [] : [problem('check.tip-rate', 'rate', { rate: badRate })]),
  ...(lineOf(lines, '5') === 0 ? [problem('check.no-receipts', 'line.5')] : []),
  ...(lineOf(lines, '4b') < 0 ? [problem('check.indirect-tips', 'line.4a')] : []),
];
/** What the form allocates and what box 8 of the statements has are the same tips. */
const allocatedAlike: Check<Form8027> = ({ lines, allocated }) =>
  lineOf(lines, '7') === allocated
    ? []
    : [
        warning('check.tips-allocated', 'line.7', {
          form: showDollars(lineOf(lines, '7')),
          paychecks: showDollars(allocated),
        }),
      ];
const CHECKS = [...OF_EVERY_FILING, periodOver, answered, allocatedAlike];

/**
 * Form 8027, Employer's Annual Information Return of Tip Income and Allocated Tips: the figures of one establishment. It goes
 * to the IRS on paper or through its own system for information returns: the figures are made and kept here, and handed over.
 */
export const US_8027 = defineKind<Form8027>({
  code: 'us-8027',
  jurisdiction: 'US',
  name: FORM_NAMES['us-8027'],
  noun: 'return',
  agency: IRS,
  receiver: 'irs',
  handedTo: 'the IRS',
  edition: recalled(
    publication('Form 8027, Employer’s Annual Information Return of Tip Income and Allocated Tips', IRS.name, '2025'),
    'lines 1 to 8',
    'The methods of allocating line 7 among employees are not worked out here.',
  ),
  period: 'year',
  files: () => ({
    is: false,
    why: 'Only a large food or beverage establishment files it: tips are customary, and more than ten employees work on a typical day.',
  }),
  owedFor: [],
  due: ({ end }) => ({
    due: onOrAfter(endOfMonth(makeDate(yearOf(end) + 1, 2, 1)), LEGAL),
    rule: 'Form 8027: the last day of February on paper; March 31 where it is filed electronically.',
  }),
  needs: { statements: true, sumsByPerson: true },
  asks: [
    { name: 'chargedTips', line: '1', label: 'Charged tips', help: 'Tips on charge receipts of the year' },
    { name: 'chargedReceipts', line: '2', label: 'Charge receipts with tips', help: 'Without state and local taxes' },
    {
      name: 'serviceCharges',
      line: '3',
      label: 'Service charges below 10 percent',
      help: 'Paid to employees as wages',
    },
    {
      name: 'indirectTips',
      line: '4a',
      label: 'Tips of indirectly tipped employees',
      help: 'Of those in the paychecks',
    },
    {
      name: 'grossReceipts',
      line: '5',
      label: 'Gross receipts',
      help: 'Food and beverages, without carryout and taxes',
    },
  ],
  questions: [
    {
      name: 'establishment',
      label: 'Type of establishment',
      help: 'The kind of meals that bring most of the receipts',
      kind: 'choice',
      choices: [
        ['', 'choose'],
        ['1', 'Evening meals only'],
        ['2', 'Evening and other meals'],
        ['3', 'Meals other than evening meals'],
        ['4', 'Alcoholic beverages'],
      ],
    },
    {
      name: 'rate',
      label: 'Lower rate that the IRS granted, percent',
      help: 'Blank: 8 percent. Not below 2 percent',
      kind: 'text',
    },
  ],
  compute: form8027,
  lines: ({ lines }) => lines,
  tables: () => [],
  check: (content, facts) => runChecks(CHECKS, content, facts),
  amount: ({ lines }) => lineOf(lines, '7'),
  figures: ({ lines }) => [
    { label: 'Tips reported, line 4c', value: showDollars(lineOf(lines, '4c')) },
    { label: 'Allocation of tips, line 7', value: showDollars(lineOf(lines, '7')) },
  ],
  fileName: ({ end }, ein) => `form-8027-${yearOf(end)}-${ein}.txt`,
  mediaType: 'text/plain',
  makeFile: ({ lines, establishment }, { facts }) => ({
    content: [
      `Form 8027, ${yearOf(facts.period.end)}, of ${facts.filer.name}, type of establishment ${establishment}`,
      ...lines.map(
        ({ id, label, value, kind }) =>
          `${id}\t${label}\t${kind === 'count' ? String(value) : toDollars(cents(value))}`,
      ),
      '',
    ].join('\r\n'),
    issues: [],
  }),
  signedBy: null,
  tieOut: {
    station: 'returns',
    groups: [],
    amounts: () => new Map(),
    adjustments: () => cents(0),
    adjustmentWords: '',
    adjusted: [],
  },
  snapshotVersion: 1,
  store: (content) => content,
  read: (stored) => stored as Form8027,
  fieldOf: () => null,
  amendedBy: 'a corrected Form 8027',
});
