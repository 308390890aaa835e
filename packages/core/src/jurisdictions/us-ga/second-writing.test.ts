import { positive, secondWriting } from '../../testing/second-writing.js';

/** Georgia: one rate, which fell in July 2025 and in January 2026. */
secondWriting(
  'GA',
  [
    { filingStatus: 'single', dependents: 1 },
    { filingStatus: 'married-jointly', dependents: 2, allowances: 1 },
    { filingStatus: 'married-both-working' },
  ],
  ({ annual, periods, date, claimed, is }) =>
    positive(
      annual
        .minus(is('filingStatus', 'married-jointly') ? 24000 : 12000)
        .minus(4000 * claimed('dependents'))
        .minus(3000 * claimed('allowances')),
    )
      .times(date < '2025-07-01' ? '0.0539' : date < '2026-01-01' ? '0.0519' : '0.0509')
      .div(periods),
);
