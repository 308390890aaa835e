import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** North Dakota: the federal standard deduction and the zero bracket first. */
secondWriting(
  'ND',
  [{ filingStatus: 'single' }, { filingStatus: 'married-jointly' }, { filingStatus: 'head-of-household' }],
  ({ annual, periods, year, is }) => {
    const joint = is('filingStatus', 'married-jointly');
    const head = is('filingStatus', 'head-of-household');
    const standard = (year === 2025 ? 15000 : 16100) * (joint ? 2 : head ? 1.5 : 1);
    const marks =
      year === 2025
        ? joint
          ? [80975, 298075]
          : head
            ? [64950, 271450]
            : [48475, 244825]
        : joint
          ? [82825, 304850]
          : head
            ? [66425, 277625]
            : [49575, 250400];
    return graduated(positive(annual.minus(standard)), [
      [marks[0] ?? 0, '0.0195'],
      [marks[1] ?? 0, '0.025'],
    ]).div(periods);
  },
  { to: 'dollar' },
);
