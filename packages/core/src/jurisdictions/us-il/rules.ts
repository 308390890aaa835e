import { rate } from '../../money/rate.js';
import { certificate, wholeField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, flat } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { ILLINOIS_DEPOSITS } from './deposits.js';
import { ILLINOIS_RETURNS } from './returns.js';

const REVENUE = 'Illinois Department of Revenue';
const IL700T = (edition: string) => publication('Booklet IL-700-T, Illinois Withholding Tax Tables', REVENUE, edition);
const worksheet = (each: string) =>
  annual(
    ONE_COLUMN,
    deduct('Line 1 allowances', count('allowances', each)),
    deduct('Line 2 allowances', count('additionalAllowances', '1000')),
    flat('0.0495'),
  );

export const ILLINOIS: StateRules = {
  code: 'IL',
  name: 'Illinois',
  deposits: ILLINOIS_DEPOSITS,
  returns: ILLINOIS_RETURNS,
  agencies: {
    income: agency('IL-DOR', REVENUE, 'IL Revenue'),
    unemployment: agency('IL-DES', 'Illinois Department of Employment Security', 'IL Employment Security'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form IL-W-4',
      [
        wholeField('allowances', 'Basic allowances', 'IL-W-4 line 1.'),
        wholeField('additionalAllowances', 'Additional allowances', 'IL-W-4 line 2: age 65 or blind.'),
      ],
      { allowances: 0, additionalAllowances: 0 },
      'Withhold with no allowances.',
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(IL700T('2025'), 'automated payroll method'), worksheet('2850')),
      row(
        '2026-01-01',
        recalled(IL700T('2026'), 'automated payroll method', 'The 2026 exemption is indexed; 2,925 is recalled.'),
        worksheet('2925'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(IL700T('2025'), 'supplemental wages'), flatSupplemental('0.0495')),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: ['IA', 'KY', 'MI', 'WI'],
    form: 'Form IL-W-5-NR',
    ...recalled(publication('Publication 130', REVENUE, '2025'), 'reciprocal agreements'),
  },
  creditors: creditorsMay('735 ILCS 5/12-803', { ofGross: rate('0.15'), ...freeHours(45) }),
  minimumWage: minimumWages('Illinois', ['14.00', '15.00', '15.00']),
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Illinois Department of Employment Security', '2026'),
        '13916',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Illinois Department of Employment Security', '2026'),
        '14250',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
