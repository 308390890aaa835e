import { placesReturn, programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const COLORADO_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'co-uitr-1',
      form: 'Form UITR-1',
      title: 'Quarterly report of wages and contributions',
      agency: 'CO-DLE',
      publisher: 'Colorado Department of Labor and Employment',
    },
    { file: 'delimited' },
  ),
  withholdingReturn(
    {
      code: 'co-dr-1094',
      form: 'Form DR 1094',
      title: 'Wage withholding tax return',
      agency: 'CO-DOR',
      publisher: 'Colorado Department of Revenue',
    },
    { follows: { monthly: 'Form DR 1094' } },
  ),
  programReport(
    {
      code: 'co-famli-quarterly-report',
      form: 'FAMLI quarterly report',
      title: 'Premiums for paid family and medical leave',
      agency: 'CO-FAMLI',
      publisher: 'Colorado FAMLI Division',
    },
    [
      { tax: 'FAMLI-EE', id: 'employee', label: 'Premium withheld', how: 'withheld' },
      { tax: 'FAMLI-ER', id: 'employer', label: 'Premium of the employer', how: 'withheld' },
    ],
  ),
  placesReturn({
    code: 'co-occupational-privilege-tax-return',
    form: 'Occupational privilege tax return',
    title: 'Occupational privilege tax, by city',
    agency: 'CO-CITY',
    publisher: 'Cities of Colorado',
  }),
];
