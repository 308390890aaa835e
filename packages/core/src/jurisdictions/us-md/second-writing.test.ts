import { big, graduated, least, most, positive, secondWriting } from '../../testing/second-writing.js';

/** Maryland: state and county part together; the law of May 2025 from July on. The county here takes 3.20%. */
secondWriting(
  'MD',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 4 },
    { filingStatus: 'head-of-household', allowances: 0 },
  ],
  ({ annual, periods, date, claimed, is }) => {
    const joint = is('filingStatus', 'married-jointly', 'head-of-household');
    const later = date >= '2025-07-01';
    const standard = later ? big(joint ? 6700 : 3350) : most(least(annual.times('0.15'), 2700), 1800);
    const taxable = positive(annual.minus(standard).minus(3200 * claimed('allowances')));
    const marks = joint ? [150000, 175000, 225000, 300000] : [100000, 125000, 150000, 250000];
    const rows = [
      [0, '0.0475'],
      ...marks.map((mark, index) => [mark, ['0.05', '0.0525', '0.055', '0.0575'][index] ?? '0']),
    ] as [number, string][];
    if (later) rows.push([joint ? 600000 : 500000, '0.0625'], [joint ? 1200000 : 1000000, '0.065']);
    return graduated(taxable, rows).plus(taxable.times('0.032')).div(periods);
  },
);
