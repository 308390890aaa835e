import { certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annual, byStatus, deduct, fixed, flat } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { LOUISIANA_DEPOSITS } from './deposits.js';
import { LOUISIANA_RETURNS } from './returns.js';

const REVENUE = 'Louisiana Department of Revenue';
const R1306 = (edition: string) =>
  publication('R-1306, Withholding Tables and Instructions for Employers', REVENUE, edition);
const worksheet = (single: string, joint: string) =>
  annual(
    byStatus({ 'married-jointly': 'joint', 'head-of-household': 'joint', none: 'none' }, 'single'),
    deduct('Standard deduction', fixed({ single, joint, none: '0' })),
    flat('0.0309'),
  );

export const LOUISIANA: StateRules = {
  code: 'LA',
  name: 'Louisiana',
  deposits: LOUISIANA_DEPOSITS,
  returns: LOUISIANA_RETURNS,
  agencies: {
    income: agency('LA-LDR', REVENUE, 'LA Revenue'),
    unemployment: agency('LA-LWC', 'Louisiana Workforce Commission', 'LA Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form L-4',
      [
        statusField(
          ['none', 'single', 'married-jointly', 'head-of-household', 'married-separately'],
          'L-4 block A: `head-of-household` has the deduction of a joint return; `none` claims no deduction.',
          'none',
        ),
      ],
      { filingStatus: 'none' },
      'Withhold with no deduction.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(R1306('1/25'), 'formula: the withholding rate, 3.09%, is not the tax rate'),
        worksheet('12500', '25000'),
      ),
      row(
        '2026-01-01',
        recalled(R1306('1/26'), 'formula', 'The 2026 deduction (12,875 and 25,750) follows from indexing.'),
        worksheet('12875', '25750'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(R1306('1/25'), 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Louisiana Workforce Commission', '2026'), '7700'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Louisiana Workforce Commission', '2026'), '7000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
