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

export const NORTH_CAROLINA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'nc-ncui-101',
      form: 'Form NCUI 101',
      title: 'Employer’s quarterly tax and wage report',
      agency: 'NC-DES',
      publisher: 'North Carolina Division of Employment Security',
    },
    {
      lines: [
        line('1.1', 'Covered workers in the first month, on the 12th', workers(1)),
        line('1.2', 'Covered workers in the second month, on the 12th', workers(2)),
        line('1.3', 'Covered workers in the third month, on the 12th', workers(3)),
        line('2', 'Total wages paid this quarter', allWages('SUI')),
        line('3', 'Wages paid this quarter in excess of the base', excessWages('SUI')),
        line('4', 'Wages subject to contributions', less('2', '3')),
        line('5', 'Contributions due for quarter', byRate('4', 'SUI')),
        line('8', 'Paid for this quarter', paidOf('SUI')),
        line('9', 'Total due', owedOf('5', '8')),
        line('overpaid', 'Overpayment', overpaidOf('5', '8')),
      ],
      total: '5',
      balance: '9',
    },
  ),
  withholdingReturn(
    {
      code: 'nc-nc-5',
      form: 'Form NC-5',
      title: 'Withholding return',
      agency: 'NC-DOR',
      publisher: 'North Carolina Department of Revenue',
    },
    { follows: { monthly: 'Form NC-5' } },
  ),
];
