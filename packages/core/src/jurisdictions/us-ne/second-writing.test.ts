import { graduated, most, positive, secondWriting } from '../../testing/second-writing.js';

/** Nebraska: the schedule after allowances, but never under 1.5% of the wages without proof. */
secondWriting(
  'NE',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 4 },
    { filingStatus: 'single', allowances: 3, hasLowIncomeProof: true },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const now = year === 2025;
    const marks = now
      ? joint
        ? [7980, 12480, 31060, 48340, 59950, 79450]
        : [3340, 6680, 21040, 30490, 38710, 72720]
      : joint
        ? [8190, 12810, 31880]
        : [3430, 6860, 21600];
    const rates = now ? ['0.0226', '0.0322', '0.0491', '0.0502', '0.0517', '0.052'] : ['0.0226', '0.0322', '0.0455'];
    const tax = graduated(
      positive(annual.minus((now ? 2440 : 2510) * claimed('allowances'))),
      marks.map((mark, index) => [mark, rates[index] ?? '0'] as const),
    );
    return (is('hasLowIncomeProof', true) ? tax : most(tax, annual.times('0.015'))).div(periods);
  },
);
