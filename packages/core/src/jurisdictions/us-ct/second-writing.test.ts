import Big from 'big.js';
import { big, graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Connecticut: exemption, rate, add-back, recapture and credit, each from its own ladder of the annual salary. */
secondWriting(
  'CT',
  [
    { code: 'A' },
    { code: 'B' },
    { code: 'C' },
    { code: 'D' },
    { code: 'E' },
    { code: 'F', reducedWithholding: '5.00' },
    { code: 'none' },
  ],
  ({ annual, periods, is, claimed }) => {
    if (is('code', 'E')) return big(0);
    if (is('code', 'none')) return annual.times('0.0699').div(periods);
    const head = is('code', 'B');
    const joint = is('code', 'C');
    const scale = head ? '1.6' : joint ? 2 : 1;
    /** How many whole or begun ranges of `width` the salary is over `from`, at most `top`. */
    const rungs = (from: number, width: number, top: number): number =>
      annual.lte(from) ? 0 : Math.min(top, Number(annual.minus(from).div(width).round(0, Big.roundUp)));
    const [exempt, until] = head
      ? [19000, 38000]
      : joint
        ? [24000, 48000]
        : is('code', 'F')
          ? [15000, 30000]
          : is('code', 'A')
            ? [12000, 24000]
            : [0, 0];
    const exemption = Math.max(0, exempt - 1000 * rungs(until, 1000, 100));
    const rows = [0, 10000, 50000, 100000, 200000, 250000, 500000].map((mark) => big(mark).times(scale).toNumber());
    const rates = ['0.02', '0.045', '0.055', '0.06', '0.065', '0.069', '0.0699'];
    const initial = graduated(
      positive(annual.minus(exemption)),
      rows.map((mark, index) => [mark, rates[index] ?? '0'] as const),
    );
    const addBack = head
      ? 40 * rungs(78500, 4000, 10)
      : joint
        ? 50 * rungs(100500, 5000, 10)
        : 25 * rungs(is('code', 'F') ? 56500 : 50250, is('code', 'F') ? 5000 : 2500, 10);
    const recapture = head
      ? 40 * rungs(168000, 8000, 10) + 140 * rungs(320000, 8000, 30) + 80 * rungs(800000, 8000, 9)
      : joint
        ? 50 * rungs(210000, 10000, 10) + 180 * rungs(400000, 10000, 30) + 100 * rungs(1000000, 10000, 9)
        : 25 * rungs(105000, 5000, 10) + 90 * rungs(200000, 5000, 30) + 50 * rungs(500000, 5000, 9);
    const credit = (start: number, ...marks: readonly number[]): number => {
      const [five = 0, thirty = 0, fourteen = 0, nine = 0] = marks;
      if (annual.lte(start)) return 0;
      // 75% falls by five to 35, then to 15, by one to 10, and by one to nothing.
      return 75 - 5 * rungs(five, 500, 8) - 5 * rungs(thirty, 500, 4) - rungs(fourteen, 500, 5) - rungs(nine, 500, 10);
    };
    const percent = is('code', 'A')
      ? credit(12000, 15000, 20000, 25000, 48000)
      : head
        ? credit(19000, 24000, 34000, 44000, 74000)
        : joint
          ? credit(24000, 30000, 40000, 50000, 96000)
          : is('code', 'F')
            ? credit(15000, 18800, 25000, 31300, 60000)
            : 0;
    const tax = initial.plus(addBack).plus(recapture);
    return tax
      .times(100 - percent)
      .div(100)
      .div(periods)
      .minus(claimed('reducedWithholding'));
  },
);
