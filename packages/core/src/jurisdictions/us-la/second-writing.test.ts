import { positive, secondWriting } from '../../testing/second-writing.js';

/** Louisiana: 3.09% of what is over the deduction of the status. */
secondWriting(
  'LA',
  [
    { filingStatus: 'none' },
    { filingStatus: 'single' },
    { filingStatus: 'married-jointly' },
    { filingStatus: 'head-of-household' },
  ],
  ({ annual, periods, year, is }) => {
    const one = is('filingStatus', 'none') ? 0 : year === 2025 ? 12500 : 12875;
    return positive(annual.minus(is('filingStatus', 'married-jointly', 'head-of-household') ? 2 * one : one))
      .times('0.0309')
      .div(periods);
  },
);
