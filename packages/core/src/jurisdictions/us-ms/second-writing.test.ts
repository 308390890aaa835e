import { positive, secondWriting } from '../../testing/second-writing.js';

/** Mississippi: the exemption in dollars, the standard deduction, and 10,000 free of tax. */
secondWriting(
  'MS',
  [
    { filingStatus: 'single', exemptionAmount: '6000.00' },
    { filingStatus: 'married-jointly', exemptionAmount: '12000.00' },
    { filingStatus: 'head-of-household', exemptionAmount: '9500.00' },
    { filingStatus: 'married-both-working', exemptionAmount: '6000.00' },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const standard = is('filingStatus', 'married-jointly')
      ? 4600
      : is('filingStatus', 'head-of-household')
        ? 3400
        : 2300;
    return positive(annual.minus(claimed('exemptionAmount')).minus(standard).minus(10000))
      .times(year === 2025 ? '0.044' : '0.04')
      .div(periods);
  },
  { to: 'dollar' },
);
