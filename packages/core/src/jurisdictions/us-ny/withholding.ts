import { date } from '../../calendar/local-date.js';
import { dollars } from '../../money/cents.js';
import { brackets } from '../brackets.js';
import type { Dated } from '../dated.js';
import type { AnnualTable } from '../state.js';

const statusTable = {
  single: 'single',
  'head-of-household': 'single',
  'married-at-single-rate': 'single',
  'married-jointly': 'married',
  'married-separately': 'single',
};
const deduction = { single: dollars('7400'), married: dollars('7950') };

/** Method II, exact calculation, annual schedules; combined deduction and exemption allowance of Table A. */
export const WITHHOLDING: readonly Dated<AnnualTable>[] = [
  {
    from: date('2025-01-01'),
    until: date('2026-01-01'),
    source: 'us-ny-nys-50-t-2023',
    place: 'Method II, Table II-A annual; Table A',
    standing: 'recalled',
    doubt:
      'Rows from 96,800 up are recalled less surely than those below: they hold the recapture of the lower brackets.',
    value: {
      deduction,
      allowance: dollars('1000'),
      statusTable,
      rounding: 'half-up',
      tables: {
        single: brackets([
          ['0', '0', '0.04'],
          ['8500', '340', '0.045'],
          ['11700', '484', '0.0525'],
          ['13900', '600', '0.055'],
          ['80650', '4271', '0.06'],
          ['96800', '5240', '0.0714'],
          ['107650', '6014', '0.0764'],
          ['157650', '9834', '0.065'],
          ['211550', '13338', '0.1101'],
          ['261550', '18843', '0.0735'],
        ]),
        married: brackets([
          ['0', '0', '0.04'],
          ['8500', '340', '0.045'],
          ['11700', '484', '0.0525'],
          ['13900', '600', '0.055'],
          ['80650', '4271', '0.06'],
          ['96800', '5240', '0.0714'],
          ['107650', '6014', '0.0764'],
          ['157650', '9834', '0.0699'],
        ]),
      },
    },
  },
  {
    from: date('2026-01-01'),
    until: date('2027-01-01'),
    source: 'us-ny-nys-50-t-2026',
    place: 'Method II, Table II-A annual; Table A',
    standing: 'recalled',
    doubt:
      'The rates of the five lower brackets follow Tax Law § 601 as amended for 2026 (each 0.1 lower); the rows from 96,800 up are carried over from the 1/23 edition with that change and await the print.',
    value: {
      deduction,
      allowance: dollars('1000'),
      statusTable,
      rounding: 'half-up',
      tables: {
        single: brackets([
          ['0', '0', '0.039'],
          ['8500', '332', '0.044'],
          ['11700', '472', '0.0515'],
          ['13900', '586', '0.054'],
          ['80650', '4190', '0.059'],
          ['96800', '5143', '0.0704'],
          ['107650', '5907', '0.0754'],
          ['157650', '9677', '0.064'],
        ]),
        married: brackets([
          ['0', '0', '0.039'],
          ['8500', '332', '0.044'],
          ['11700', '472', '0.0515'],
          ['13900', '586', '0.054'],
          ['80650', '4190', '0.059'],
          ['96800', '5143', '0.0704'],
          ['107650', '5907', '0.0754'],
          ['157650', '9677', '0.0689'],
        ]),
      },
    },
  },
];
