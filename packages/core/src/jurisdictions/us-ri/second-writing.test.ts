import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** Rhode Island: 1,000 for each exemption until wages are too high, then three rates. */
secondWriting('RI', [{ allowances: 0 }, { allowances: 3 }], ({ annual, periods, year, claimed }) => {
  const [first, second, end] = year === 2025 ? [79900, 181650, 283250] : [82050, 186450, 290800];
  const exemptions = annual.gt(end) ? 0 : 1000 * claimed('allowances');
  return graduated(positive(annual.minus(exemptions)), [
    [0, '0.0375'],
    [first, '0.0475'],
    [second, '0.0599'],
  ]).div(periods);
});
