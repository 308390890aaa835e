import { big, positive, secondWriting } from '../../testing/second-writing.js';

/** Utah: one rate less an allowance that slides away by 1.3% of wages; whole dollars. */
secondWriting(
  'UT',
  [{ filingStatus: 'single' }, { filingStatus: 'married-jointly' }, { filingStatus: 'head-of-household' }],
  ({ annual, periods, date, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const allowance = positive(
      big(joint ? 900 : 450).minus(positive(annual.minus(joint ? 18213 : 9107)).times('0.013')),
    );
    return annual
      .times(date < '2025-06-01' ? '0.0455' : '0.045')
      .minus(allowance)
      .div(periods);
  },
  { to: 'dollar' },
);
