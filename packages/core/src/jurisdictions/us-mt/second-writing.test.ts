import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Montana: the federal standard deduction, then two rates; half of the joint table for two jobs. */
secondWriting(
  'MT',
  [
    { filingStatus: 'single' },
    { filingStatus: 'married-jointly' },
    { filingStatus: 'married-jointly', isMultipleJobs: true },
    { filingStatus: 'head-of-household' },
  ],
  ({ annual, periods, year, is }) => {
    const joint = is('filingStatus', 'married-jointly') && !is('isMultipleJobs', true);
    const head = is('filingStatus', 'head-of-household') && !is('isMultipleJobs', true);
    const single = year === 2025 ? 15000 : 16100;
    const mark = year === 2025 ? (joint ? 42200 : head ? 31700 : 21100) : joint ? 95000 : head ? 71250 : 47500;
    return graduated(positive(annual.minus(joint ? 2 * single : head ? 1.5 * single : single)), [
      [0, '0.047'],
      [mark, year === 2025 ? '0.059' : '0.0565'],
    ]).div(periods);
  },
  { to: 'dollar' },
);
