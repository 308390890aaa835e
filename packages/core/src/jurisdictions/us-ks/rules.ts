import { SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField, wholeField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { KANSAS_DEPOSITS } from './deposits.js';
import { KANSAS_RETURNS } from './returns.js';

const REVENUE = 'Kansas Department of Revenue';
const KW100 = publication('KW-100, Kansas Withholding Tax Guide', REVENUE, 'July 2024');

export const KANSAS: StateRules = {
  code: 'KS',
  name: 'Kansas',
  deposits: KANSAS_DEPOSITS,
  returns: KANSAS_RETURNS,
  agencies: {
    income: agency('KS-DOR', REVENUE, 'KS Revenue'),
    unemployment: agency('KS-DOL', 'Kansas Department of Labor', 'KS Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form K-4',
      [
        statusField(['single', 'married-jointly'], 'K-4 line 3: allowance rate single or joint.'),
        wholeField('allowances', 'Personal allowances', 'K-4 lines A to C: 9,160 a year each.'),
        wholeField('dependents', 'Dependents', 'K-4 line D: 2,320 a year each.'),
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          KW100,
          'percentage formula',
          'Whether the print keeps one allowance amount for all (2,320) is not sure.',
        ),
        annual(
          byStatus({ 'married-jointly': 'joint' }, 'single'),
          deduct('Personal allowances', count('allowances', '9160')),
          deduct('Dependent allowances', count('dependents', '2320')),
          steps({
            single: [
              ['0', '0'],
              ['3605', '0.052'],
              ['26605', '0.0558'],
            ],
            joint: [
              ['0', '0'],
              ['8240', '0.052'],
              ['54240', '0.0558'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(KW100, 'supplemental wages'), flatSupplemental('0.05')),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Kansas Department of Labor', '2026'), '14000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Kansas Department of Labor', '2026'), '15100'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
