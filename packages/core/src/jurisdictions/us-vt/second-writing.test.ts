import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Vermont: an allowance of the year, a zero band, four rates. */
secondWriting(
  'VT',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 2 },
    { filingStatus: 'head-of-household', allowances: 0 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const married = is('filingStatus', 'married-jointly', 'civil-union-jointly');
    const now = year === 2025;
    const zero = married ? (now ? 11475 : 11800) : now ? 3825 : 3925;
    const widths = married
      ? now
        ? [82500, 199450, 304000]
        : [84800, 205050, 312500]
      : now
        ? [49400, 119700, 249700]
        : [50800, 123050, 256700];
    return graduated(positive(annual.minus((now ? 5300 : 5400) * claimed('allowances')).minus(zero)), [
      [0, '0.0335'],
      [widths[0] ?? 0, '0.066'],
      [widths[1] ?? 0, '0.076'],
      [widths[2] ?? 0, '0.0875'],
    ]).div(periods);
  },
);
