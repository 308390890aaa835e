import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, rateTiers, slide, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { WISCONSIN_DEPOSITS } from './deposits.js';
import { WISCONSIN_RETURNS } from './returns.js';

const REVENUE = 'Wisconsin Department of Revenue';
const W166 = (edition: string) =>
  publication('Publication W-166, Wisconsin Employer’s Withholding Tax Guide', REVENUE, edition);
const LOW = '0.0354';

export const WISCONSIN: StateRules = {
  code: 'WI',
  name: 'Wisconsin',
  deposits: WISCONSIN_DEPOSITS,
  returns: WISCONSIN_RETURNS,
  agencies: {
    income: agency('WI-DOR', REVENUE, 'WI Revenue'),
    unemployment: agency('WI-DWD', 'Wisconsin Department of Workforce Development', 'WI Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form WT-4',
      [statusField(['single', 'married-jointly', 'married-at-single-rate'], 'WT-4 filing status.'), ALLOWANCES],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          W166('2022'),
          'Method B, alternate formula',
          'Tables of April 2022; whether an edition of 2026 replaced them is not sure.',
        ),
        annual(
          byStatus({ 'married-jointly': 'married' }, 'single'),
          deduct(
            'Sliding deduction',
            slide(
              { single: '6702', married: '9461' },
              { single: '17780', married: '25727' },
              { single: '0.12', married: '0.20' },
            ),
          ),
          deduct('Exemptions', count('allowances', '400')),
          steps({
            '*': [
              ['0', LOW],
              ['12760', '0.0465'],
              ['25520', '0.053'],
              ['280950', '0.0765'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(W166('2022'), 'supplemental payments by annual gross'), {
        is: 'tiers',
        rates: rateTiers([
          ['0', '0.0354'],
          ['12760', '0.0465'],
          ['25520', '0.053'],
          ['280950', '0.0765'],
        ]),
      }),
      again('2026-01-01'),
    ),
  },
  reciprocity: { with: ['IL', 'IN', 'KY', 'MI'], form: 'Form W-220', ...recalled(W166('2022'), 'reciprocity') },
  creditors: creditorsMay('Wisconsin Statutes § 812.34', { ofDisposable: rate('0.20') }),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Wisconsin Department of Workforce Development', '2025'),
        '14000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Wisconsin Department of Workforce Development', '2025'),
        '14000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
