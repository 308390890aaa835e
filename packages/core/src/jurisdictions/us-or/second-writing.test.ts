import Big from 'big.js';
import { least, positive, secondWriting } from '../../testing/second-writing.js';

/** Oregon: federal tax up to a limit that falls with wages; two charts; formulas with whole-dollar constants. */
secondWriting(
  'OR',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'single', allowances: 3 },
    { filingStatus: 'married-jointly', allowances: 2 },
    { filingStatus: 'head-of-household', allowances: 2 },
    { filingStatus: 'none', allowances: 0 },
  ],
  ({ annual, federal, periods, year, claimed, is }) => {
    if (is('filingStatus', 'none')) return annual.times('0.08').div(periods);
    const now = year === 2025;
    const count = claimed('allowances');
    const wide = is('filingStatus', 'married-jointly') || count >= 3;
    const by = wide ? 2 : 1;
    const limit = now ? 8500 : 8750;
    const begun = annual.lte(125000 * by)
      ? 0
      : Math.min(
          5,
          Number(
            annual
              .minus(125000 * by)
              .div(5000 * by)
              .round(0, Big.roundUp),
          ),
        );
    const subtraction = least(federal.times(periods), (limit * (5 - begun)) / 5);
    const base = positive(annual.minus(subtraction).minus((now ? 2835 : 2910) * by));
    const each = now ? 256 : 263;
    const [first, second] = now ? [4400, 11050] : [4550, 11400];
    const constants = now
      ? wide
        ? [418, 1316, 21257]
        : [209, 658, 10629]
      : wide
        ? [432, 1357, 21237]
        : [216, 679, 10619];
    const tax = base.lte(first * by)
      ? base.times('0.0475')
      : base.lte(second * by)
        ? base
            .minus(first * by)
            .times('0.0675')
            .plus(constants[0] ?? 0)
        : base.lte(125000 * by)
          ? base
              .minus(second * by)
              .times('0.0875')
              .plus(constants[1] ?? 0)
          : base
              .minus(125000 * by)
              .times('0.099')
              .plus(constants[2] ?? 0);
    const withConstant = annual.lte(50000) ? tax.plus(each) : tax;
    const credits = annual.lte(100000 * by) ? each * count : 0;
    return withConstant.minus(credits).div(periods);
  },
);
