import { certificate, wholeField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { between, dated, recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, fixed, table } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { VIRGINIA_DEPOSITS } from './deposits.js';
import { VIRGINIA_RETURNS } from './returns.js';

const TAXATION = 'Virginia Department of Taxation';
const GUIDE = (edition: string) => publication('Income Tax Withholding Guide for Employers', TAXATION, edition);
const worksheet = (standard: string) =>
  annual(
    ONE_COLUMN,
    deduct('Standard deduction', fixed(standard)),
    deduct('Personal exemptions', count('allowances', '930')),
    deduct('Age 65 and blindness exemptions', count('ageOrBlindness', '800')),
    table([
      ['0', '0', '0.02'],
      ['3000', '60', '0.03'],
      ['5000', '120', '0.05'],
      ['17000', '720', '0.0575'],
    ]),
  );

export const VIRGINIA: StateRules = {
  code: 'VA',
  name: 'Virginia',
  deposits: VIRGINIA_DEPOSITS,
  returns: VIRGINIA_RETURNS,
  agencies: {
    income: agency('VA-TAX', TAXATION, 'VA Tax'),
    unemployment: agency('VA-VEC', 'Virginia Employment Commission', 'VA Employment'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form VA-4',
      [
        wholeField('allowances', 'Personal exemptions', 'VA-4 line 1(a).'),
        wholeField('ageOrBlindness', 'Age and blindness exemptions', 'VA-4 line 1(b).'),
      ],
      { allowances: 0 },
      'Withhold with no exemptions.',
    ),
    worksheets: [
      dated(
        between('2025-01-01', '2025-07-01'),
        recalled(GUIDE('January 2025'), 'formula', 'The day on which 8,750 replaced 8,500 in the formula is not sure.'),
        worksheet('8500'),
      ),
      dated(
        between('2025-07-01', '2027-01-01'),
        recalled(GUIDE('July 2025'), 'formula', 'The day on which 8,750 replaced 8,500 in the formula is not sure.'),
        worksheet('8750'),
      ),
    ],
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('January 2025'), 'supplemental wages'), flatSupplemental('0.0575')),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: ['DC', 'KY', 'MD', 'PA', 'WV'],
    form: 'Form VA-4',
    ...recalled(GUIDE('January 2025'), 'reciprocity'),
  },
  creditors: creditorsMay('Code of Virginia § 34-29', freeHours(40)),
  minimumWage: minimumWages('Virginia', ['12.00', '12.41', '12.77']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Virginia Employment Commission', '2025'), '8000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Virginia Employment Commission', '2025'), '8000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
