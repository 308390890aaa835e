import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const GEORGIA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ga-dol-4n',
      form: 'Form DOL-4N',
      title: 'Quarterly report of wages and contributions',
      agency: 'GA-DOL',
      publisher: 'Georgia Department of Labor',
    },
    { programs: [{ tax: 'ADM', label: 'Administrative assessment', how: 'rate' }] },
  ),
  withholdingReturn(
    {
      code: 'ga-g-7',
      form: 'Form G-7',
      title: 'Quarterly return of withholding tax',
      agency: 'GA-DOR',
      publisher: 'Georgia Department of Revenue',
    },
    { follows: { monthly: 'Form G-7', yearly: 'Form G-7' } },
  ),
];
