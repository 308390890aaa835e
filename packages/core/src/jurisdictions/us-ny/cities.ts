import type { Locality } from '../locality.js';
import { rate } from '../../money/rate.js';
import { between, dated, recalled } from '../dated.js';
import { ONE_COLUMN, annual, byStatus, count, deduct, fixed, flat, noneUpTo, table, tiers } from '../lines.js';
import { localRates, ratesTax } from '../places.js';
import { again, beginning, publication, row } from '../state-words.js';

const TAX = 'New York State Department of Taxation and Finance';
const NYC = publication('Publication NYS-50-T-NYC, New York City Withholding Tax Tables and Methods', TAX, '1/18');
const YONKERS = publication('Publication NYS-50-T-Y, Yonkers Withholding Tax Tables and Methods', TAX, '1/23');
const MCTMT = publication('Metropolitan commuter transportation mobility tax', TAX, '2025');

/** Rates by zone and by the employer's payroll of the quarter, all covered employees together. */
const mobility = (zone: 1 | 2) => {
  const label = `zone ${zone}`;
  const [third, fourth] = zone === 1 ? ['0.60', '0.895'] : ['0.34', '0.635'];
  return ratesTax(
    {
      code: 'MCTMT',
      kind: 'transit',
      label: 'Metropolitan commuter transportation mobility tax',
      payer: 'employer',
      wages: 'medicare',
      isShared: true,
    },
    [
      dated(
        between('2025-01-01', '2025-07-01'),
        recalled(MCTMT, `${label}, rates to June 30, 2025`),
        localRates({
          byPayroll: [
            ['0', '0'],
            ['312500', '0.11'],
            ['375000', '0.23'],
            ['437500', third],
          ],
        }),
      ),
      dated(
        between('2025-07-01', '2027-01-01'),
        recalled(MCTMT, `${label}, rates from July 1, 2025`),
        localRates({
          byPayroll: [
            ['0', '0'],
            ['312500', '0.055'],
            ['375000', '0.115'],
            ['437500', third],
            ['2500000', fourth],
          ],
        }),
      ),
    ],
  );
};
const columns = byStatus({ 'married-jointly': 'married' }, 'single');

export const CITIES: readonly Locality[] = [
  {
    code: 'NYC',
    name: 'New York City',
    alsoKnownAs: ['NYC', 'Manhattan', 'Brooklyn', 'Queens', 'Bronx', 'Staten Island', 'New York'],
    taxes: [
      {
        code: 'LIT',
        kind: 'income',
        label: 'New York City resident tax',
        payer: 'employee',
        wages: 'state-income',
        terms: {
          is: 'worksheet',
          extraField: 'cityExtraWithholding',
          asks: 'cityAllowances',
          for: 'resident',
          rows: beginning(
            row(
              '2025-01-01',
              recalled(NYC, 'Method II, annual schedule; Table A'),
              annual(
                columns,
                deduct('Deduction allowance', fixed({ single: '5000', married: '5500' })),
                deduct('Exemption allowances', count('cityAllowances', '1000')),
                table([
                  ['0', '0', '0.0205'],
                  ['8000', '164', '0.028'],
                  ['8700', '184', '0.0325'],
                  ['15000', '388', '0.0395'],
                  ['25000', '783', '0.0415'],
                  ['60000', '2236', '0.0425'],
                ]),
              ),
            ),
            again('2026-01-01'),
          ),
          supplemental: beginning(
            row('2025-01-01', recalled(NYC, 'supplemental wages'), rate('0.0425')),
            again('2026-01-01'),
          ),
        },
      },
      mobility(1),
    ],
  },
  {
    code: 'YONKERS',
    name: 'Yonkers',
    taxes: [
      {
        code: 'LIT',
        kind: 'income',
        label: 'Yonkers resident surcharge',
        payer: 'employee',
        wages: 'state-income',
        terms: {
          is: 'share-of-state',
          extraField: 'yonkersExtraWithholding',
          rows: beginning(
            row('2025-01-01', recalled(YONKERS, 'resident: 16.75% of the New York State tax'), rate('0.1675')),
            again('2026-01-01'),
          ),
          supplemental: beginning(
            row('2025-01-01', recalled(YONKERS, 'supplemental wages, resident'), rate('0.0195975')),
            again('2026-01-01'),
          ),
        },
      },
      {
        code: 'NRT',
        kind: 'income',
        label: 'Yonkers nonresident earnings tax',
        payer: 'employee',
        wages: 'state-income',
        terms: {
          is: 'worksheet',
          extraField: 'yonkersExtraWithholding',
          for: 'nonresident',
          rows: beginning(
            row(
              '2025-01-01',
              recalled(YONKERS, 'nonresident: 0.5% after the exclusion'),
              annual(
                ONE_COLUMN,
                deduct(
                  'Exclusion',
                  tiers([
                    ['0', '3000'],
                    ['10000', '2000'],
                    ['20000', '1000'],
                    ['30000', '0'],
                  ]),
                ),
                noneUpTo('No tax', '4000'),
                flat('0.005'),
              ),
            ),
            again('2026-01-01'),
          ),
          supplemental: beginning(
            row('2025-01-01', recalled(YONKERS, 'supplemental wages, nonresident'), rate('0.005')),
            again('2026-01-01'),
          ),
        },
      },
      mobility(2),
    ],
  },
  {
    code: 'MCTD-1',
    name: 'Metropolitan commuter district, zone 1',
    alsoKnownAs: ['MCTD zone 1', 'MCTD1'],
    taxes: [mobility(1)],
  },
  {
    code: 'MCTD-2',
    name: 'Metropolitan commuter district, zone 2',
    alsoKnownAs: [
      'MCTD zone 2',
      'MCTD2',
      'Westchester',
      'Nassau',
      'Suffolk',
      'Rockland',
      'Orange',
      'Putnam',
      'Dutchess',
    ],
    taxes: [mobility(2)],
  },
];
