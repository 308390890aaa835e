import { big, nearest, positive, secondWriting } from '../../testing/second-writing.js';

/** New York: Method II on the annual schedule; the tax at the beginning of each row is the sum of the rows before it, to the dollar. */
secondWriting(
  'NY',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 3 },
    { filingStatus: 'head-of-household', allowances: 0 },
  ],
  ({ annual, periods, year, claimed, is }) => {
    const married = is('filingStatus', 'married-jointly');
    const taxable = positive(annual.minus(married ? 7950 : 7400).minus(1000 * claimed('allowances')));
    const cut = year === 2026 ? '0.001' : '0';
    const low = [
      [0, '0.04'],
      [8500, '0.045'],
      [11700, '0.0525'],
      [13900, '0.055'],
      [80650, '0.06'],
      [96800, '0.0714'],
      [107650, '0.0764'],
    ] as const;
    const steep = year === 2026 ? '0.1144' : '0.1101';
    const rows = [
      ...low.map(([mark, rate]) => [mark, big(rate).minus(cut)] as const),
      ...(married
        ? ([
            [157650, big('0.0699').minus(cut)],
            [211550, big('0.0749').minus(cut)],
            [323200, big(steep)],
            [373200, big('0.0735')],
            [1077550, big('0.0765')],
            [2155350, big('0.1045')],
          ] as const)
        : ([
            [157650, big('0.065').minus(cut)],
            [215400, big(steep)],
            [265400, big('0.0735')],
            [1077550, big('0.1045')],
          ] as const)),
    ];
    let base = big(0);
    let tax = big(0);
    rows.forEach(([mark, rate], index) => {
      if (taxable.gt(mark)) tax = nearest(base).plus(taxable.minus(mark).times(rate));
      const next = rows[index + 1];
      if (next) base = base.plus(big(next[0] - mark).times(rate));
    });
    return tax.div(periods);
  },
);
