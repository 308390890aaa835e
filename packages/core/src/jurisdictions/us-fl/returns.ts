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
  workers,
} from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const FLORIDA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'fl-rt-6',
      form: 'Form RT-6',
      title: 'Employer’s quarterly report',
      agency: 'FL-DOR',
      publisher: 'Florida Department of Revenue',
    },
    {
      lines: [
        line('1.1', 'Workers in the first month, on the 12th', workers(1)),
        line('1.2', 'Workers in the second month, on the 12th', workers(2)),
        line('1.3', 'Workers in the third month, on the 12th', workers(3)),
        line('2', 'Gross wages paid this quarter', allWages('SUI')),
        line('3', 'Excess wages paid this quarter', excessWages('SUI')),
        line('4', 'Taxable wages for this quarter', less('2', '3')),
        line('5', 'Tax due', byRate('4', 'SUI')),
        line('paid', 'Paid for this quarter', paidOf('SUI')),
        line('9a', 'Total amount due', owedOf('5', 'paid')),
        line('overpaid', 'Overpayment', overpaidOf('5', 'paid')),
      ],
      total: '5',
      balance: '9a',
    },
  ),
];
