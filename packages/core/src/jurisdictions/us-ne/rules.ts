import { rate } from '../../money/rate.js';
import {
  ALLOWANCES,
  SINGLE_ZERO,
  SINGLE_ZERO_SAYS,
  certificate,
  flagField,
  statusField,
} from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { NEBRASKA_DEPOSITS } from './deposits.js';
import { NEBRASKA_RETURNS } from './returns.js';

const REVENUE = 'Nebraska Department of Revenue';
const CIRCULAR = (edition: string) => publication('Circular EN, Nebraska Income Tax Withholding', REVENUE, edition);
const minimum = {
  do: 'at-least',
  label: 'Minimum withholding, 1.5%',
  rate: rate('0.015'),
  unless: 'hasLowIncomeProof',
  employersOver: 25,
} as const;

export const NEBRASKA: StateRules = {
  code: 'NE',
  name: 'Nebraska',
  deposits: NEBRASKA_DEPOSITS,
  returns: NEBRASKA_RETURNS,
  agencies: {
    income: agency('NE-DOR', REVENUE, 'NE Revenue'),
    unemployment: agency('NE-DOL', 'Nebraska Department of Labor', 'NE Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form W-4N',
      [
        statusField(['single', 'married-jointly'], 'W-4N filing status.'),
        ALLOWANCES,
        flagField(
          'hasLowIncomeProof',
          'Lower withholding proved',
          'The person showed why less than the minimum is right.',
        ),
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          CIRCULAR('2025'),
          'percentage method tables',
          'Thresholds are rebuilt from the 2024 tables by indexing, and the first two rows are not indexed alike; rates follow LB 754.',
        ),
        annual(
          byStatus({ 'married-jointly': 'joint' }, 'single'),
          deduct('Allowances', count('allowances', '2440')),
          steps({
            single: [
              ['0', '0'],
              ['3340', '0.0226'],
              ['6680', '0.0322'],
              ['21040', '0.0491'],
              ['30490', '0.0502'],
              ['38710', '0.0517'],
              ['72720', '0.052'],
            ],
            joint: [
              ['0', '0'],
              ['7980', '0.0226'],
              ['12480', '0.0322'],
              ['31060', '0.0491'],
              ['48340', '0.0502'],
              ['59950', '0.0517'],
              ['79450', '0.052'],
            ],
          }),
          minimum,
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          CIRCULAR('2026'),
          'percentage method tables',
          'Thresholds are carried over from 2025; the top rate is that of LB 754 for 2026.',
        ),
        annual(
          byStatus({ 'married-jointly': 'joint' }, 'single'),
          deduct('Allowances', count('allowances', '2510')),
          steps({
            single: [
              ['0', '0'],
              ['3430', '0.0226'],
              ['6860', '0.0322'],
              ['21600', '0.0455'],
            ],
            joint: [
              ['0', '0'],
              ['8190', '0.0226'],
              ['12810', '0.0322'],
              ['31880', '0.0455'],
            ],
          }),
          minimum,
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(CIRCULAR('2025'), 'supplemental wages'), flatSupplemental('0.05')),
      again('2026-01-01'),
    ),
  },
  convenienceRule: recalled(
    publication('316 Neb. Admin. Code § 22-003', REVENUE, '2024'),
    'convenience of the employee',
  ),
  creditors: creditorsMay('Nebraska Revised Statutes § 25-1558', { ofHead: { ofDisposable: rate('0.15') } }),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Nebraska Department of Labor', '2025'),
        '9000',
        '24,000 for employers at the highest rate.',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Nebraska Department of Labor', '2025'),
        '9000',
        '24,000 for employers at the highest rate.',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
