import { big, graduated, least, positive, secondWriting } from '../../testing/second-writing.js';

/** Maine: the standard deduction fades over 75,000 (150,000 joint) of wages. */
secondWriting(
  'ME',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
    { filingStatus: 'head-of-household', allowances: 2 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const now = year === 2025;
    const [start, from, width] = joint
      ? now
        ? [27150, 200050, 150000]
        : [27900, 204550, 150000]
      : now
        ? [12150, 100000, 75000]
        : [12500, 102250, 75000];
    const faded = least(positive(annual.minus(from)).div(width), 1);
    const deduction = big(start).minus(faded.times(start));
    const [first, second] = joint ? (now ? [53600, 126900] : [54850, 129750]) : now ? [26800, 63450] : [27400, 64850];
    return graduated(positive(annual.minus((now ? 5150 : 5300) * claimed('allowances')).minus(deduction)), [
      [0, '0.058'],
      [first, '0.0675'],
      [second, '0.0715'],
    ]).div(periods);
  },
  { to: 'dollar' },
);
