import { rate } from '../../money/rate.js';
import { certificate } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, flat } from '../lines.js';
import {
  DEFERRAL_ITEMS,
  PLAUSIBLE,
  again,
  agency,
  beginning,
  flatSupplemental,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { PENNSYLVANIA_DEPOSITS } from './deposits.js';
import { PENNSYLVANIA_RETURNS } from './returns.js';
import { MUNICIPALITIES } from './municipalities.js';

const REVENUE = 'Pennsylvania Department of Revenue';
const GUIDE = publication('REV-415, Employer Withholding Information Guide', REVENUE, '2025');
const LABOR = 'Pennsylvania Department of Labor and Industry';

export const PENNSYLVANIA: StateRules = {
  code: 'PA',
  name: 'Pennsylvania',
  deposits: PENNSYLVANIA_DEPOSITS,
  returns: PENNSYLVANIA_RETURNS,
  agencies: {
    income: agency('PA-DOR', REVENUE, 'PA Revenue'),
    unemployment: agency('PA-DLI', LABOR, 'PA Labor'),
    others: [
      agency('PA-LOCAL', 'Pennsylvania local tax collectors', 'PA collectors'),
      agency('PA-PHL', 'City of Philadelphia Department of Revenue', 'Philadelphia'),
    ],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form REV-419', [], {}, 'Withhold in full; there are no allowances.'),
    worksheets: beginning(
      row('2025-01-01', recalled(GUIDE, '3.07% of taxable compensation'), annual(ONE_COLUMN, flat('0.0307'))),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE, 'supplemental wages'), flatSupplemental('0.0307')),
      again('2026-01-01'),
    ),
  },
  views: [
    movingIsExcluded(GUIDE),
    {
      base: 'SIT',
      taxes: [...DEFERRAL_ITEMS, 'transit', 'parking', 'section-125-other'],
      excludes: ['group-term-life'],
      provenance: recalled(
        GUIDE,
        'taxability of deferrals and cafeteria plans',
        'Dependent care is excluded since 2023, employer-paid group-term life always (both recalled).',
      ),
    },
  ],
  reciprocity: {
    with: ['IN', 'MD', 'NJ', 'OH', 'VA', 'WV'],
    form: 'Form REV-419',
    ...recalled(GUIDE, 'reciprocal agreements; local earned income tax is not lifted'),
  },
  convenienceRule: recalled(publication('61 Pa. Code § 109.8', REVENUE, '2024'), 'convenience of the employee'),
  residents: 'none',
  creditors: creditorsMay('42 Pa. Cons. Stat. § 8127', { isForbidden: true }),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', LABOR, '2025'), '10000'),
      wageBase('2026-01-01', publication('Taxable wage base', LABOR, '2025'), '10000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'UC-EE',
      kind: 'unemployment',
      label: 'Pennsylvania unemployment, employee',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(publication('Employee UC contribution', LABOR, '2025'), '0.07% of all wages'), [
          { rate: rate('0.0007') },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
  local: {
    isEverywhere: true,
    method: 'higher-of-two',
    agency: 'PA-LOCAL',
    provenance: recalled(
      publication('Act 32 and Act 7 register', 'Pennsylvania Department of Community and Economic Development', '2025'),
      'rates',
    ),
    places: MUNICIPALITIES,
  },
};
