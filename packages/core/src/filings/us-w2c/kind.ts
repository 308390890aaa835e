import { parseDate, showDate, yearOf } from '../../calendar/local-date.js';
import { problem, warning } from '../../issues/issue.js';
import { recalled } from '../../jurisdictions/dated.js';
import { publication } from '../../jurisdictions/state-words.js';
import { subtract, sum, type Cents } from '../../money/cents.js';
import { OF_EVERY_FILING, runChecks, type Check } from '../checks.js';
import { limitationOf } from '../corrections/limitations.js';
import { defineKind, type FilingTable } from '../kind.js';
import { CORRECTION_NAMES } from '../names.js';
import { US_W2, numbersOf } from '../us-w2/kind.js';
import type { W2Set } from '../us-w2/form.js';
import { RCO_MONEY, RCW_MONEY } from '../../formats/efw2c/layout.js';
import { writeEfw2c } from './file.js';
import { isYearElsewhere, withTypedBoxes } from './typed-boxes.js';
import { formW3c, isFederal, w2cSet, type FormW2c, type W2cSet } from './form.js';

const CARRIED = new Set([...RCW_MONEY, ...RCO_MONEY].map(([box]) => box));
const nameOf = ({ person }: FormW2c): string => `${person.lastName}, ${person.firstName}`;
const masked = (ssn: string): string => (ssn === '' ? '' : `XXXXX${ssn.slice(-4)}`);
const tail = (ssn: string): string => (ssn === '' ? 'applied for' : `ending ${ssn.slice(-4)}`);

const something: Check<W2cSet> = ({ hasOriginal, forms, isTyped }) =>
  !hasOriginal
    ? [problem('check.no-original', 'original', { form: US_W2.name })]
    : forms.length === 0
      ? [problem(isTyped === true ? 'check.nothing-typed' : 'check.nothing-to-correct', 'lines', { form: US_W2.name })]
      : [];
const numbers: Check<W2cSet> = ({ forms }) =>
  forms
    .filter(({ person }) => person.ssn === '')
    .map((form) => warning('check.no-ssn', `employee.${form.person.employeeId}.ssn`, { who: nameOf(form) }));
const carried: Check<W2cSet> = ({ forms }) =>
  forms.flatMap((form) =>
    form.boxes
      .filter(({ box }) => !CARRIED.has(box))
      .map(({ box }) =>
        warning('check.box-not-carried', `employee.${form.person.employeeId}`, { who: nameOf(form), box }),
      ),
  );
const states: Check<W2cSet> = ({ forms }) =>
  forms
    .filter((form) => form.stateBoxes.length > 0)
    .map((form) => warning('check.state-copy', `employee.${form.person.employeeId}`, { who: nameOf(form) }));
const inTime: Check<W2cSet> = (_, { period, today }) =>
  today > limitationOf(period) ? [warning('check.limitation', 'period', { end: showDate(limitationOf(period)) })] : [];
const CHECKS = [...OF_EVERY_FILING, something, numbers, carried, states, inTime];

function tablesOf({ forms }: W2cSet): FilingTable[] {
  const money: FilingTable = {
    code: 'boxes',
    title: 'Boxes that change',
    isList: true,
    columns: [
      { name: 'employee', label: 'Employee', kind: 'text' },
      { name: 'box', label: 'Box', kind: 'text' },
      { name: 'previous', label: 'Previously reported', kind: 'amount' },
      { name: 'correct', label: 'Correct', kind: 'amount' },
      { name: 'difference', label: 'Difference', kind: 'amount' },
    ],
    rows: forms.flatMap((form) =>
      [...form.boxes, ...form.stateBoxes].map(({ box, previous, correct }) => [
        nameOf(form),
        box,
        previous,
        correct,
        subtract(correct, previous),
      ]),
    ),
  };
  const identity = forms.flatMap((form) => [
    ...form.identity.map(({ field, previous, correct }) => [
      nameOf(form),
      field === 'ssn' ? 'Social security number' : 'Name',
      field === 'ssn' ? tail(previous) : previous,
      field === 'ssn' ? tail(correct) : correct,
    ]),
    ...form.marks.map(({ mark, previous, correct }) => [
      nameOf(form),
      `Box 13, ${mark.replaceAll('-', ' ')}`,
      previous ? 'marked' : 'not marked',
      correct ? 'marked' : 'not marked',
    ]),
  ]);
  return [
    ...(money.rows.length > 0 ? [money] : []),
    ...(identity.length > 0
      ? [
          {
            code: 'identity',
            title: 'Names, numbers and marks that change',
            columns: [
              { name: 'employee', label: 'Employee', kind: 'text' as const },
              { name: 'what', label: 'What', kind: 'text' as const },
              { name: 'previous', label: 'Previously reported', kind: 'text' as const },
              { name: 'correct', label: 'Correct', kind: 'text' as const },
            ],
            rows: identity,
          },
        ]
      : []),
  ];
}

