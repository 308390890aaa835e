import Big from 'big.js';
import { big, positive, secondWriting } from '../../testing/second-writing.js';

/** Arkansas: rate less an adjustment, at the middle of a range of 50 dollars. */
secondWriting('AR', [{ allowances: 0 }, { allowances: 1 }, { allowances: 4 }], ({ annual, periods, year, claimed }) => {
  const net = positive(annual.minus(year === 2025 ? 2410 : 2470));
  const cell = net.lt(100000) && net.gt(0) ? net.div(50).round(0, Big.roundDown).times(50).plus(25) : net;
  const [marks, less] =
    year === 2025
      ? ([
          [5500, 10900, 15600, 25700],
          ['109.98', '218.97', '281.37', '409.86'],
        ] as const)
      : ([
          [5600, 11200, 16000, 26400],
          ['111.98', '223.97', '287.97', '419.96'],
        ] as const);
  const tax = cell.lt(marks[0])
    ? big(0)
    : cell.lt(marks[1])
      ? cell.times('0.02').minus(less[0])
      : cell.lt(marks[2])
        ? cell.times('0.03').minus(less[1])
        : cell.lt(marks[3])
          ? cell.times('0.034').minus(less[2])
          : cell.times('0.039').minus(less[3]);
  return positive(tax.minus(29 * claimed('allowances'))).div(periods);
});
