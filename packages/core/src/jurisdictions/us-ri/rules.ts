import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, deduct, steps, tiers } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { RHODE_ISLAND_DEPOSITS } from './deposits.js';
import { RHODE_ISLAND_RETURNS } from './returns.js';

const TAXATION = 'Rhode Island Division of Taxation';
const TABLES = (edition: string) =>
  publication('Rhode Island Employer’s Income Tax Withholding Tables', TAXATION, edition);
const DLT = 'Rhode Island Department of Labor and Training';
const RATES = (edition: string) => publication('Tax rates and taxable wage bases', DLT, edition);
const worksheet = (first: string, second: string, until: string) =>
  annual(
    ONE_COLUMN,
    deduct(
      'Exemptions, none above the mark',
      tiers(
        [
          ['0', '1000'],
          [until, '0'],
        ],
        'allowances',
      ),
    ),
    steps({
      '*': [
        ['0', '0.0375'],
        [first, '0.0475'],
        [second, '0.0599'],
      ],
    }),
  );

export const RHODE_ISLAND: StateRules = {
  code: 'RI',
  name: 'Rhode Island',
  deposits: RHODE_ISLAND_DEPOSITS,
  returns: RHODE_ISLAND_RETURNS,
  agencies: { income: agency('RI-TAX', TAXATION, 'RI Taxation'), unemployment: agency('RI-DLT', DLT, 'RI Labor') },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form RI W-4', [ALLOWANCES], { allowances: 0 }, 'Withhold with no exemptions.'),
    worksheets: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'percentage method'), worksheet('79900', '181650', '283250')),
      row(
        '2026-01-01',
        recalled(TABLES('2026'), 'percentage method', 'Brackets as indexed for 2026 are recalled.'),
        worksheet('82050', '186450', '290800'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TABLES('2025'), 'supplemental wages'), flatSupplemental('0.0599')),
      again('2026-01-01'),
    ),
  },
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', RATES('2026'), '29800', '1,500 more for employers at the highest rate.'),
      wageBase('2026-01-01', RATES('2026'), '30800', '1,500 more for employers at the highest rate.'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'TDI',
      kind: 'disability',
      label: 'Rhode Island temporary disability insurance',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(RATES('2025'), 'TDI'), [{ rate: rate('0.013'), base: dollars('89200') }]),
        row(
          '2026-01-01',
          recalled(RATES('2026'), 'TDI', 'The 2026 rate and base are recalled from the announcement.'),
          [{ rate: rate('0.011'), base: dollars('100000') }],
        ),
      ),
    },
    {
      code: 'JDF',
      kind: 'training',
      label: 'Rhode Island job development fund',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(RATES('2025'), 'job development assessment'), [
          { rate: rate('0.0021'), base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
};