/** Forms W-2c and W-3c of a year, in one EFW2C file. */
export const US_W2C = defineKind<W2cSet>({
  code: 'us-w2c',
  jurisdiction: 'US',
  name: CORRECTION_NAMES['us-w2c'],
  noun: 'correction',
  agency: US_W2.agency,
  receiver: 'ssa',
  edition: recalled(
    publication('Publication 42-014, EFW2C', 'Social Security Administration', 'tax year 2025'),
    'records RCA, RCE, RCW, RCO, RCT, RCU, RCF',
    'Where the rarer totals of RCT and RCU stand is recalled less surely than the rest.',
  ),
  period: 'year',
  files: () => ({ is: false, why: `They correct ${US_W2.name} that were accepted, and begin there.` }),
  owedFor: [],
  due: (period) => ({
    due: limitationOf(period),
    rule: 'Forms W-2c and W-3c: as soon as the error is found; benefits are credited within 3 years, 3 months and 15 days.',
  }),
  needs: { ...US_W2.needs, original: true },
  asks: [],
  questions: [
    {
      name: 'discovered',
      label: 'Day on which the error was found',
      help: 'After the year, tax withheld stays what was withheld',
      kind: 'day',
    },
    {
      name: 'withdrawn',
      label: 'They were filed under the wrong EIN or for the wrong year',
      help: 'Then all of them go to zero here; the other set is begun under the right EIN or year, from nothing filed',
      kind: 'choice',
      choices: [
        ['no', 'No'],
        ['yes', 'Yes'],
      ],
    },
    {
      name: 'administrative',
      label: 'The form said something else than was withheld',
      help: 'Only then box 2 of an earlier year is corrected',
      kind: 'choice',
      choices: [
        ['no', 'No'],
        ['yes', 'Yes'],
      ],
    },
  ],
  compute: (input) => {
    const original = input.original as W2Set | null;
    const isTyped = original !== null && isYearElsewhere(input);
    const corrected = isTyped
      ? withTypedBoxes(original, input.entered, input.statements.people)
      : (US_W2.compute(input) as W2Set);
    const on = parseDate(input.answers['discovered'] ?? '') ?? input.today ?? input.period.end;
    // One set of two: what was reported in the first columns, zeros in the second (General Instructions for Forms W-2c and W-3c).
    const isWithdrawn = input.answers['withdrawn'] === 'yes';
    const set = w2cSet(original, isWithdrawn ? { ...corrected, forms: [] } : corrected, {
      isLaterYear: yearOf(on) > yearOf(input.period.end),
      isAdministrative: input.answers['administrative'] === 'yes',
    });
    return isTyped ? { ...set, isTyped } : set;
  },
  lines: ({ forms }) =>
    formW3c(forms).map(({ box, previous, correct }) => ({
      id: `W-3c ${box}`,
      label: `Box ${box}, difference of all`,
      value: subtract(correct, previous),
      kind: 'amount' as const,
      entries: null,
      working: [],
    })),
  tables: tablesOf,
  copies: ({ forms }) => forms,
  check: (set, facts) => runChecks(CHECKS, set, facts),
  amount: ({ forms }) => differenceOf(forms, '1'),
  figures: ({ forms }) => [
    { label: 'Forms W-2c', value: String(forms.length) },
    { label: 'Of them to the SSA', value: String(forms.filter(isFederal).length) },
  ],
  fileName: ({ end }, ein) => `W2C-${yearOf(end)}-${ein}.txt`,
  mediaType: 'text/plain',
  makeFile: writeEfw2c,
  signedBy: null,
  tieOut: {
    ...US_W2.tieOut,
    amounts: ({ corrected }) => US_W2.tieOut.amounts(corrected),
  },
  snapshotVersion: 1,
  store: ({ corrected, forms, ...set }, mark) => ({
    ...set,
    forms: forms.map((form) => ({
      ...form,
      person: { ...form.person, ssn: '' },
      previousPerson: form.previousPerson === null ? null : { ...form.previousPerson, ssn: '' },
      identity: form.identity.map((pair) =>
        // The end of a number is shown; the mark tells whether the whole of it is still the same.
        pair.field === 'ssn'
          ? {
              ...pair,
              previous: masked(pair.previous),
              correct: masked(pair.correct),
              mark: mark(`${pair.previous} ${pair.correct}`),
            }
          : pair,
      ),
    })),
    corrected: US_W2.store(corrected, mark),
  }),
  read: (stored) => {
    const kept = stored as W2cSet;
    return { ...kept, corrected: US_W2.read(kept.corrected, US_W2.snapshotVersion) as W2Set };
  },
  fieldOf: (theirs, { forms }) => {
    const record = /^RCW (\d+) /.exec(theirs);
    const person = forms.filter(isFederal)[Number(record?.[1] ?? 0) - 1]?.person.employeeId;
    return person === undefined
      ? /EIN/.test(theirs)
        ? 'client.ein'
        : null
      : `employee.${person}.${/Number/.test(theirs) ? 'ssn' : 'lastName'}`;
  },
  identifies: { label: 'Wage File Identifier', of: (reference) => reference.slice(-6) },
  amendedBy: 'another Form W-2c',
  // RCW, positions 13 to 21: the correct numbers.
  numbers: ({ forms }, file) => numbersOf(forms.filter(isFederal), file, 'RCW', 12),
  corrects: US_W2.code,
  corrected: ({ corrected }) => corrected,
  takesBoxes: isYearElsewhere,
});
const differenceOf = (forms: readonly FormW2c[], box: string): Cents =>
  sum(
    forms.flatMap((form) =>
      form.boxes.filter((pair) => pair.box === box).map(({ previous, correct }) => subtract(correct, previous)),
    ),
  );
