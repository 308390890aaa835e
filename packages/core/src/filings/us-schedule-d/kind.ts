import { LEGAL } from '../../calendar/holidays.js';
import { onOrAfter } from '../../calendar/business-days.js';
import { makeDate, yearOf } from '../../calendar/local-date.js';
import { problem } from '../../issues/issue.js';
import { recalled } from '../../jurisdictions/dated.js';
import { publication } from '../../jurisdictions/state-words.js';
import { cents, showDollars, toDollars } from '../../money/cents.js';
import { OF_EVERY_FILING, periodOver, runChecks, type Check } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { lineOf } from '../return-lines.js';
import { COMPARED, isOfYear, scheduleD, type ScheduleD } from './form.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;
const answered: Check<ScheduleD> = ({ event, role, otherName, otherEin, ...content }) => [
  ...(event === '' ? [problem('check.schedule-d', 'event', { what: 'what happened' })] : []),
  ...(role === '' ? [problem('check.schedule-d', 'role', { what: 'which side this employer is' })] : []),
  ...(isOfYear(content) ? [] : [problem('check.schedule-d', 'effective', { what: `the day, in ${content.year}` })]),
  ...(otherName === '' ? [problem('check.schedule-d', 'otherName', { what: 'the other party' })] : []),
  ...(otherEin.length === 9 ? [] : [problem('check.schedule-d', 'otherEin', { what: 'the EIN of the other party' })]),
];
/** Nothing to explain, or less than nothing reported. */
const differs: Check<ScheduleD> = ({ lines }) => [
  ...(COMPARED.every(({ id }) => lineOf(lines, `3${id}`) === 0)
    ? [problem('check.schedule-d-nothing', 'line.3a')]
    : []),
  ...COMPARED.filter(({ id }) => lineOf(lines, `2${id}`) < 0).map(({ id, label }) =>
    problem('check.schedule-d-above', `line.3${id}`, { label }),
  ),
];
const CHECKS = [...OF_EVERY_FILING, periodOver, answered, differs];

/**
 * Schedule D (Form 941), Report of Discrepancies Caused by Acquisitions, Statutory Mergers, or Consolidations: the figures of
 * one event. It is filed on paper with Form 941 of the first quarter of the next year, or with a final return.
 */
export const US_SCHEDULE_D = defineKind<ScheduleD>({
  code: 'us-schedule-d',
  jurisdiction: 'US',
  name: FORM_NAMES['us-schedule-d'],
  noun: 'schedule',
  agency: IRS,
  receiver: 'irs',
  handedTo: 'Form 941',
  edition: recalled(
    publication(
      'Schedule D (Form 941), Report of Discrepancies Caused by Acquisitions, Statutory Mergers, or Consolidations',
      IRS.name,
      'June 2011',
    ),
    'Parts 1 and 2',
    'Several events of one year are several schedules; Part 3 adds them up and is not made here.',
  ),
  period: 'year',
  files: ({ isSuccessor }) =>
    isSuccessor
      ? {
          is: true,
          why: 'It took over a business and its people: where its Forms W-2 have wages of the predecessor, this explains it.',
        }
      : { is: false, why: 'Only an employer that took part in an acquisition, merger or consolidation files it.' },
  owedFor: [],
  due: ({ end }) => ({
    due: onOrAfter(makeDate(yearOf(end) + 1, 4, 30), LEGAL),
    rule: 'Schedule D: with Form 941 of the first quarter of the next year, or with a final Form 941.',
  }),
  needs: { statements: true, sumsByPerson: true },
  asks: COMPARED.map(({ id, label, name }) => ({
    name,
    line: `3${id}`,
    label: `${label} on the other party’s Forms 941`,
    help: 'What is on these Forms W-2 and not on these Forms 941; below zero the other way round',
  })),
  questions: [
    {
      name: 'event',
      label: 'What happened',
      help: 'In Part 1',
      kind: 'choice',
      choices: [
        ['', 'choose'],
        ['merger', 'Statutory merger or consolidation'],
        ['acquisition', 'Acquisition, alternate procedure of Rev. Proc. 2004-53'],
      ],
    },
    {
      name: 'role',
      label: 'This employer is',
      help: 'In Part 1',
      kind: 'choice',
      choices: [
        ['', 'choose'],
        ['surviving', 'the surviving or successor employer'],
        ['ended', 'the one that ended, or the predecessor'],
      ],
    },
    {
      name: 'effective',
      label: 'Effective on',
      help: 'The day of the merger, consolidation or acquisition',
      kind: 'day',
    },
    { name: 'otherName', label: 'Other party', help: 'Its legal name', kind: 'text' },
    { name: 'otherEin', label: 'Its EIN', help: 'Nine digits', kind: 'text' },
  ],
  compute: scheduleD,
  lines: ({ lines }) => lines,
  tables: () => [],
  check: (content, facts) => runChecks(CHECKS, content, facts),
  amount: ({ lines }) => lineOf(lines, '3a'),
  figures: ({ lines, otherName }) => [
    { label: 'Other party', value: otherName },
    { label: 'Social security wages, difference', value: showDollars(lineOf(lines, '3a')) },
  ],
  fileName: ({ end }, ein) => `schedule-d-${yearOf(end)}-${ein}.txt`,
  mediaType: 'text/plain',
  makeFile: ({ lines, event, role, effective, otherName, otherEin }, { facts }) => ({
    content: [
      `Schedule D (Form 941), ${yearOf(facts.period.end)}, of ${facts.filer.name}`,
      `${event}, effective ${effective}; this employer is the ${role} one; other party ${otherName}, EIN ${otherEin}`,
      ...lines.map(({ id, label, value }) => `${id}\t${label}\t${toDollars(cents(value))}`),
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
  read: (stored) => stored as ScheduleD,
  fieldOf: () => null,
  amendedBy: 'a corrected Schedule D',
});
