import {
  allWages,
  byRate,
  line,
  overpaidOf,
  owedOf,
  paidOf,
  taxableWages,
  unemploymentReport,
  workers,
} from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const TEXAS_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'tx-c-3',
      form: 'Form C-3',
      title: 'Employer’s quarterly report',
      agency: 'TX-TWC',
      publisher: 'Texas Workforce Commission',
    },
    {
      lines: [
        line('10.1', 'Employees in the first month, on the 12th', workers(1)),
        line('10.2', 'Employees in the second month, on the 12th', workers(2)),
        line('10.3', 'Employees in the third month, on the 12th', workers(3)),
        line('13', 'Total wages paid during this quarter', allWages('SUI')),
        line('14', 'Taxable wages paid during this quarter', taxableWages('SUI')),
        line('15', 'Tax due', byRate('14', 'SUI')),
        line('paid', 'Paid for this quarter', paidOf('SUI')),
        line('19', 'Total due', owedOf('15', 'paid')),
        line('overpaid', 'Overpayment', overpaidOf('15', 'paid')),
      ],
      total: '15',
      balance: '19',
    },
  ),
];
