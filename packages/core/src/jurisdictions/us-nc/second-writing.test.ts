import { positive, secondWriting } from '../../testing/second-writing.js';

/** North Carolina: one rate, a tenth of a point over the tax rate, in whole dollars. */
secondWriting(
  'NC',
  [
    { filingStatus: 'single', allowances: 1 },
    { filingStatus: 'married-jointly', allowances: 0 },
    { filingStatus: 'head-of-household', allowances: 3 },
  ],
  ({ annual, periods, year, claimed, is }) =>
    positive(annual.minus(is('filingStatus', 'head-of-household') ? 19125 : 12750).minus(2500 * claimed('allowances')))
      .times(year === 2025 ? '0.0435' : '0.0409')
      .div(periods),
  { to: 'dollar' },
);
