import { rate } from '../../money/rate.js';
import { certificate, choiceField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual } from '../lines.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { ARIZONA_DEPOSITS } from './deposits.js';
import { ARIZONA_RETURNS } from './returns.js';

const REVENUE = 'Arizona Department of Revenue';
const A4 = publication('Form A-4, Employee’s Arizona Withholding Election', REVENUE, '2025');

export const ARIZONA: StateRules = {
  code: 'AZ',
  name: 'Arizona',
  deposits: ARIZONA_DEPOSITS,
  returns: ARIZONA_RETURNS,
  agencies: {
    income: agency('AZ-DOR', REVENUE, 'AZ Revenue'),
    unemployment: agency('AZ-DES', 'Arizona Department of Economic Security', 'AZ Economic Security'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form A-4',
      [
        choiceField(
          'percent',
          'Percent elected',
          ['0.5', '1.0', '1.5', '2.0', '2.5', '3.0', '3.5', '1', '2', '3', '0'],
          '2.0',
          'Box 1 of Form A-4; `0` is the election of box 2.',
        ),
      ],
      { percent: '2.0' },
      'Withhold 2.0% of gross taxable wages.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(A4, 'boxes 1 and 2'),
        annual(ONE_COLUMN, { do: 'tax-at', label: 'Percent elected', field: 'percent' }),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(A4, 'no supplemental rate is published'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  creditors: creditorsMay('Arizona Revised Statutes § 33-1131', { ofDisposable: rate('0.10'), ...freeHours(60) }),
  minimumWage: minimumWages('Arizona', ['14.35', '14.70', '15.15']),
  unemployment: {
    base: beginning(wageBase('2025-01-01', A4, '8000'), wageBase('2026-01-01', A4, '8000')),
    highestPlausibleRate: PLAUSIBLE,
  },
  reciprocity: {
    with: ['CA', 'IN', 'OR', 'VA'],
    form: 'Form WEC',
    ...recalled(publication('Form WEC', REVENUE, '2025'), 'states listed'),
  },
};
