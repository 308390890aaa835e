import { big, positive, secondWriting } from '../../testing/second-writing.js';

/** Utah: one rate less an allowance that slides away by 1.3% of wages; amounts of the period in whole dollars. */
secondWriting(
  'UT',
  [{ filingStatus: 'single' }, { filingStatus: 'married-jointly' }, { filingStatus: 'head-of-household' }],
  ({ annual, periods, date, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const wages = annual.div(periods);
    const printed = (ofYear: number) => big(ofYear).div(periods).round(0);
    const excess = positive(wages.minus(printed(joint ? 18213 : 9107)));
    const allowance = positive(printed(joint ? 900 : 450).minus(excess.times('0.013')));
    return wages.times(date < '2025-06-01' ? '0.0455' : '0.045').minus(allowance);
  },
  { to: 'dollar' },
);
