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

export const VIRGINIA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'va-vec-fc-20-and-vec-fc-21',
      form: 'Forms VEC-FC-20 and VEC-FC-21',
      title: 'Employer’s quarterly tax and payroll report',
      agency: 'VA-VEC',
      publisher: 'Virginia Employment Commission',
    },
    {
      lines: [
        line('month-1', 'Covered workers in the first month, on the 12th', workers(1)),
        line('month-2', 'Covered workers in the second month, on the 12th', workers(2)),
        line('month-3', 'Covered workers in the third month, on the 12th', workers(3)),
        line('1', 'Total wages paid', allWages('SUI')),
        line('2', 'Wages in excess of the base', excessWages('SUI')),
        line('3', 'Taxable wages', less('1', '2')),
        line('4', 'Tax due', byRate('3', 'SUI')),
        line('7', 'Paid for this quarter', paidOf('SUI')),
        line('8', 'Total amount due', owedOf('4', '7')),
        line('overpaid', 'Overpayment', overpaidOf('4', '7')),
      ],
      total: '4',
      balance: '8',
    },
  ),
  withholdingReturn(
    {
      code: 'va-va-5',
      form: 'Form VA-5',
      title: 'Employer’s return of income tax withheld',
      agency: 'VA-TAX',
      publisher: 'Virginia Department of Taxation',
    },
    { follows: { monthly: 'Form VA-5' } },
  ),
];
