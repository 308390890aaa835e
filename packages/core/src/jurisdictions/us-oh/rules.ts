import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, steps, table, timesRate } from '../lines.js';
import { PLAUSIBLE, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { OHIO_DEPOSITS } from './deposits.js';
import { OHIO_RETURNS } from './returns.js';
import { MUNICIPALITIES, SCHOOL_DISTRICTS } from './places.js';

const TAXATION = 'Ohio Department of Taxation';
const TABLES = (edition: string) =>
  publication('Employer Withholding Tables: optional computer formula', TAXATION, edition);

export const OHIO: StateRules = {
  code: 'OH',
  name: 'Ohio',
  deposits: OHIO_DEPOSITS,
  returns: OHIO_RETURNS,
  agencies: {
    income: agency('OH-TAX', TAXATION, 'OH Taxation'),
    unemployment: agency('OH-JFS', 'Ohio Department of Job and Family Services', 'OH Job Services'),
    others: [agency('OH-CITY', 'Ohio municipal tax administrators', 'OH cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form IT 4', [ALLOWANCES], { allowances: 0 }, 'Withhold with no exemptions.'),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          TABLES('2025'),
          'optional computer formula',
          'The multiplier follows from 1.075 of 2015 by the cuts of 4% (2019) and 3% (2021); whether an edition of November 2023 or October 2025 changed the rows is not sure.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Exemptions', count('allowances', '650')),
          table([
            ['0', '0', '0.005'],
            ['5000', '25', '0.01'],
            ['10000', '75', '0.02'],
            ['15000', '175', '0.025'],
            ['20000', '300', '0.03'],
            ['40000', '900', '0.035'],
            ['80000', '2300', '0.04'],
            ['100000', '3100', '0.05'],
          ]),
          timesRate('Multiplier', { '*': [['0', '1.001']] }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          TABLES('2026'),
          'optional computer formula',
          'Written from the flat tax of HB 96 for 2026, with its zero band up to 26,050.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Exemptions', count('allowances', '650')),
          steps({
            '*': [
              ['0', '0'],
              ['26050', '0.0275'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'supplemental compensation'), flatSupplemental('0.035')),
      row(
        '2026-01-01',
        recalled(TABLES('2026'), 'supplemental compensation', 'The flat rate follows the single rate of HB 96.'),
        flatSupplemental('0.0275'),
      ),
    ),
  },
  reciprocity: {
    with: ['IN', 'KY', 'MI', 'PA', 'WV'],
    form: 'Form IT 4NR',
    ...recalled(publication('Form IT 4NR', TAXATION, '2025'), 'reciprocal states'),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Ohio Department of Job and Family Services', '2025'),
        '9000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Ohio Department of Job and Family Services', '2025'),
        '9000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    isEverywhere: true,
    method: 'city',
    agency: 'OH-CITY',
    provenance: recalled(publication('Municipal income tax rates', 'Ohio municipalities', '2025'), 'rates and credits'),
    places: [...MUNICIPALITIES, ...SCHOOL_DISTRICTS],
  },
};
