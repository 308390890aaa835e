import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { ALLOWANCES, SINGLE_ZERO, certificate, choiceField, statusField } from '../certificate-fields.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, columnIs, count, deduct, steps } from '../lines.js';
import { placesAt } from '../places.js';
import type { Program } from '../program.js';
import type { TaxKind } from '../tax-kind.js';
import {
  CAFETERIA_ITEMS,
  PLAUSIBLE,
  TOGETHER,
  again,
  agency,
  beginning,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { NEW_JERSEY_DEPOSITS } from './deposits.js';
import { NEW_JERSEY_RETURNS } from './returns.js';

const TAXATION = 'New Jersey Division of Taxation';
const NJWT = publication('NJ-WT, New Jersey Income Tax Withholding Instructions', TAXATION, '2025');
const LABOR = 'New Jersey Department of Labor and Workforce Development';
const RATES = (edition: string) => publication('Contribution rates and taxable wage bases', LABOR, edition);
const worker = (
  code: string,
  kind: TaxKind,
  label: string,
  of2025: string,
  of2026: string,
  base2025: string,
  base2026: string,
): Program => ({
  code,
  kind,
  label: `New Jersey ${label}, worker`,
  payer: 'employee',
  agency: 'unemployment',
  wages: 'unemployment',
  terms: beginning(
    row('2025-01-01', recalled(RATES('2025'), label), [{ rate: rate(of2025), base: dollars(base2025) }]),
    row('2026-01-01', recalled(RATES('2026'), label), [{ rate: rate(of2026), base: dollars(base2026) }]),
  ),
});
const letterColumns = ['A', 'B', 'C', 'D', 'E'].map((letter) => columnIs(letter, { rateTable: letter }));

export const NEW_JERSEY: StateRules = {
  code: 'NJ',
  name: 'New Jersey',
  deposits: NEW_JERSEY_DEPOSITS,
  returns: NEW_JERSEY_RETURNS,
  agencies: {
    income: agency('NJ-TAX', TAXATION, 'NJ Tax'),
    unemployment: agency('NJ-DOL', LABOR, 'NJ Labor'),
    others: [agency('NJ-CITY', 'New Jersey city finance departments', 'NJ cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form NJ-W4',
      [
        choiceField(
          'rateTable',
          'Rate table letter',
          ['A', 'B', 'C', 'D', 'E', 'by-status'],
          'by-status',
          'NJ-W4 line 3, from the wage chart; left out, table A for single and separate, B for the others.',
        ),
        statusField(['single', 'married-jointly', 'married-separately', 'head-of-household'], 'NJ-W4 line 2.'),
        ALLOWANCES,
      ],
      SINGLE_ZERO,
      'Withhold as single with no allowances, table A.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(NJWT, 'percentage method, rate tables A to E'),
        annual(
          [...letterColumns, ...byStatus({ 'married-jointly': 'B', 'head-of-household': 'B' }, 'A')],
          deduct('Allowances', count('allowances', '1000')),
          steps({
            A: [
              ['0', '0.015'],
              ['20000', '0.02'],
              ['35000', '0.039'],
              ['40000', '0.061'],
              ['75000', '0.07'],
              ['500000', '0.099'],
              ['1000000', '0.118'],
            ],
            B: [
              ['0', '0.015'],
              ['20000', '0.02'],
              ['50000', '0.027'],
              ['70000', '0.039'],
              ['80000', '0.061'],
              ['150000', '0.07'],
              ['500000', '0.099'],
              ['1000000', '0.118'],
            ],
            C: [
              ['0', '0.015'],
              ['20000', '0.023'],
              ['40000', '0.028'],
              ['50000', '0.035'],
              ['60000', '0.056'],
              ['150000', '0.066'],
              ['500000', '0.099'],
              ['1000000', '0.118'],
            ],
            D: [
              ['0', '0.015'],
              ['20000', '0.027'],
              ['40000', '0.034'],
              ['50000', '0.043'],
              ['60000', '0.056'],
              ['150000', '0.065'],
              ['500000', '0.099'],
              ['1000000', '0.118'],
            ],
            E: [
              ['0', '0.015'],
              ['20000', '0.02'],
              ['35000', '0.058'],
              ['100000', '0.065'],
              ['500000', '0.099'],
              ['1000000', '0.118'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(NJWT, 'supplemental wages: together with regular wages'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  views: [
    movingIsExcluded(NJWT),
    {
      base: 'SIT',
      taxes: [...CAFETERIA_ITEMS, 'employer-hsa', '403b', '457b', 'simple-ira'],
      provenance: recalled(
        NJWT,
        'New Jersey does not exclude cafeteria plans, and of deferrals only those of a 401(k)',
      ),
    },
    {
      base: 'SIT',
      taxes: ['transit', 'parking'],
      provenance: recalled(
        publication('N.J.S.A. 54A:6-23', 'State of New Jersey', '2024'),
        'commuter benefits are excluded only on top of pay, not in its place',
        'That pay given up for transit or parking is taxed is recalled from the words of the statute.',
      ),
    },
    {
      base: 'SUI',
      taxes: [...CAFETERIA_ITEMS, 'employer-hsa'],
      provenance: recalled(
        RATES('2025'),
        'cafeteria plan amounts are remuneration',
        'A premium-only plan may be treated otherwise.',
      ),
    },
  ],
  reciprocity: { with: ['PA'], form: 'Form NJ-165', ...recalled(NJWT, 'Pennsylvania residents') },
  creditsPlaces: recalled(
    publication('N.J.S.A. 54A:4-1(a)', 'State of New Jersey', '2024'),
    'tax of another state or a political subdivision of it, such as Philadelphia',
    'That withholding may be lowered by it, as by the tax of a state, is recalled less surely than the credit itself.',
  ),
  convenienceRule: recalled(
    publication('P.L. 2023, c. 125', 'State of New Jersey', '2023'),
    'only against residents of states with such a rule',
  ),
  creditors: creditorsMay('New Jersey Statutes § 2A:17-56', { ofGross: rate('0.10') }),
  unemployment: {
    base: beginning(wageBase('2025-01-01', RATES('2026'), '43300'), wageBase('2026-01-01', RATES('2026'), '44800')),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    worker('SUI-EE', 'unemployment', 'unemployment insurance', '0.003825', '0.003825', '43300', '44800'),
    worker('WF-EE', 'training', 'workforce development', '0.000425', '0.000425', '43300', '44800'),
    worker('TDI-EE', 'disability', 'temporary disability insurance', '0.0023', '0.0019', '165400', '171100'),
    worker('FLI-EE', 'paid-leave', 'family leave insurance', '0.0033', '0.0023', '165400', '171100'),
    {
      code: 'TDI-ER',
      kind: 'disability',
      label: 'New Jersey temporary disability insurance, employer',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      ownRateOtherwise: rate('0.005'),
      terms: beginning(
        row('2025-01-01', recalled(RATES('2025'), 'employer rate by notice, 0.10% to 0.75%; 0.50% for new employers'), [
          { rate: 'own', base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'WF-ER',
      kind: 'training',
      label: 'New Jersey workforce development, employer',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(RATES('2025'), 'workforce development and supplemental workforce fund'), [
          { rate: rate('0.001175'), base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
  local: {
    method: 'work-place',
    agency: 'NJ-CITY',
    provenance: recalled(publication('Payroll tax ordinances', 'New Jersey cities', '2025'), 'rates'),
    places: placesAt(
      { code: 'PET', kind: 'payroll', payer: 'employer', wages: 'gross', label: (name) => `${name} payroll tax` },
      recalled(
        publication('Payroll tax ordinances', 'New Jersey cities', '2025'),
        'rate',
        'Employers with a small quarterly payroll, and wages of city residents in Jersey City, are exempt.',
      ),
      [
        ['Newark', { resident: '1.0', nonresident: '1.0' }],
        ['Jersey City', { resident: '0', nonresident: '1.0' }],
      ],
    ),
  },
};
