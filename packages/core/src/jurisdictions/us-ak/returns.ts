import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const ALASKA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ak-tq01c',
      form: 'Form TQ01C',
      title: 'Quarterly contribution report',
      agency: 'AK-DOLWD',
      publisher: 'Alaska Department of Labor and Workforce Development',
    },
    { programs: [{ tax: 'SUI-EE', label: 'Employee contributions withheld', how: 'withheld' }] },
  ),
];
