import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate, statusField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { between, dated, recalled } from '../dated.js';
import { annual, byStatus, count, deduct, fixed, share, steps } from '../lines.js';
import { placesAt } from '../places.js';
import { PLAUSIBLE, TOGETHER, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { MARYLAND_DEPOSITS } from './deposits.js';
import { MARYLAND_RETURNS } from './returns.js';
import type { Quantity } from '../worksheet.js';

const COMPTROLLER = 'Comptroller of Maryland';
const GUIDE = (edition: string) => publication('Maryland Employer Withholding Guide', COMPTROLLER, edition);
const COUNTY = recalled(
  GUIDE('2025'),
  'local income tax rates',
  'Several counties moved within 2025 to rates of up to 3.30%; compare with the guide.',
);

const single = [
  ['0', '0.0475'],
  ['100000', '0.05'],
  ['125000', '0.0525'],
  ['150000', '0.055'],
  ['250000', '0.0575'],
] as const;
const joint = [
  ['0', '0.0475'],
  ['150000', '0.05'],
  ['175000', '0.0525'],
  ['225000', '0.055'],
  ['300000', '0.0575'],
] as const;
const worksheet = (deduction: Quantity, hasTopRates = false) =>
  annual(
    byStatus({ 'married-jointly': 'joint', 'head-of-household': 'joint' }, 'single'),
    deduct('Standard deduction', deduction),
    deduct('Exemptions', count('allowances', '3200')),
    steps(
      hasTopRates
        ? {
            single: [...single, ['500000', '0.0625'], ['1000000', '0.065']],
            joint: [...joint, ['600000', '0.0625'], ['1200000', '0.065']],
          }
        : { single, joint },
      'State part',
    ),
    { do: 'local', label: 'County part', otherwise: rate('0.0225') },
  );

export const MARYLAND: StateRules = {
  code: 'MD',
  name: 'Maryland',
  deposits: MARYLAND_DEPOSITS,
  returns: MARYLAND_RETURNS,
  agencies: {
    income: agency('MD-COMP', COMPTROLLER, 'MD Comptroller'),
    unemployment: agency('MD-DOL', 'Maryland Department of Labor', 'MD Labor'),
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form MW507',
      [
        statusField(
          ['single', 'married-jointly', 'married-separately', 'head-of-household'],
          'Top of MW507; head of household uses the joint table.',
        ),
        ALLOWANCES,
      ],
      { filingStatus: 'single', allowances: 1 },
      'Withhold as single with one exemption.',
    ),
    worksheets: [
      dated(
        between('2025-01-01', '2025-07-01'),
        recalled(
          GUIDE('January 2025'),
          'percentage method with the local rate',
          'The minimum and maximum of the 15% deduction (1,800 and 2,700) are recalled.',
        ),
        worksheet(share('0.15', { least: '1800', most: '2700' })),
      ),
      dated(
        between('2025-07-01', '2027-01-01'),
        recalled(
          GUIDE('July 2025'),
          'percentage method with the local rate',
          'When the tables took up the law of May 2025 (fixed deduction, two rates above 500,000) is not sure.',
        ),
        worksheet(fixed({ single: '3350', joint: '6700' }), true),
      ),
    ],
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), 'lump sums: together with regular wages'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: ['DC', 'PA', 'VA', 'WV'],
    form: 'Form MW507 line 4 to 6',
    ...recalled(GUIDE('2025'), 'reciprocity'),
  },
  creditors: creditorsMay(
    'Maryland Commercial Law § 15-601.1',
    freeHours(30),
    'That the mark is 30 times the state’s minimum wage in every county is recalled.',
  ),
  minimumWage: minimumWages('Maryland', ['15.00', '15.00', '15.00']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'Maryland Department of Labor', '2026'), '8500'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Maryland Department of Labor', '2026'), '8500'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    method: 'with-state',
    agency: 'MD-COMP',
    provenance: COUNTY,
    places: placesAt(
      { code: 'LIT', kind: 'income', payer: 'employee', wages: 'state-income', label: (name) => `${name} income tax` },
      COUNTY,
      [
        ['Allegany County', { resident: '3.03' }],
        [
          'Anne Arundel County',
          {
            tiers: [
              ['0', '2.7'],
              ['50000', '2.81'],
              ['400000', '3.2'],
            ],
          },
        ],
        ['Baltimore County', { resident: '3.2' }],
        ['Baltimore City', { resident: '3.2' }],
        ['Calvert County', { resident: '3.2' }],
        ['Caroline County', { resident: '3.2' }],
        ['Carroll County', { resident: '3.03' }],
        ['Cecil County', { resident: '2.74' }],
        ['Charles County', { resident: '3.03' }],
        ['Dorchester County', { resident: '3.3' }],
        [
          'Frederick County',
          {
            tiers: [
              ['0', '2.25'],
              ['25000', '2.75'],
              ['50000', '2.96'],
              ['150000', '3.2'],
            ],
          },
        ],
        ['Garrett County', { resident: '2.65' }],
        ['Harford County', { resident: '3.06' }],
        ['Howard County', { resident: '3.2' }],
        ['Kent County', { resident: '3.3' }],
        ['Montgomery County', { resident: '3.2' }],
        ["Prince George's County", { resident: '3.2' }, ['Prince George']],
        ["Queen Anne's County", { resident: '3.2' }],
        ["St. Mary's County", { resident: '3.2' }],
        ['Somerset County', { resident: '3.2' }],
        ['Talbot County', { resident: '2.4' }],
        ['Washington County', { resident: '2.95' }],
        ['Wicomico County', { resident: '3.2' }],
        ['Worcester County', { resident: '2.25' }],
      ],
    ),
  },
};
