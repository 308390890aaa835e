import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MARYLAND_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'md-dllr-oui-15-and-16',
    form: 'Forms DLLR/OUI 15 and 16',
    title: 'Quarterly report of wages and contributions',
    agency: 'MD-DOL',
    publisher: 'Maryland Department of Labor',
  }),
  withholdingReturn(
    {
      code: 'md-mw506',
      form: 'Form MW506',
      title: 'Employer’s return of income tax withheld',
      agency: 'MD-COMP',
      publisher: 'Comptroller of Maryland',
    },
    {
      follows: { monthly: 'Form MW506', yearly: 'Form MW506' },
      due: afterQuarter(15),
      with: [{ tax: 'LOCAL', label: 'County income tax withheld' }],
    },
  ),
];
