import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Ohio: 650 for each exemption; the schedule of 2025, and the single rate of 2026. */
secondWriting('OH', [{ allowances: 0 }, { allowances: 3 }], ({ annual, periods, year, claimed }) => {
  const taxable = positive(annual.minus(650 * claimed('allowances')));
  if (year === 2026) return positive(taxable.minus(26050)).times('0.0275').div(periods);
  return graduated(taxable, [
    [0, '0.005'],
    [5000, '0.01'],
    [10000, '0.02'],
    [15000, '0.025'],
    [20000, '0.03'],
    [40000, '0.035'],
    [80000, '0.04'],
    [100000, '0.05'],
  ])
    .times('1.001')
    .div(periods);
});
