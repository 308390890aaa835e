import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, SINGLE_ZERO_SAYS, certificate, statusField } from '../certificate-fields.js';
import { freeHours, minimumWages, statuteOf } from '../creditor-limits.js';
import { between, dated, recalled, year } from '../dated.js';
import { annualToDollar, byStatus, count, deduct, steps } from '../lines.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MINNESOTA_DEPOSITS } from './deposits.js';
import { MINNESOTA_RETURNS } from './returns.js';

const REVENUE = 'Minnesota Department of Revenue';
const GUIDE = (edition: string) =>
  publication('Minnesota Income Tax Withholding (tax tables and instructions)', REVENUE, edition);
const DEED = publication('Paid Leave premium rates', 'Department of Employment and Economic Development', '2026');
const LEAVE = { ...between('2026-01-01', '2027-01-01') };
const NOT_YET = dated(year(2025), recalled(DEED, 'premiums begin with wages paid from January 1, 2026'), []);

export const MINNESOTA: StateRules = {
  code: 'MN',
  name: 'Minnesota',
  deposits: MINNESOTA_DEPOSITS,
  returns: MINNESOTA_RETURNS,
  agencies: {
    income: agency('MN-DOR', REVENUE, 'MN Revenue'),
    unemployment: agency('MN-DEED', 'Minnesota Department of Employment and Economic Development', 'MN Employment'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form W-4MN',
      [
        statusField(['single', 'married-jointly', 'married-at-single-rate'], 'W-4MN; head of household uses single.'),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          GUIDE('2025'),
          'computer formula',
          'The zero band is rebuilt as the standard deduction less two allowances (single) or three (married), which is how the tables of 2020 were made (it was recalled as 4,600 and 13,450 before); the widths of the brackets are those of the tax.',
        ),
        annualToDollar(
          byStatus({ 'married-jointly': 'married' }, 'single'),
          deduct('Withholding allowances', count('allowances', '5200')),
          steps({
            single: [
              ['0', '0'],
              ['4550', '0.0535'],
              ['37120', '0.068'],
              ['111540', '0.0785'],
              ['203180', '0.0985'],
            ],
            married: [
              ['0', '0'],
              ['14300', '0.0535'],
              ['61920', '0.068'],
              ['203480', '0.0785'],
              ['344710', '0.0985'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          GUIDE('2026'),
          'computer formula',
          'The zero band is rebuilt as for 2025, from the standard deduction of 2026.',
        ),
        annualToDollar(
          byStatus({ 'married-jointly': 'married' }, 'single'),
          deduct('Withholding allowances', count('allowances', '5300')),
          steps({
            single: [
              ['0', '0'],
              ['4700', '0.0535'],
              ['38010', '0.068'],
              ['114130', '0.0785'],
              ['207850', '0.0985'],
            ],
            married: [
              ['0', '0'],
              ['14700', '0.0535'],
              ['63400', '0.068'],
              ['208180', '0.0785'],
              ['352630', '0.0985'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), 'supplemental wages'), flatSupplemental('0.0625')),
      again('2026-01-01'),
    ),
  },
  reciprocity: { with: ['MI', 'ND'], form: 'Form MWR', ...recalled(GUIDE('2025'), 'reciprocity') },
  creditors: [
    dated(between('2024-01-01', '2024-08-01'), statuteOf('Minnesota Statutes § 571.922'), freeHours(40)),
    dated(
      between('2024-08-01', '2027-01-01'),
      statuteOf(
        'Minnesota Statutes § 571.922',
        'The lower shares of August 2024, for consumer debt, are recalled less surely.',
      ),
      {
        byHours: {
          wage: 'state',
          shares: [
            { hours: 0, rate: rate('0.10') },
            { hours: 60, rate: rate('0.15') },
            { hours: 80, rate: rate('0.25') },
          ],
        },
        ...freeHours(40),
      },
    ),
  ],
  minimumWage: minimumWages('Minnesota', ['10.85', '11.13', '11.41']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Minnesota Unemployment Insurance', '2026'), '43000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Minnesota Unemployment Insurance', '2026'), '44000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'PFML-EE',
      kind: 'paid-leave',
      label: 'Minnesota paid leave, employee',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'social-security',
      terms: [
        NOT_YET,
        dated(LEAVE, recalled(DEED, '0.88%, at most half from the employee'), [
          { rate: rate('0.0044'), base: 'oasdi' },
        ]),
      ],
    },
    {
      code: 'PFML-ER',
      kind: 'paid-leave',
      label: 'Minnesota paid leave, employer',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'social-security',
      terms: [
        NOT_YET,
        dated(
          LEAVE,
          recalled(
            DEED,
            '0.88%; employers of 30 or fewer with lower average wages 0.22%',
            'The small employer rate also asks for an average wage of at most 150% of the state average.',
          ),
          [
            {
              rate: rate('0.0022'),
              base: 'oasdi',
              size: { below: 31 },
              asks: 'an average wage of at most 150% of the state average',
            },
            { rate: rate('0.0044'), base: 'oasdi' },
          ],
        ),
      ],
    },
    {
      code: 'WDF',
      kind: 'training',
      label: 'Minnesota workforce development fee',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(publication('Workforce development assessment', 'Minnesota Unemployment Insurance', '2025'), 'rate'),
          [{ rate: rate('0.001'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
};
