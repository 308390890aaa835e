import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** New Mexico: the brackets of 2025, set off by half of the federal standard deduction. */
secondWriting(
  'NM',
  [{ filingStatus: 'single' }, { filingStatus: 'married-jointly' }, { filingStatus: 'head-of-household' }],
  ({ annual, periods, year, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const head = is('filingStatus', 'head-of-household');
    const standard = (year === 2025 ? 15000 : 16100) * (joint ? 2 : head ? 1.5 : 1);
    const marks = joint || head ? [0, 8000, 25000, 50000, 100000, 315000] : [0, 5500, 16500, 33500, 66500, 210000];
    const rates = ['0.015', '0.032', '0.043', '0.047', '0.049', '0.059'];
    return graduated(
      positive(annual.minus(standard / 2)),
      marks.map((mark, index) => [mark, rates[index] ?? '0'] as const),
    ).div(periods);
  },
);
