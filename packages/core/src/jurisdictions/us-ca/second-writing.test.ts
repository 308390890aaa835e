import type Big from 'big.js';
import { big, nearest, positive, secondWriting } from '../../testing/second-writing.js';

/** California: Method B of the Employer’s Guide on tables of the pay period in whole dollars. */
secondWriting(
  'CA',
  [
    { filingStatus: 'single', allowances: 0, estimatedDeductions: 0 },
    { filingStatus: 'single', allowances: 3, estimatedDeductions: 3 },
    { filingStatus: 'married-jointly', allowances: 1, estimatedDeductions: 0 },
    { filingStatus: 'married-jointly', allowances: 4, estimatedDeductions: 2 },
    { filingStatus: 'head-of-household', allowances: 2, estimatedDeductions: 1 },
  ],
  ({ pay, periods, year, claimed, is }) => {
    const now = year === 2025;
    const regular = claimed('allowances');
    const wide = is('filingStatus', 'head-of-household') || (is('filingStatus', 'married-jointly') && regular >= 2);
    const of = (amount: number | string): Big => nearest(big(amount).div(periods));
    const low = now ? [18368, 36736] : [18896, 37791];
    if (pay.lte(of(low[wide ? 1 : 0] ?? 0))) return big(0);
    const standard = now ? [5540, 11080] : [5706, 11412];
    const taxable = positive(
      pay.minus(of(1000 * claimed('estimatedDeductions'))).minus(of(standard[wide ? 1 : 0] ?? 0)),
    );
    const single = now
      ? [0, 10756, 25499, 40245, 55866, 70606, 360659, 432787, 721314, 1000000]
      : [0, 11079, 26264, 41452, 57542, 72724, 371479, 445771, 742953, 1000000];
    // A joint table doubles the single one but for the mark of one million, which stays.
    const joint = [...single.slice(0, 9).map((mark) => mark * 2), 1000000].sort((a, b) => a - b);
    const head = now
      ? [0, 21527, 51000, 65744, 81364, 96107, 490493, 588593, 980987, 1000000]
      : [0, 22173, 52530, 67716, 83805, 98990, 505208, 606251, 1000000, 1010417];
    const marks = is('filingStatus', 'head-of-household')
      ? head
      : is('filingStatus', 'married-jointly')
        ? joint
        : single;
    const rates = ['0.011', '0.022', '0.044', '0.066', '0.088', '0.1023', '0.1133', '0.1243', '0.1353', '0.1463'];
    // Each row of a printed table begins with a whole dollar and a tax to the cent.
    let tax = big(0);
    marks.forEach((mark, index) => {
      const from = of(mark);
      const next = marks[index + 1];
      const rate = rates[index] ?? '0';
      if (taxable.gt(from))
        tax =
          next !== undefined && taxable.gt(of(next))
            ? tax.plus(nearest(of(next).minus(from).times(rate), 2))
            : tax.plus(taxable.minus(from).times(rate));
    });
    // Table 4 prints each number of allowances up to ten.
    return tax.minus(
      nearest(
        big(now ? '163.90' : '168.30')
          .times(regular)
          .div(periods),
        2,
      ),
    );
  },
);
