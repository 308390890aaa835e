import { positive, secondWriting } from '../../testing/second-writing.js';

/** Illinois: 4.95% after the allowances of both lines. */
secondWriting(
  'IL',
  [{ allowances: 0 }, { allowances: 2, additionalAllowances: 1 }],
  ({ annual, periods, year, claimed }) =>
    positive(
      annual.minus((year === 2025 ? 2850 : 2925) * claimed('allowances')).minus(1000 * claimed('additionalAllowances')),
    )
      .times('0.0495')
      .div(periods),
);
