import { big, nearest, positive, secondWriting } from '../../testing/second-writing.js';

/** Idaho: 5.3% above the zero band; an allowance is the child tax credit of 205 over the rate. */
secondWriting(
  'ID',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
    { filingStatus: 'married-at-single-rate', allowances: 0 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const each = nearest(big(205).div('0.053'));
    const band = (year === 2025 ? 15000 : 16100) + 4811;
    return positive(
      annual.minus(each.times(claimed('allowances'))).minus(is('filingStatus', 'married-jointly') ? 2 * band : band),
    )
      .times('0.053')
      .div(periods);
  },
  { to: 'dollar' },
);
