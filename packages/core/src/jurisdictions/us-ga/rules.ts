import { rate } from '../../money/rate.js';
import { DEPENDENTS, SINGLE_ZERO_SAYS, certificate, statusField, wholeField } from '../certificate-fields.js';
import { between, dated, recalled, year } from '../dated.js';
import { annual, byStatus, count, deduct, fixed, flat } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { GEORGIA_DEPOSITS } from './deposits.js';
import { GEORGIA_RETURNS } from './returns.js';

const REVENUE = 'Georgia Department of Revenue';
const guide = (edition: string) => publication('Employer’s Tax Guide', REVENUE, edition);
const worksheet = (by: string) =>
  annual(
    byStatus({ 'married-jointly': 'joint' }, 'single'),
    deduct('Standard deduction', fixed({ joint: '24000', single: '12000' })),
    deduct('Dependent allowances', count('dependents', '4000')),
    deduct('Additional allowances', count('allowances', '3000')),
    flat(by),
  );

export const GEORGIA: StateRules = {
  code: 'GA',
  name: 'Georgia',
  deposits: GEORGIA_DEPOSITS,
  returns: GEORGIA_RETURNS,
  agencies: {
    income: agency('GA-DOR', REVENUE, 'GA Revenue'),
    unemployment: agency('GA-DOL', 'Georgia Department of Labor', 'GA Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form G-4',
      [
        statusField(
          ['single', 'married-jointly', 'married-both-working', 'married-separately', 'head-of-household'],
          'G-4 line 3; `married-jointly` is married filing jointly with one spouse working.',
        ),
        DEPENDENTS,
        wholeField('allowances', 'Additional allowances', 'G-4 line 5.'),
      ],
      { filingStatus: 'single', dependents: 0, allowances: 0 },
      SINGLE_ZERO_SAYS,
    ),
    worksheets: [
      dated(
        between('2025-01-01', '2025-07-01'),
        recalled(guide('January 2025'), 'percentage method'),
        worksheet('0.0539'),
      ),
      dated(
        between('2025-07-01', '2026-01-01'),
        recalled(guide('July 2025'), 'percentage method (HB 111)'),
        worksheet('0.0519'),
      ),
      dated(
        year(2026),
        recalled(guide('2026'), 'percentage method', 'The rate is the 2025 rate less the scheduled 0.10 (HB 111).'),
        worksheet('0.0509'),
      ),
    ],
    supplemental: [
      dated(
        between('2025-01-01', '2025-07-01'),
        recalled(guide('January 2025'), 'supplemental wages'),
        flatSupplemental('0.0539'),
      ),
      dated(
        between('2025-07-01', '2026-01-01'),
        recalled(guide('July 2025'), 'supplemental wages'),
        flatSupplemental('0.0519'),
      ),
      dated(year(2026), recalled(guide('2026'), 'supplemental wages'), flatSupplemental('0.0509')),
    ],
  },
  unemployment: {
    base: beginning(wageBase('2025-01-01', guide('2025'), '9500'), wageBase('2026-01-01', guide('2025'), '9500')),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'ADM',
      kind: 'assessment',
      label: 'Georgia administrative assessment',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(publication('Administrative assessment', 'Georgia Department of Labor', '2025'), 'rate'),
          [{ rate: rate('0.0006'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
