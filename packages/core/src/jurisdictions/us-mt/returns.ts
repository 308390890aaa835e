import { afterYear } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MONTANA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'mt-ui-5',
    form: 'Form UI-5',
    title: 'Quarterly report of wages and contributions',
    agency: 'MT-DLI',
    publisher: 'Montana Department of Labor and Industry',
  }),
  withholdingReturn(
    {
      code: 'mt-mw-3',
      form: 'Form MW-3',
      title: 'Annual W-2 withholding tax reconciliation',
      agency: 'MT-DOR',
      publisher: 'Montana Department of Revenue',
    },
    { period: 'year', due: afterYear(1) },
  ),
];
