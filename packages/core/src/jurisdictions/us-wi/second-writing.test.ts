import { big, graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Wisconsin: the deduction slides away with wages, 400 for each exemption. */
secondWriting(
  'WI',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
  ],
  ({ annual, periods, claimed, is }) => {
    const married = is('filingStatus', 'married-jointly');
    const slide = married
      ? positive(big(9461).minus(positive(annual.minus(25727)).times('0.20')))
      : positive(big(6702).minus(positive(annual.minus(17780)).times('0.12')));
    return graduated(positive(annual.minus(slide).minus(400 * claimed('allowances'))), [
      [0, '0.0354'],
      [12760, '0.0465'],
      [25520, '0.053'],
      [280950, '0.0765'],
    ]).div(periods);
  },
);
