import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** New Jersey: the rate table of the wage chart, after 1,000 for each allowance. */
secondWriting(
  'NJ',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 0 },
    { rateTable: 'C', allowances: 2 },
    { rateTable: 'D', allowances: 0 },
    { rateTable: 'E', allowances: 1 },
  ],
  ({ annual, periods, claimed, is }) => {
    const table = is('rateTable', 'A', 'B', 'C', 'D', 'E')
      ? (['A', 'B', 'C', 'D', 'E'].find((letter) => is('rateTable', letter)) ?? 'A')
      : is('filingStatus', 'married-jointly', 'head-of-household')
        ? 'B'
        : 'A';
    const high = [
      [500000, '0.099'],
      [1000000, '0.118'],
    ] as const;
    const rows = {
      A: [[0, '0.015'], [20000, '0.02'], [35000, '0.039'], [40000, '0.061'], [75000, '0.07'], ...high],
      B: [
        [0, '0.015'],
        [20000, '0.02'],
        [50000, '0.027'],
        [70000, '0.039'],
        [80000, '0.061'],
        [150000, '0.07'],
        ...high,
      ],
      C: [
        [0, '0.015'],
        [20000, '0.023'],
        [40000, '0.028'],
        [50000, '0.035'],
        [60000, '0.056'],
        [150000, '0.066'],
        ...high,
      ],
      D: [
        [0, '0.015'],
        [20000, '0.027'],
        [40000, '0.034'],
        [50000, '0.043'],
        [60000, '0.056'],
        [150000, '0.065'],
        ...high,
      ],
      E: [[0, '0.015'], [20000, '0.02'], [35000, '0.058'], [100000, '0.065'], ...high],
    } as const;
    return graduated(positive(annual.minus(1000 * claimed('allowances'))), rows[table as 'A']).div(periods);
  },
);
