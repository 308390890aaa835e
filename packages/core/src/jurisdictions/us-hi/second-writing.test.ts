import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Hawaii: 1,144 for each allowance; the table of withholding stops at 7.9%. */
secondWriting(
  'HI',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 4 },
    { filingStatus: 'married-at-single-rate', allowances: 0 },
  ],
  ({ annual, periods, claimed, is }) => {
    const by = is('filingStatus', 'married-jointly') ? 2 : 1;
    const rates: readonly (readonly [number, string])[] = [
      [0, '0.014'],
      [9600, '0.032'],
      [14400, '0.055'],
      [19200, '0.064'],
      [24000, '0.068'],
      [36000, '0.072'],
      [48000, '0.076'],
      [125000, '0.079'],
    ];
    return graduated(
      positive(annual.minus(1144 * claimed('allowances'))),
      rates.map(([mark, rate]) => [mark * by, rate] as const),
    ).div(periods);
  },
);
