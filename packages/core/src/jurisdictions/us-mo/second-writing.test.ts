import Big from 'big.js';
import { big, nearest, positive, secondWriting } from '../../testing/second-writing.js';

/** Missouri: brackets of 1,313 (1,348) dollars, each rate half a point higher, to 4.7%. */
secondWriting(
  'MO',
  [
    { filingStatus: 'single' },
    { filingStatus: 'married-jointly' },
    { filingStatus: 'head-of-household' },
    { filingStatus: 'married-both-working' },
  ],
  ({ annual, periods, year, is }) => {
    const single = year === 2025 ? 15000 : 16100;
    const standard = is('filingStatus', 'married-jointly')
      ? 2 * single
      : is('filingStatus', 'head-of-household')
        ? 1.5 * single
        : single;
    const width = year === 2025 ? 1313 : 1348;
    const taxable = positive(annual.minus(standard));
    const row = Math.min(7, Math.max(0, Number(taxable.div(width).round(0, Big.roundDown))));
    if (row === 0) return big(0);
    // The tax at the beginning of each row is printed in whole dollars.
    let base = big(0);
    for (let step = 1; step < row; step += 1)
      base = nearest(
        base.plus(
          big(width)
            .times(15 + 5 * step)
            .div(1000),
        ),
      );
    const rate = row === 7 ? '0.047' : big(15 + 5 * row).div(1000);
    return base.plus(taxable.minus(row * width).times(rate)).div(periods);
  },
  { to: 'dollar' },
);
