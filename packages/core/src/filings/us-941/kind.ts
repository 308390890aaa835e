import { onOrAfter } from '../../calendar/business-days.js';
import { LEGAL } from '../../calendar/holidays.js';
import { addMonths, makeDate, monthOf, yearOf } from '../../calendar/local-date.js';
import { quarterOf } from '../../calendar/quarter.js';
import { dueBy } from '../../deposits/due-rules.js';
import { afterQuarter } from '../../jurisdictions/deposit-words.js';
import { recalled } from '../../jurisdictions/dated.js';
import { publication } from '../../jurisdictions/state-words.js';
import { add, showDollars, subtract, sum, type Cents } from '../../money/cents.js';
import { runChecks } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { mefFieldOf } from '../mef-header.js';
import { lineOf } from '../return-lines.js';
import { CHECKS_941 } from './checks.js';
import { write941 } from './file.js';
import { columnTwo, form941, type Form941 } from './form.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;
const OTHER_FORMS: Readonly<Record<string, string>> = { 'schedule-h': 'Schedule H' };

/** Form 941, Employer's QUARTERLY Federal Tax Return, with Schedule B. */
export const US_941 = defineKind<Form941>({
  code: 'us-941',
  jurisdiction: 'US',
  name: FORM_NAMES['us-941'],
  noun: 'return',
  agency: IRS,
  receiver: 'irs',
  edition: recalled(
    publication('Form 941, Employer’s QUARTERLY Federal Tax Return, and its instructions', IRS.name, 'March 2025'),
    'all lines',
    'The edition of 2026 was not at hand.',
  ),
  period: 'quarter',
  files: ({ form }) =>
    form === '941'
      ? { is: true, why: 'It pays wages and files neither Form 943, 944, 945 nor Schedule H.' }
      : { is: false, why: `It files ${OTHER_FORMS[form] ?? `Form ${form}`}, not Form 941.` },
  owedFor: ['US-FIT', 'US-OASDI', 'US-HI'],
  due: ({ end }) => {
    const { due, rule } = dueBy(afterQuarter(), end, LEGAL);
    return { due, rule: `Form 941: ${rule}.` };
  },
  // Ten days more (Instructions for Form 941, "When Must You File?").
  laterWhenDeposited: ({ end }) => {
    const month = addMonths(makeDate(yearOf(end), monthOf(end), 1), 2);
    return onOrAfter(makeDate(yearOf(month), monthOf(month), 10), LEGAL);
  },
  needs: {
    headcount: 'last',
    depositsOf: 'US-941',
    tracked: ['oasdiTips', 'sickPayOasdi', 'sickPayHi', 'uncollectedOasdi', 'uncollectedHi'],
  },
  asks: [
    {
      name: 'demandedTips',
      line: '5f',
      label: 'Tax on unreported tips',
      help: 'From the IRS’s Section 3121(q) Notice and Demand',
    },
    {
      name: 'researchCredit',
      line: '11',
      label: 'Credit for research activities',
      help: 'From Form 8974, line 12 or 17',
    },
  ],
  compute: form941,
  lines: ({ lines }) => lines,
  tables: ({ scheduleB }) =>
    scheduleB
      ? [
          {
            code: 'B',
            title: 'Schedule B, liability by day',
            columns: [
              { name: 'date', label: 'Check date', kind: 'day' },
              { name: 'amount', label: 'Liability', kind: 'amount' },
            ],
            rows: scheduleB.map(({ date, amount }) => [date, amount]),
          },
        ]
      : [],
  check: (form, facts) => runChecks(CHECKS_941, form, facts),
  amount: ({ lines }) => lineOf(lines, '12'),
  figures: ({ lines }) => [
    { label: 'Total taxes, line 12', value: showDollars(lineOf(lines, '12')) },
    { label: 'Balance due, line 14', value: showDollars(lineOf(lines, '14')) },
  ],
  fileName: ({ end }, ein) => `941-${yearOf(end)}Q${quarterOf(end).quarter}-${ein}.xml`,
  mediaType: 'application/xml',
  makeFile: (form, sending) => ({ content: write941(form, sending), issues: [] }),
  signedBy: 'Form 8879-EMP',
  pays: { family: 'US-941', tax: 'US-FIT', balance: ({ lines }) => lineOf(lines, '14') },
  // Column 2 follows from column 1, line 7 from the total (Form 941).
  elsewhere: (line) => {
    const { oasdi, hi } = columnTwo({ '5a': line('941.5a'), '5c': line('941.5c'), '5d': line('941.5d') });
    const amounts = new Map([
      ['US-FIT', line('941.3')],
      ['US-OASDI', oasdi],
      ['US-HI', hi],
    ] as const);
    return { amounts, adjustments: subtract(line('US-941.filed'), sum(amounts.values())) };
  },
  filedElsewhere: (line, now) => {
    const tips = lineOf(now.lines, '5b.1');
    const wages = { '5a': line('941.5a'), '5c': line('941.5c'), '5d': line('941.5d') };
    const { oasdi, hi } = columnTwo(wages);
    const given: Readonly<Record<string, Cents>> = {
      '2': line('941.2'),
      '3': line('941.3'),
      '5a.1': subtract(wages['5a'], tips),
      '5c.1': wages['5c'],
      '5d.1': wages['5d'],
      // What the tax on the return has besides its lines and what stands in lines 8 and 9.
      '7': subtract(
        line('US-941.filed'),
        sum([line('941.3'), oasdi, hi, lineOf(now.lines, '8'), lineOf(now.lines, '9'), lineOf(now.lines, '5f')]),
      ),
    };
    return { ...now, lines: now.lines.map((one) => ({ ...one, value: given[one.id] ?? one.value })) };
  },
  tieOut: {
    station: 'returns',
    groups: ['US-FIT', 'US-OASDI', 'US-HI'],
    amounts: ({ lines }) =>
      new Map([
        ['US-FIT', lineOf(lines, '3')],
        ['US-OASDI', add(lineOf(lines, '5a.2'), lineOf(lines, '5b.2'))],
        ['US-HI', add(lineOf(lines, '5c.2'), lineOf(lines, '5d.2'))],
      ]),
    adjustments: ({ lines }) => sum(['7', '8', '9'].map((id) => lineOf(lines, id))),
    adjustmentWords: 'fractions of cents and adjustments, lines 7 to 9',
    adjusted: ['US-OASDI', 'US-HI'],
  },
  snapshotVersion: 2,
  store: (form) => form,
  // The first version had the form under its own name.
  read: (stored, version) => (version === 1 ? (stored as { form941: Form941 }).form941 : (stored as Form941)),
  fieldOf: (theirs) => mefFieldOf(theirs),
  amendedBy: 'Form 941-X',
});
