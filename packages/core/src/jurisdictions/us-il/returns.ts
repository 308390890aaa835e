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

export const ILLINOIS_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'il-ui-3-40',
      form: 'Form UI-3/40',
      title: 'Employer’s contribution and wage report',
      agency: 'IL-DES',
      publisher: 'Illinois Department of Employment Security',
    },
    {
      lines: [
        line('1a', 'Covered workers in the first month, on the 12th', workers(1)),
        line('1b', 'Covered workers in the second month, on the 12th', workers(2)),
        line('1c', 'Covered workers in the third month, on the 12th', workers(3)),
        line('2', 'Total wages paid', allWages('SUI')),
        line('3', 'Wages over the taxable wage base', excessWages('SUI')),
        line('4', 'Taxable wages', less('2', '3')),
        line('5', 'Contribution due', byRate('4', 'SUI')),
        line('8', 'Paid for this quarter', paidOf('SUI')),
        line('9', 'Total payment due', owedOf('5', '8')),
        line('overpaid', 'Overpayment', overpaidOf('5', '8')),
      ],
      total: '5',
      balance: '9',
    },
  ),
  withholdingReturn({
    code: 'il-il-941',
    form: 'Form IL-941',
    title: 'Illinois withholding income tax return',
    agency: 'IL-DOR',
    publisher: 'Illinois Department of Revenue',
  }),
];
