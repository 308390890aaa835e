import { afterQuarter } from '../deposit-words.js';
import {
  allWages,
  byRate,
  editionOf,
  line,
  overpaidOf,
  owedOf,
  OWN_NUMBERS,
  paidOf,
  sumOf,
  taxableWages,
  taxOf,
  workers,
} from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const CALIFORNIA_RETURNS: readonly StateReturn[] = [
  {
    code: 'ca-de-9',
    form: 'Forms DE 9 and DE 9C',
    title: 'Quarterly contribution return and report of wages',
    agency: 'CA-EDD',
    edition: editionOf('Forms DE 9 and DE 9C', 'California Employment Development Department', OWN_NUMBERS),
    period: 'quarter',
    due: afterQuarter(),
    taxes: ['SUI', 'ETT', 'SDI', 'SIT'],
    lines: [
      line('9C.A1', 'Employees in the first month, on the 12th', workers(1)),
      line('9C.A2', 'Employees in the second month, on the 12th', workers(2)),
      line('9C.A3', 'Employees in the third month, on the 12th', workers(3)),
      line('C', 'Total subject wages paid this quarter', allWages('SUI')),
      line('D2', 'UI taxable wages for the quarter', taxableWages('SUI')),
      line('D3', 'Employer’s UI contributions', byRate('D2', 'SUI')),
      line('E2', 'Employment training tax', byRate('D2', 'ETT')),
      line('F2', 'SDI taxable wages for the quarter', taxableWages('SDI')),
      line('F3', 'SDI employee contributions withheld', taxOf('SDI')),
      line('G', 'California personal income tax withheld', taxOf('SIT')),
      line('H', 'Subtotal', sumOf('D3', 'E2', 'F3', 'G')),
      line('I', 'Contributions and withholdings paid for the quarter', paidOf('SUI', 'ETT', 'SDI', 'SIT')),
      line('J', 'Total taxes due', owedOf('H', 'I')),
      line('overpaid', 'Overpaid', overpaidOf('H', 'I')),
    ],
    total: 'H',
    balance: 'J',
    detail: ['wages', 'income-wages', 'income-tax'],
    file: '275',
  },
];
