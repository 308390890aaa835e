import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** West Virginia: the two-earner table unless the one-earner table is asked for. */
secondWriting('WV', [{ allowances: 0 }, { allowances: 2, isOneEarner: true }], ({ annual, periods, claimed, is }) => {
  const marks = is('isOneEarner', true) ? [0, 10000, 25000, 40000, 60000] : [0, 6000, 15000, 24000, 36000];
  const rates = ['0.0222', '0.0296', '0.0333', '0.0444', '0.0482'];
  return graduated(
    positive(annual.minus(2000 * claimed('allowances'))),
    marks.map((mark, index) => [mark, rates[index] ?? '0'] as const),
  ).div(periods);
});
