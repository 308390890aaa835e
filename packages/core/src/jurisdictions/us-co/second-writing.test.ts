import { positive, secondWriting } from '../../testing/second-writing.js';

/** Colorado: one rate after the allowance of the certificate or of the filing status. */
secondWriting(
  'CO',
  [
    { filingStatus: 'single' },
    { filingStatus: 'married-jointly' },
    { annualAllowance: '7300.00' },
    { hasAllowance: true },
  ],
  ({ annual, periods, claimed, is }) => {
    const allowance =
      claimed('annualAllowance') ||
      (is('hasAllowance', true) ? 0 : is('filingStatus', 'married-jointly') ? 10000 : 5000);
    return positive(annual.minus(allowance)).times('0.044').div(periods);
  },
);
