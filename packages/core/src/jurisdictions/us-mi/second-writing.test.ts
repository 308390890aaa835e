import { positive, secondWriting } from '../../testing/second-writing.js';

/** Michigan: 4.25% after the exemptions. */
secondWriting('MI', [{ allowances: 0 }, { allowances: 4 }], ({ annual, periods, year, claimed }) =>
  positive(annual.minus((year === 2025 ? 5800 : 5900) * claimed('allowances')))
    .times('0.0425')
    .div(periods),
);
