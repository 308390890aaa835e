import { positive, secondWriting } from '../../testing/second-writing.js';

/** Kansas: two rates above the standard deduction, on wages less the exemptions. */
secondWriting(
  'KS',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 2, dependents: 2 },
  ],
  ({ annual, periods, claimed, is }) => {
    const [standard, second] = is('filingStatus', 'married-jointly') ? [8240, 46000] : [3605, 23000];
    const taxable = positive(
      annual
        .minus(9160 * claimed('allowances'))
        .minus(2320 * claimed('dependents'))
        .minus(standard),
    );
    return taxable
      .times('0.052')
      .plus(positive(taxable.minus(second)).times('0.0038'))
      .div(periods);
  },
);
