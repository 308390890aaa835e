import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, columnIs, count, deduct, share, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { SOUTH_CAROLINA_DEPOSITS } from './deposits.js';
import { SOUTH_CAROLINA_RETURNS } from './returns.js';

const REVENUE = 'South Carolina Department of Revenue';
const WH1603F = (edition: string) =>
  publication('WH-1603F, Formula for Computing South Carolina Withholding Tax', REVENUE, edition);
const worksheet = (most: string, each: string, first: string, second: string, top: string) =>
  annual(
    [columnIs('some', { allowances: { atLeast: 1 } }), columnIs('none')],
    deduct('Standard deduction, only with an allowance', share('0.10', { most: { some: most, none: '0' } })),
    deduct('Personal allowances', count('allowances', each)),
    steps({
      '*': [
        ['0', '0'],
        [first, '0.03'],
        [second, top],
      ],
    }),
  );

export const SOUTH_CAROLINA: StateRules = {
  code: 'SC',
  name: 'South Carolina',
  deposits: SOUTH_CAROLINA_DEPOSITS,
  returns: SOUTH_CAROLINA_RETURNS,
  agencies: {
    income: agency('SC-DOR', REVENUE, 'SC Revenue'),
    unemployment: agency('SC-DEW', 'South Carolina Department of Employment and Workforce', 'SC Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form SC W-4', [ALLOWANCES], { allowances: 0 }, 'Withhold with no allowances.'),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          WH1603F('2025'),
          'steps 1 to 6',
          'The deduction follows half of the federal one of the year before; 7,300 and 4,860 are recalled with it.',
        ),
        worksheet('7300', '4860', '3560', '17830', '0.062'),
      ),
      row(
        '2026-01-01',
        recalled(
          WH1603F('2026'),
          'steps 1 to 6',
          'Thresholds are recalled from the indexing; 7,500 and 5,000 follow the deduction of 2025 the same way.',
        ),
        worksheet('7500', '5000', '3640', '18230', '0.06'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(WH1603F('2025'), 'supplemental wages'), flatSupplemental('0.062')),
      row('2026-01-01', recalled(WH1603F('2026'), 'supplemental wages'), flatSupplemental('0.06')),
    ),
  },
  creditors: creditorsMay('South Carolina Code § 37-5-104', { isForbidden: true }),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'South Carolina Department of Employment and Workforce', '2025'),
        '14000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'South Carolina Department of Employment and Workforce', '2025'),
        '14000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'DACA',
      kind: 'assessment',
      label: 'South Carolina departmental administrative contingency assessment',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(
            publication('Contingency assessment', 'South Carolina Department of Employment and Workforce', '2025'),
            'rate',
          ),
          [{ rate: rate('0.0006'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
