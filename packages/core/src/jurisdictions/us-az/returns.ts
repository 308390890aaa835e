import {
  allWages,
  byRate,
  excessWages,
  less,
  line,
  overpaidOf,
  owedOf,
  paidOf,
  unemploymentReport,
  withholdingReturn,
  workers,
} from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const ARIZONA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'az-uc-018',
      form: 'Form UC-018',
      title: 'Unemployment tax and wage report',
      agency: 'AZ-DES',
      publisher: 'Arizona Department of Economic Security',
    },
    {
      lines: [
        line('month-1', 'Covered workers in the first month, on the 12th', workers(1)),
        line('month-2', 'Covered workers in the second month, on the 12th', workers(2)),
        line('month-3', 'Covered workers in the third month, on the 12th', workers(3)),
        line('B', 'Total wages paid in the quarter', allWages('SUI')),
        line('C', 'Excess wages', excessWages('SUI')),
        line('D', 'Taxable wages', less('B', 'C')),
        line('E', 'Tax due', byRate('D', 'SUI')),
        line('F', 'Paid for this quarter', paidOf('SUI')),
        line('G', 'Balance due', owedOf('E', 'F')),
        line('overpaid', 'Overpayment', overpaidOf('E', 'F')),
      ],
      total: 'E',
      balance: 'G',
    },
  ),
  withholdingReturn({
    code: 'az-a1-qrt',
    form: 'Form A1-QRT',
    title: 'Quarterly withholding tax return',
    agency: 'AZ-DOR',
    publisher: 'Arizona Department of Revenue',
  }),
];
