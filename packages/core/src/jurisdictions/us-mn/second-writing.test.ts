import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Minnesota: the zero band is the standard deduction less two allowances (three, married). */
secondWriting(
  'MN',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 2 },
    { filingStatus: 'married-at-single-rate', allowances: 0 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const married = is('filingStatus', 'married-jointly');
    const each = year === 2025 ? 5200 : 5300;
    const standard = year === 2025 ? 14950 : 15300;
    const zero = married ? 2 * standard - 3 * each : standard - 2 * each;
    const widths =
      year === 2025
        ? married
          ? [47620, 189180, 330410]
          : [32570, 106990, 198630]
        : married
          ? [48700, 193480, 337930]
          : [33310, 109430, 203150];
    const taxable = positive(annual.minus(each * claimed('allowances')).minus(zero));
    return graduated(taxable, [
      [0, '0.0535'],
      [widths[0] ?? 0, '0.068'],
      [widths[1] ?? 0, '0.0785'],
      [widths[2] ?? 0, '0.0985'],
    ]).div(periods);
  },
  { to: 'dollar' },
);
