import { ZERO, dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { amountField, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, credit, deduct, fixed, flat, given } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { IOWA_DEPOSITS } from './deposits.js';
import { IOWA_RETURNS } from './returns.js';

const REVENUE = 'Iowa Department of Revenue';
const formula = (edition: string) => publication('Iowa Withholding Formula (44-001)', REVENUE, edition);
const SPOUSE = 'That a couple in which both earn has the deduction of a single person is recalled less surely.';
const worksheet = (other: string, head: string, joint: string) =>
  annual(
    byStatus({ 'married-jointly': 'joint', 'head-of-household': 'head' }, 'other'),
    deduct('Standard deduction', fixed({ joint, head, other })),
    flat('0.038'),
    credit('Allowances in dollars', given('allowanceAmount')),
  );

export const IOWA: StateRules = {
  code: 'IA',
  name: 'Iowa',
  deposits: IOWA_DEPOSITS,
  returns: IOWA_RETURNS,
  agencies: {
    income: agency('IA-DOR', REVENUE, 'IA Revenue'),
    unemployment: agency('IA-IWD', 'Iowa Workforce Development', 'IA Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'IA W-4',
      [
        statusField(
          ['single', 'head-of-household', 'married-jointly', 'married-both-working', 'married-separately'],
          'Top of the IA W-4; `married-both-working` is married filing jointly with a spouse who has earned income.',
        ),
        amountField('allowanceAmount', 'Total allowances in dollars', 'IA W-4 line 6: dollars of credit a year.'),
      ],
      { filingStatus: 'single' },
      'Withhold as single with no allowances.',
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(formula('2025'), 'steps 1 to 5', SPOUSE), worksheet('15000', '22500', '30000')),
      row(
        '2026-01-01',
        recalled(
          formula('2026'),
          'steps 1 to 5',
          `Deductions follow the federal standard deduction for 2026. ${SPOUSE}`,
        ),
        worksheet('16100', '24150', '32200'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(formula('2025'), 'supplemental wages'), flatSupplemental('0.038')),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: ['IL'],
    form: 'Form 44-016',
    ...recalled(publication('Iowa-Illinois reciprocal agreement', REVENUE, '1973'), 'wages'),
  },
  creditors: creditorsMay(
    'Iowa Code § 642.21',
    {
      byYear: [
        { expecting: ZERO, most: dollars('250') },
        { expecting: dollars('12000'), most: dollars('400') },
        { expecting: dollars('16000'), most: dollars('800') },
        { expecting: dollars('24000'), most: dollars('1500') },
        { expecting: dollars('35000'), most: dollars('2000') },
        { expecting: dollars('50000'), most: { ofExpected: rate('0.10') } },
      ],
    },
    'The court finds what is expected in the year; here it is this check’s gross for every period of a year.',
  ),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Iowa Workforce Development', '2026'),
        '39500',
        'The base was halved by law for 2026 (SF 607).',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Iowa Workforce Development', '2026'),
        '20400',
        'The base was halved by law for 2026 (SF 607).',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
