import { rate } from '../../money/rate.js';
import { ALLOWANCES, certificate, flagField } from '../certificate-fields.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, columnIs, count, deduct, rateTiers, steps } from '../lines.js';
import type { Locality } from '../locality.js';
import { fee, feeTax, placeCode } from '../places.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { WEST_VIRGINIA_DEPOSITS } from './deposits.js';
import { WEST_VIRGINIA_RETURNS } from './returns.js';

const TAX = 'West Virginia Tax Division';
const IT1001A = publication('IT-100.1A, West Virginia Income Tax Withheld: percentage method', TAX, '2025');
const FEES = recalled(
  publication('City service fees', 'West Virginia cities', '2025'),
  'fee',
  'Fees are set by ordinance and change.',
);
const weekly = (name: string, amount: string): Locality => ({
  code: placeCode(name),
  name,
  taxes: [
    feeTax(
      { code: 'CSF', kind: 'occupational', label: `${name} city service fee`, payer: 'employee' },
      beginning(row('2025-01-01', FEES, fee(amount, 'week')), again('2026-01-01')),
    ),
  ],
});

export const WEST_VIRGINIA: StateRules = {
  code: 'WV',
  name: 'West Virginia',
  deposits: WEST_VIRGINIA_DEPOSITS,
  returns: WEST_VIRGINIA_RETURNS,
  agencies: {
    income: agency('WV-TAX', TAX, 'WV Tax'),
    unemployment: agency('WV-WF', 'WorkForce West Virginia', 'WV Workforce'),
    others: [agency('WV-CITY', 'West Virginia cities', 'WV cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form WV IT-104',
      [
        ALLOWANCES,
        flagField('isOneEarner', 'One earner, one job', 'IT-104 line 5: the person asks for the one-earner table.'),
      ],
      { allowances: 0 },
      'Withhold with no exemptions from the two-earner table.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          IT1001A,
          'two-earner table by default, one-earner table on request',
          'A further cut of the rates within 2026 is not in it.',
        ),
        annual(
          [columnIs('one', { isOneEarner: true }), columnIs('two')],
          deduct('Exemptions', count('allowances', '2000')),
          steps({
            two: [
              ['0', '0.0222'],
              ['6000', '0.0296'],
              ['15000', '0.0333'],
              ['24000', '0.0444'],
              ['36000', '0.0482'],
            ],
            one: [
              ['0', '0.0222'],
              ['10000', '0.0296'],
              ['25000', '0.0333'],
              ['40000', '0.0444'],
              ['60000', '0.0482'],
            ],
          }),
        ),
      ),
      again('2026-01-01'),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(IT1001A, 'supplemental wages by annual gross'), {
        is: 'tiers',
        rates: rateTiers([
          ['0', '0.0222'],
          ['10000', '0.0296'],
          ['25000', '0.0333'],
          ['40000', '0.0444'],
          ['60000', '0.0482'],
        ]),
      }),
      again('2026-01-01'),
    ),
  },
  reciprocity: {
    with: ['KY', 'MD', 'OH', 'PA', 'VA'],
    form: 'Form WV IT-104 (nonresidence)',
    ...recalled(publication('TSD-422', TAX, '2024'), 'reciprocal states'),
  },
  creditors: creditorsMay('West Virginia Code § 46A-2-130', {
    ofDisposable: rate('0.20'),
    ...freeHours(50, 'federal'),
  }),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', 'WorkForce West Virginia', '2025'), '9500'),
      wageBase('2026-01-01', publication('Taxable wage base', 'WorkForce West Virginia', '2025'), '9500'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    method: 'work-place',
    agency: 'WV-CITY',
    provenance: FEES,
    places: [
      weekly('Charleston', '3.00'),
      weekly('Huntington', '5.00'),
      weekly('Morgantown', '3.00'),
      weekly('Parkersburg', '2.50'),
      weekly('Wheeling', '2.00'),
      weekly('Weirton', '2.00'),
    ],
  },
};
