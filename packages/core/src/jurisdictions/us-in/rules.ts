import { certificate, wholeField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, flat } from '../lines.js';
import { PLAUSIBLE, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { INDIANA_DEPOSITS } from './deposits.js';
import { INDIANA_RETURNS } from './returns.js';
import { COUNTIES } from './counties.js';

const REVENUE = 'Indiana Department of Revenue';
const NOTICE = (edition: string) =>
  publication('Departmental Notice #1, How to Compute Withholding for State and County Income Tax', REVENUE, edition);
const deductions = [
  deduct('Personal exemptions', count('personalExemptions', '1000')),
  deduct('Dependent exemptions', count('dependentExemptions', '1500')),
  deduct('First-year dependent exemptions', count('firstYearDependents', '1500')),
  deduct('Adopted dependent exemptions', count('adoptedDependents', '3000')),
];

export const INDIANA: StateRules = {
  code: 'IN',
  name: 'Indiana',
  deposits: INDIANA_DEPOSITS,
  returns: INDIANA_RETURNS,
  agencies: {
    income: agency('IN-DOR', REVENUE, 'IN Revenue'),
    unemployment: agency('IN-DWD', 'Indiana Department of Workforce Development', 'IN Workforce'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form WH-4',
      [
        wholeField('personalExemptions', 'Personal exemptions', 'WH-4 line 4.'),
        wholeField('dependentExemptions', 'Dependent exemptions', 'WH-4 line 5.'),
        wholeField('firstYearDependents', 'Dependents claimed for the first time', 'WH-4 line 6.'),
        wholeField('adoptedDependents', 'Adopted dependents', 'WH-4 line 7.'),
      ],
      { personalExemptions: 0, dependentExemptions: 0 },
      'Withhold with no exemptions.',
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(NOTICE('2025'), 'state rate'), annual(ONE_COLUMN, ...deductions, flat('0.03'))),
      row('2026-01-01', recalled(NOTICE('2026'), 'state rate'), annual(ONE_COLUMN, ...deductions, flat('0.0295'))),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(NOTICE('2025'), 'supplemental wages'), flatSupplemental('0.03')),
      row('2026-01-01', recalled(NOTICE('2026'), 'supplemental wages'), flatSupplemental('0.0295')),
    ),
  },
  reciprocity: {
    with: ['KY', 'MI', 'OH', 'PA', 'WI'],
    form: 'Form WH-47',
    ...recalled(publication('Information Bulletin #33', REVENUE, '2024'), 'reverse credit and reciprocal states'),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Indiana Department of Workforce Development', '2025'),
        '9500',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Indiana Department of Workforce Development', '2025'),
        '9500',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    isEverywhere: true,
    method: 'county',
    agency: 'IN-DOR',
    provenance: recalled(
      NOTICE('2025'),
      'county rates',
      'County rates change every January and some in October; compare each with the notice.',
    ),
    places: COUNTIES,
  },
};
