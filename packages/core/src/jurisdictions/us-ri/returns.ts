import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const RHODE_ISLAND_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ri-tx-17',
      form: 'Form TX-17',
      title: 'Quarterly tax and wage report',
      agency: 'RI-DLT',
      publisher: 'Rhode Island Department of Labor and Training',
    },
    {
      programs: [
        { tax: 'JDF', label: 'Job development fund', how: 'rate' },
        { tax: 'TDI', label: 'Temporary disability insurance withheld', how: 'withheld' },
      ],
    },
  ),
  withholdingReturn({
    code: 'ri-ri-941',
    form: 'Form RI-941',
    title: 'Withholding tax return',
    agency: 'RI-TAX',
    publisher: 'Rhode Island Division of Taxation',
  }),
];
