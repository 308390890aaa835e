import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Alabama: federal tax is deducted, the standard deduction falls in steps, dependents count by income. */
secondWriting(
  'AL',
  [
    { filingStatus: 'none', dependents: 0 },
    { filingStatus: 'single', dependents: 2 },
    { filingStatus: 'married-jointly', dependents: 3 },
    { filingStatus: 'married-separately', dependents: 1 },
    { filingStatus: 'head-of-household', dependents: 1 },
  ],
  ({ annual, federal, periods, claimed, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const apart = is('filingStatus', 'married-separately');
    const head = is('filingStatus', 'head-of-household');
    const [full, floor, drop] = joint
      ? [8500, 5000, 175]
      : apart
        ? [4250, 2500, 88]
        : head
          ? [5200, 2500, 135]
          : [3000, 2500, 25];
    const [mark, width] = apart ? [13000, 250] : [26000, 500];
    const steps = annual.lt(mark) ? 0 : Math.floor(Number(annual.minus(mark)) / width) + 1;
    const standard = Math.max(full - drop * steps, floor);
    const personal = is('filingStatus', 'none') ? 0 : joint || head ? 3000 : 1500;
    const each = annual.lte(50000) ? 1000 : annual.lte(100000) ? 500 : 300;
    const taxable = positive(
      annual
        .minus(standard)
        .minus(personal)
        .minus(each * claimed('dependents'))
        .minus(federal.times(periods)),
    );
    const [first, second] = joint ? [1000, 6000] : [500, 3000];
    return graduated(taxable, [
      [0, '0.02'],
      [first, '0.04'],
      [second, '0.05'],
    ]).div(periods);
  },
);
