import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annualToDollar, byStatus, count, deduct, fixed, flat } from '../lines.js';
import { PLAUSIBLE, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { NORTH_CAROLINA_DEPOSITS } from './deposits.js';
import { NORTH_CAROLINA_RETURNS } from './returns.js';

const REVENUE = 'North Carolina Department of Revenue';
const NC30 = (edition: string) =>
  publication('NC-30, Income Tax Withholding Tables and Instructions', REVENUE, edition);
const worksheet = (by: string) =>
  annualToDollar(
    byStatus({ 'head-of-household': 'head' }, 'single'),
    deduct('Standard deduction', fixed({ single: '12750', head: '19125' })),
    deduct('Withholding allowances', count('allowances', '2500')),
    flat(by),
  );

export const NORTH_CAROLINA: StateRules = {
  code: 'NC',
  name: 'North Carolina',
  deposits: NORTH_CAROLINA_DEPOSITS,
  returns: NORTH_CAROLINA_RETURNS,
  agencies: {
    income: agency('NC-DOR', REVENUE, 'NC Revenue'),
    unemployment: agency('NC-DES', 'North Carolina Division of Employment Security', 'NC Employment Security'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form NC-4',
      [
        statusField(
          ['single', 'married-jointly', 'married-separately', 'head-of-household'],
          'NC-4: single and married use one deduction.',
        ),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(NC30('2025'), 'annualized method: to the whole dollar'), worksheet('0.0435')),
      row('2026-01-01', recalled(NC30('2026'), 'annualized method: to the whole dollar'), worksheet('0.0409')),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(NC30('2025'), 'supplemental wages'), flatSupplemental('0.0435')),
      row('2026-01-01', recalled(NC30('2026'), 'supplemental wages'), flatSupplemental('0.0409')),
    ),
  },
  creditors: creditorsMay('North Carolina General Statutes § 1-362', { isForbidden: true }),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'North Carolina Division of Employment Security', '2026'),
        '32600',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'North Carolina Division of Employment Security', '2026'),
        '34200',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
