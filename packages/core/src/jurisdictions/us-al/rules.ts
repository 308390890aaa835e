import { date } from '../../calendar/local-date.js';
import { rate } from '../../money/rate.js';
import { DEPENDENTS, certificate, statusField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { annual, byStatus, deduct, federalTax, fixed, stairs, steps, tiers } from '../lines.js';
import { placesAt } from '../places.js';
import { PLAUSIBLE, again, agency, beginning, flatSupplemental, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { ALABAMA_DEPOSITS } from './deposits.js';
import { ALABAMA_RETURNS } from './returns.js';

const REVENUE = 'Alabama Department of Revenue';
const TABLES = publication('Withholding Tax Tables and Instructions for Employers', REVENUE, 'January 2025');
const statuses = ['none', 'single', 'married-separately', 'married-jointly', 'head-of-household'];

export const ALABAMA: StateRules = {
  code: 'AL',
  name: 'Alabama',
  deposits: ALABAMA_DEPOSITS,
  returns: ALABAMA_RETURNS,
  agencies: {
    income: agency('AL-DOR', REVENUE, 'AL Revenue'),
    unemployment: agency('AL-DOL', 'Alabama Department of Workforce', 'AL Workforce'),
    others: [agency('AL-CITY', 'Alabama city revenue offices', 'AL cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form A-4',
      [
        statusField(statuses, 'Line 1 to 3 of Form A-4; `none` is a zero on line 1: no personal exemption.', 'none'),
        DEPENDENTS,
      ],
      { filingStatus: 'none', dependents: 0 },
      'Withhold with no exemption.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(TABLES, 'Formula for computing Alabama withholding tax'),
        annual(
          byStatus(
            {
              'married-jointly': 'married',
              'married-separately': 'separately',
              'head-of-household': 'head',
              none: 'none',
            },
            'single',
          ),
          deduct(
            'Standard deduction',
            stairs(
              { none: '3000', single: '3000', married: '8500', separately: '4250', head: '5200' },
              { '*': '25500', separately: '12750' },
              { none: '25', single: '25', married: '175', separately: '88', head: '135' },
              { '*': '500', separately: '250' },
              { none: '2500', single: '2500', married: '5000', separately: '2500', head: '2500' },
            ),
          ),
          deduct('Federal income tax withheld', federalTax()),
          deduct(
            'Personal exemption',
            fixed({ none: '0', single: '1500', separately: '1500', married: '3000', head: '3000' }),
          ),
          deduct(
            'Dependent exemption',
            tiers(
              [
                ['0', '1000'],
                ['50000', '500'],
                ['100000', '300'],
              ],
              'dependents',
            ),
          ),
          steps({
            '*': [
              ['0', '0.02'],
              ['500', '0.04'],
              ['3000', '0.05'],
            ],
            married: [
              ['0', '0.02'],
              ['1000', '0.04'],
              ['6000', '0.05'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(TABLES, 'Supplemental wages'), flatSupplemental('0.05')),
      again('2026-01-01'),
    ),
  },
  views: [
    {
      base: 'SIT',
      until: date('2025-07-01'),
      excludes: ['overtime', 'double-time', 'overtime-premium'],
      provenance: recalled(
        publication('Act 2023-421', 'State of Alabama', '2023'),
        'pay for more than 40 hours in a week, January 2024 to June 2025',
        'Double time is taken to be such pay.',
      ),
    },
  ],
  unemployment: {
    base: beginning(wageBase('2025-01-01', TABLES, '8000'), wageBase('2026-01-01', TABLES, '8000')),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'ESA',
      kind: 'assessment',
      label: 'Alabama employment security assessment',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row(
          '2025-01-01',
          recalled(
            publication('Code of Alabama § 25-4-40.1', 'State of Alabama', '2025'),
            'assessment',
            'Employers at a few fixed rates are exempt.',
          ),
          [{ rate: rate('0.0006'), base: 'unemployment' }],
        ),
        again('2026-01-01'),
      ),
    },
  ],
  local: {
    method: 'work-place',
    agency: 'AL-CITY',
    provenance: recalled(publication('Occupational license fees', 'Alabama cities', '2025'), 'rates'),
    places: placesAt(
      {
        code: 'OLF',
        kind: 'occupational',
        payer: 'employee',
        wages: 'gross',
        label: (name) => `${name} occupational license fee`,
      },
      recalled(
        publication('Occupational license fees', 'Alabama cities', '2025'),
        'rate',
        'Rates are set by ordinance and change.',
      ),
      [
        ['Birmingham', { resident: '1.0', nonresident: '1.0' }],
        ['Bessemer', { resident: '1.0', nonresident: '1.0' }],
        ['Auburn', { resident: '1.0', nonresident: '1.0' }],
        ['Opelika', { resident: '1.5', nonresident: '1.5' }],
        ['Gadsden', { resident: '2.0', nonresident: '2.0' }],
        ['Attalla', { resident: '2.0', nonresident: '2.0' }],
        ['Rainbow City', { resident: '2.0', nonresident: '2.0' }],
        ['Southside', { resident: '2.0', nonresident: '2.0' }],
        ['Glencoe', { resident: '2.0', nonresident: '2.0' }],
        ['Tuskegee', { resident: '2.0', nonresident: '2.0' }],
        ['Irondale', { resident: '1.0', nonresident: '1.0' }],
        ['Leeds', { resident: '1.0', nonresident: '1.0' }],
        ['Midfield', { resident: '1.0', nonresident: '1.0' }],
        ['Fairfield', { resident: '1.0', nonresident: '1.0' }],
        ['Tarrant', { resident: '1.0', nonresident: '1.0' }],
        ['Haleyville', { resident: '1.0', nonresident: '1.0' }],
        ['Hamilton', { resident: '1.0', nonresident: '1.0' }],
        ['Guin', { resident: '1.0', nonresident: '1.0' }],
        ['Sulligent', { resident: '1.0', nonresident: '1.0' }],
        ['Hackleburg', { resident: '1.0', nonresident: '1.0' }],
        ['Brilliant', { resident: '1.0', nonresident: '1.0' }],
        ['Bear Creek', { resident: '1.0', nonresident: '1.0' }],
        ['Lynn', { resident: '1.0', nonresident: '1.0' }],
        ['Shorter', { resident: '1.0', nonresident: '1.0' }],
        ['Red Bay', { resident: '0.5', nonresident: '0.5' }],
        ['Goodwater', { resident: '0.75', nonresident: '0.75' }],
      ],
    ),
  },
};
