import { positive, secondWriting } from '../../testing/second-writing.js';

/** Kentucky: one rate after the standard deduction. */
secondWriting('KY', [{}], ({ annual, periods, year }) =>
  year === 2025
    ? positive(annual.minus(3270)).times('0.04').div(periods)
    : positive(annual.minus(3360)).times('0.035').div(periods),
);
