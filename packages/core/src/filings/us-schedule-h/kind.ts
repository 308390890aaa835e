import { LEGAL } from '../../calendar/holidays.js';
import { yearOf } from '../../calendar/local-date.js';
import { dueBy } from '../../deposits/due-rules.js';
import { problem, warning } from '../../issues/issue.js';
import { recalled } from '../../jurisdictions/dated.js';
import { afterYear } from '../../jurisdictions/deposit-words.js';
import { publication } from '../../jurisdictions/state-words.js';
import { add, negate, showDollars, sum, toDollars, cents } from '../../money/cents.js';
import { OF_EVERY_FILING, periodOver, runChecks, type Check } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { lineOf } from '../return-lines.js';
import { futaOf, scheduleH, totalOf, type ScheduleH } from './form.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;
const parametersKnown: Check<ScheduleH> = ({ missing, year, section }) =>
  missing.map((what) =>
    problem(what === 'rate' ? 'check.futa-rate' : 'check.credit-reduction', section === 'A' ? 'line.16' : 'line.23', {
      year: String(year),
    }),
  );
const wagesPresent: Check<ScheduleH> = ({ lines }) =>
  lineOf(lines, '3') === 0 && lineOf(lines, '7') === 0 ? [warning('check.no-wages', 'line.3')] : [];
const CHECKS = [...OF_EVERY_FILING, periodOver, parametersKnown, wagesPresent];

/**
 * Schedule H (Form 1040), Household Employment Taxes. It is a page of the owner's own return: its figures are made and
 * kept here, and handed over.
 */
export const US_SCHEDULE_H = defineKind<ScheduleH>({
  code: 'us-schedule-h',
  jurisdiction: 'US',
  name: FORM_NAMES['us-schedule-h'],
  noun: 'schedule',
  agency: IRS,
  receiver: 'irs',
  handedTo: 'the owner’s Form 1040',
  edition: recalled(
    publication('Schedule H (Form 1040), Household Employment Taxes, and its instructions', IRS.name, '2025'),
    'Parts I to III',
    'The edition of 2026 was not at hand.',
  ),
  period: 'year',
  files: ({ form }) =>
    form === 'schedule-h'
      ? { is: true, why: 'It employs people in a household.' }
      : { is: false, why: `It reports its wages on Form ${form}, not on Schedule H.` },
  owedFor: ['US-FIT', 'US-OASDI', 'US-HI', 'US-FUTA'],
  due: ({ end }) => {
    const { due, rule } = dueBy(afterYear(4, 15), end, LEGAL);
    return { due, rule: `Schedule H, with Form 1040: ${rule}.` };
  },
  needs: { unemployment: true },
  asks: [],
  compute: scheduleH,
  lines: ({ lines }) => lines,
  tables: ({ states }) =>
    states.length === 0
      ? []
      : [
          {
            code: '17',
            title: 'Section B, line 17, by state',
            columns: [
              { name: 'state', label: 'State', kind: 'text' },
              { name: 'wages', label: '(b) Taxable wages', kind: 'amount' },
              { name: 'most', label: '(e) × 5.4%', kind: 'amount' },
              { name: 'owed', label: '(f) By the own rate', kind: 'amount' },
              { name: 'additional', label: '(g) Lower by', kind: 'amount' },
              { name: 'paid', label: '(h) Paid', kind: 'amount' },
            ],
            rows: states.map((row) => [row.state, row.wages, row.most, row.owed, row.additional, row.paid]),
          },
        ],
  check: (content, facts) => runChecks(CHECKS, content, facts),
  amount: totalOf,
  figures: (content) => [
    { label: 'Social security, Medicare and income tax, line 8', value: showDollars(lineOf(content.lines, '8')) },
    { label: 'FUTA tax', value: showDollars(futaOf(content)) },
    { label: 'Total household employment taxes', value: showDollars(totalOf(content)) },
  ],
  fileName: ({ end }, ein) => `schedule-h-${yearOf(end)}-${ein}.txt`,
  mediaType: 'text/plain',
  makeFile: ({ lines }, { facts }) => ({
    content: [
      `Schedule H (Form 1040), ${yearOf(facts.period.end)}, of ${facts.filer.name}`,
      ...lines.map(({ id, label, value }) => `${id}\t${label}\t${toDollars(cents(value))}`),
      '',
    ].join('\r\n'),
    issues: [],
  }),
  signedBy: null,
  adds: ({ besides }) => besides,
  tieOut: {
    station: 'returns',
    groups: ['US-FIT', 'US-OASDI', 'US-HI', 'US-FUTA'],
    amounts: (content) =>
      new Map([
        ['US-FIT', lineOf(content.lines, '7')],
        ['US-OASDI', lineOf(content.lines, '2')],
        ['US-HI', add(lineOf(content.lines, '4'), lineOf(content.lines, '6'))],
        ['US-FUTA', futaOf(content)],
      ]),
    // The ledger takes it over when the schedule was filed.
    adjustments: ({ besides }) => negate(sum(besides.map(({ amount }) => amount))),
    adjustmentWords: 'fractions of cents and a reduced credit, until the schedule was filed',
    adjusted: ['US-OASDI', 'US-HI', 'US-FUTA'],
  },
  snapshotVersion: 1,
  store: (content) => content,
  read: (stored) => stored as ScheduleH,
  fieldOf: () => null,
  amendedBy: 'a corrected Schedule H with Form 1040-X',
});
