import { onOrAfter } from '../../calendar/business-days.js';
import { LEGAL } from '../../calendar/holidays.js';
import { makeDate, yearOf } from '../../calendar/local-date.js';
import { dueBy } from '../../deposits/due-rules.js';
import { recalled } from '../../jurisdictions/dated.js';
import { afterYear } from '../../jurisdictions/deposit-words.js';
import { publication } from '../../jurisdictions/state-words.js';
import { negate, showDollars } from '../../money/cents.js';
import { runChecks } from '../checks.js';
import { defineKind } from '../kind.js';
import { FORM_NAMES } from '../names.js';
import { mefFieldOf } from '../mef-header.js';
import { lineOf } from '../return-lines.js';
import { CHECKS_940 } from './checks.js';
import { write940 } from './file.js';
import { FUTA_TAX, form940, type Form940 } from './form.js';

const IRS = { code: 'IRS', name: 'Internal Revenue Service' } as const;

/** Form 940, Employer's Annual Federal Unemployment (FUTA) Tax Return, with Schedule A. */
export const US_940 = defineKind<Form940>({
  code: 'us-940',
  jurisdiction: 'US',
  name: FORM_NAMES['us-940'],
  noun: 'return',
  agency: IRS,
  receiver: 'irs',
  edition: recalled(
    publication(
      'Form 940, Employer’s Annual Federal Unemployment (FUTA) Tax Return, and its instructions',
      IRS.name,
      '2025',
    ),
    'all lines and Schedule A',
  ),
  period: 'year',
  files: ({ form, isWithoutUnemployment }) => {
    if (isWithoutUnemployment) return { is: false, why: 'It is exempt from federal unemployment tax.' };
    return form === 'schedule-h'
      ? { is: false, why: 'FUTA tax of household employees is on Schedule H.' }
      : { is: true, why: 'Its wages are subject to federal unemployment tax.' };
  },
  owedFor: ['US-FUTA'],
  due: ({ end }) => {
    const { due, rule } = dueBy(afterYear(1), end, LEGAL);
    return { due, rule: `Form 940: ${rule}.` };
  },
  // Ten days more (Instructions for Form 940, "When Must You File Form 940?").
  laterWhenDeposited: ({ end }) => onOrAfter(makeDate(yearOf(end) + 1, 2, 10), LEGAL),
  needs: { unemployment: true },
  asks: [
    {
      name: 'overpaymentApplied',
      line: '13',
      label: 'Overpayment applied from the year before',
      help: 'Form 940 of the year before, line 15, where it was to be applied',
    },
  ],
  compute: form940,
  lines: ({ lines }) => lines,
  tables: ({ scheduleA }) =>
    scheduleA.length === 0
      ? []
      : [
          {
            code: 'A',
            title: 'Schedule A, wages and credit reduction by state',
            columns: [
              { name: 'state', label: 'State', kind: 'text' },
              { name: 'wages', label: 'FUTA taxable wages', kind: 'amount' },
              { name: 'rate', label: 'Reduction rate', kind: 'text' },
              { name: 'reduction', label: 'Credit reduction', kind: 'amount' },
            ],
            rows: scheduleA.map((row) => [row.state, row.wages, row.rate, row.reduction]),
          },
        ],
  check: (form, facts) => runChecks(CHECKS_940, form, facts),
  amount: ({ lines }) => lineOf(lines, '12'),
  figures: ({ lines }) => [
    { label: 'Total FUTA tax, line 12', value: showDollars(lineOf(lines, '12')) },
    { label: 'Balance due, line 14', value: showDollars(lineOf(lines, '14')) },
  ],
  fileName: ({ end }, ein) => `940-${yearOf(end)}-${ein}.xml`,
  mediaType: 'application/xml',
  makeFile: (form, sending) => ({ content: write940(form, sending), issues: [] }),
  signedBy: 'Form 8879-EMP',
  pays: { family: 'US-940', tax: FUTA_TAX, balance: ({ lines }) => lineOf(lines, '14') },
  adds: ({ besides }) => (besides === 0 ? [] : [{ tax: FUTA_TAX, amount: besides }]),
  tieOut: {
    station: 'returns',
    groups: ['US-FUTA'],
    amounts: ({ lines }) => new Map([['US-FUTA', lineOf(lines, '12')]]),
    // The ledger takes it over when the return is accepted.
    adjustments: ({ besides }) => negate(besides),
    adjustmentWords: 'credit reduction, lines 9 to 11, and fractions of cents, until the return is accepted',
    adjusted: ['US-FUTA'],
  },
  snapshotVersion: 1,
  store: (form) => form,
  read: (stored) => stored as Form940,
  fieldOf: (theirs) => mefFieldOf(theirs),
  amendedBy: 'an amended Form 940',
  paymentLines: new Set(['13', '14', '15']),
});
