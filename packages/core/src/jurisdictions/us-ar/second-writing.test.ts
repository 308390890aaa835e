import Big from 'big.js';
import { big, positive, secondWriting } from '../../testing/second-writing.js';

/** Arkansas: rate less an adjustment, at the middle of a range of 50 dollars. */
secondWriting('AR', [{ allowances: 0 }, { allowances: 1 }, { allowances: 4 }], ({ annual, periods, year, claimed }) => {
  const net = positive(annual.minus(year === 2025 ? 2410 : 2470));
  const cell = net.lt(100000) && net.gt(0) ? net.div(50).round(0, Big.roundDown).times(50).plus(25) : net;
  const tax = cell.lt(5600)
    ? big(0)
    : cell.lt(11200)
      ? cell.times('0.02').minus('111.98')
      : cell.lt(16000)
        ? cell.times('0.03').minus('223.97')
        : cell.lt(26400)
          ? cell.times('0.034').minus('287.97')
          : cell.times('0.039').minus('419.96');
  return positive(tax.minus(29 * claimed('allowances'))).div(periods);
});
