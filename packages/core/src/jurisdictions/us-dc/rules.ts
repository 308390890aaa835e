import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWageFrom } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { DISTRICT_OF_COLUMBIA_DEPOSITS } from './deposits.js';
import { DISTRICT_OF_COLUMBIA_RETURNS } from './returns.js';

const OTR = 'Office of Tax and Revenue';
const FR230 = publication('FR-230, Income Tax Withholding Instructions and Tables', OTR, '2025');

export const DISTRICT_OF_COLUMBIA: StateRules = {
  code: 'DC',
  name: 'District of Columbia',
  deposits: DISTRICT_OF_COLUMBIA_DEPOSITS,
  returns: DISTRICT_OF_COLUMBIA_RETURNS,
  agencies: {
    income: agency('DC-OTR', OTR, 'DC Tax'),
    unemployment: agency('DC-DOES', 'Department of Employment Services', 'DC Employment'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form D-4', [ALLOWANCES], { allowances: 0 }, 'Withhold with no allowances.'),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          FR230,
          'percentage method',
          'The amount of an allowance, 4,150, is recalled; earlier editions had 1,675 and 1,775.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Allowances', count('allowances', '4150')),
          steps({
            '*': [
              ['0', '0.04'],
              ['10000', '0.06'],
              ['40000', '0.065'],
              ['60000', '0.085'],
              ['250000', '0.0925'],
              ['500000', '0.0975'],
              ['1000000', '0.1075'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(FR230, 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: 'all',
    form: 'Form D-4A',
    ...recalled(publication('D.C. Code § 1-206.02(a)(5)', 'District of Columbia', '2025'), 'no tax on nonresidents'),
  },
  creditors: creditorsMay('D.C. Code § 16-572', freeHours(40, 'state', '0.25')),
  minimumWage: [
    minimumWageFrom('2024-01-01', '2024-07-01', 'the District of Columbia', '17.00'),
    minimumWageFrom('2024-07-01', '2025-07-01', 'the District of Columbia', '17.50'),
    minimumWageFrom('2025-07-01', '2026-07-01', 'the District of Columbia', '17.95'),
    minimumWageFrom(
      '2026-07-01',
      '2027-01-01',
      'the District of Columbia',
      '18.40',
      'The rate of July 2026 is recalled less surely.',
    ),
  ],
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Department of Employment Services', '2026'), '9000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Department of Employment Services', '2026'), '9000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'UPL',
      kind: 'paid-leave',
      label: 'District of Columbia universal paid leave',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'gross',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(
            publication('Paid Family Leave employer tax', 'Department of Employment Services', '2025'),
            'rate since July 1, 2024',
          ),
          [{ rate: rate('0.0075') }],
        ),
        again('2026-01-01'),
      ),
    },
    {
      code: 'ADM',
      kind: 'assessment',
      label: 'District of Columbia administrative funding assessment',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(
            publication('Administrative Funding Assessment', 'Department of Employment Services', '2025'),
            'rate',
          ),
          [{ rate: rate('0.002'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
