import { graduated, positive, secondWriting } from '../../testing/second-writing.js';

/** District of Columbia: 4,150 for each allowance, then the schedule of the income tax. */
secondWriting('DC', [{ allowances: 0 }, { allowances: 3 }], ({ annual, periods, claimed }) =>
  graduated(positive(annual.minus(4150 * claimed('allowances'))), [
    [0, '0.04'],
    [10000, '0.06'],
    [40000, '0.065'],
    [60000, '0.085'],
    [250000, '0.0925'],
    [500000, '0.0975'],
    [1000000, '0.1075'],
  ]).div(periods),
);
