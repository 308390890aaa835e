import {
  allWages,
  byRate,
  line,
  overpaidOf,
  owedOf,
  paidOf,
  placesReturn,
  sumOf,
  taxableWages,
  taxOf,
  unemploymentReport,
  withholdingReturn,
  workers,
} from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const PENNSYLVANIA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'pa-uc-2-and-uc-2a',
      form: 'Forms UC-2 and UC-2A',
      title: 'Employer’s report for unemployment compensation',
      agency: 'PA-DLI',
      publisher: 'Pennsylvania Department of Labor and Industry',
    },
    {
      programs: [{ tax: 'UC-EE', label: 'Employee contributions withheld', how: 'withheld' }],
      lines: [
        line('1.1', 'Covered employees in the first month, on the 12th', workers(1)),
        line('1.2', 'Covered employees in the second month, on the 12th', workers(2)),
        line('1.3', 'Covered employees in the third month, on the 12th', workers(3)),
        line('2', 'Gross wages', allWages('SUI')),
        line('3', 'Employee contributions', taxOf('UC-EE')),
        line('4', 'Taxable wages for employer contributions', taxableWages('SUI')),
        line('5', 'Employer contributions due', byRate('4', 'SUI')),
        line('6', 'Total contributions due', sumOf('3', '5')),
        line('9', 'Paid for this quarter', paidOf('SUI', 'UC-EE')),
        line('10', 'Total remittance', owedOf('6', '9')),
        line('overpaid', 'Overpayment', overpaidOf('6', '9')),
      ],
      total: '6',
      balance: '10',
      detail: ['wages', 'excess', 'taxable', 'weeks'],
      file: '512',
    },
  ),
  withholdingReturn({
    code: 'pa-pa-w3',
    form: 'Form PA-W3',
    title: 'Employer quarterly return of withholding tax',
    agency: 'PA-DOR',
    publisher: 'Pennsylvania Department of Revenue',
  }),
  placesReturn({
    code: 'pa-employer-quarterly-return-of-earned-income-tax',
    form: 'Employer quarterly return of earned income tax',
    title: 'Local taxes withheld, by place',
    agency: 'PA-LOCAL',
    publisher: 'Pennsylvania local tax collectors',
  }),
  placesReturn({
    code: 'pa-philadelphia-wage-tax-return',
    form: 'Philadelphia wage tax return',
    title: 'Quarterly return of wage tax withheld',
    agency: 'PA-PHL',
    publisher: 'City of Philadelphia Department of Revenue',
  }),
];
