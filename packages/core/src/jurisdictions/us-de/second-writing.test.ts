import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Delaware: standard deduction, graduated tax, 110 a year for each personal credit. */
secondWriting(
  'DE',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
    { filingStatus: 'married-separately', allowances: 0 },
  ],
  ({ annual, periods, claimed, is }) =>
    graduated(positive(annual.minus(is('filingStatus', 'married-jointly') ? 6500 : 3250)), [
      [2000, '0.022'],
      [5000, '0.039'],
      [10000, '0.048'],
      [20000, '0.052'],
      [25000, '0.0555'],
      [60000, '0.066'],
    ])
      .minus(110 * claimed('allowances'))
      .div(periods),
);
