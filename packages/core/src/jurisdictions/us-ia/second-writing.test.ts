import { positive, secondWriting } from '../../testing/second-writing.js';

/** Iowa: 3.8% after the standard deduction, less the allowances in dollars. */
secondWriting(
  'IA',
  [
    { filingStatus: 'single', allowanceAmount: '40.00' },
    { filingStatus: 'married-jointly', allowanceAmount: '80.00' },
    { filingStatus: 'head-of-household' },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const single = year === 2025 ? 15000 : 16100;
    const standard = is('filingStatus', 'married-jointly')
      ? single * 2
      : is('filingStatus', 'head-of-household')
        ? single * 1.5
        : single;
    return positive(annual.minus(standard)).times('0.038').minus(claimed('allowanceAmount')).div(periods);
  },
);
