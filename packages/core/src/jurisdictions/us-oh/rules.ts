import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, steps, table } from '../lines.js';
import { PLAUSIBLE, agency, flatSupplemental, publication, wageBases, yearly } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MUNICIPALITIES, SCHOOL_DISTRICTS } from './places.js';

const TAXATION = 'Ohio Department of Taxation';
const TABLES = (edition: string) =>
  publication('Employer Withholding Tables: optional computer formula', TAXATION, edition);

export const OHIO: StateRules = {
  code: 'OH',
  name: 'Ohio',
  agencies: {
    income: agency('OH-TAX', TAXATION, 'OH Taxation'),
    unemployment: agency('OH-JFS', 'Ohio Department of Job and Family Services', 'OH Job Services'),
    others: [agency('OH-CITY', 'Ohio municipal tax administrators', 'OH cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form IT 4', [ALLOWANCES], { allowances: 0 }, 'Withhold with no exemptions.'),
    worksheets: yearly(
      [
        recalled(
          TABLES('2025'),
          'optional computer formula',
          'The multiplier of the 2025 edition is not sure; the rows are those with rates of 0.501% to 5.01%.',
        ),
        annual(
          ONE_COLUMN,
          deduct('Exemptions', count('allowances', '650')),
          table([
            ['0', '0', '0.00501'],
            ['5000', '25.05', '0.01001'],
            ['10000', '75.10', '0.02005'],
            ['15000', '175.35', '0.02502'],
            ['20000', '300.45', '0.03006'],
            ['40000', '901.65', '0.03507'],
            ['80000', '2304.45', '0.04009'],
            ['100000', '3106.25', '0.0501'],
          ]),
        ),
      ],
      [
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
      ],
    ),
    supplemental: yearly(
      [recalled(TABLES('2025'), 'supplemental compensation'), flatSupplemental('0.035')],
      [
        recalled(TABLES('2026'), 'supplemental compensation', 'The flat rate follows the single rate of HB 96.'),
        flatSupplemental('0.0275'),
      ],
    ),
  },
  reciprocity: {
    with: ['IN', 'KY', 'MI', 'PA', 'WV'],
    form: 'Form IT 4NR',
    ...recalled(publication('Form IT 4NR', TAXATION, '2025'), 'reciprocal states'),
  },
  unemployment: {
    base: wageBases(
      publication('Taxable wage base', 'Ohio Department of Job and Family Services', '2025'),
      '9000',
      '9000',
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    method: 'city',
    agency: 'OH-CITY',
    provenance: recalled(publication('Municipal income tax rates', 'Ohio municipalities', '2025'), 'rates and credits'),
    places: [...MUNICIPALITIES, ...SCHOOL_DISTRICTS],
  },
};
