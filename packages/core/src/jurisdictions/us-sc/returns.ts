import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const SOUTH_CAROLINA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'sc-uce-101-and-uce-120',
      form: 'Forms UCE-101 and UCE-120',
      title: 'Quarterly report of wages and contributions',
      agency: 'SC-DEW',
      publisher: 'South Carolina Department of Employment and Workforce',
    },
    { programs: [{ tax: 'DACA', label: 'Contingency assessment', how: 'rate' }] },
  ),
  withholdingReturn({
    code: 'sc-wh-1605',
    form: 'Form WH-1605',
    title: 'Withholding quarterly tax return',
    agency: 'SC-DOR',
    publisher: 'South Carolina Department of Revenue',
  }),
];
