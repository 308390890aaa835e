import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Oklahoma: the standard deduction stands in the table; the three lower rates are gone in 2026. */
secondWriting(
  'OK',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const by = is('filingStatus', 'married-jointly') ? 2 : 1;
    const taxable = positive(annual.minus(1000 * claimed('allowances')).minus(6350 * by));
    const rows: readonly (readonly [number, string])[] =
      year === 2025
        ? [
            [0, '0.0025'],
            [1000, '0.0075'],
            [2500, '0.0175'],
            [3750, '0.0275'],
            [4900, '0.0375'],
            [7200, '0.0475'],
          ]
        : [
            [3750, '0.025'],
            [4900, '0.035'],
            [7200, '0.045'],
          ];
    return graduated(
      taxable,
      rows.map(([mark, rate]) => [mark * by, rate] as const),
    ).div(periods);
  },
  { to: 'dollar' },
);
