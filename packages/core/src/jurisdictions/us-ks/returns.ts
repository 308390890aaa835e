import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const KANSAS_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ks-k-cns-100',
    form: 'Form K-CNS 100',
    title: 'Quarterly report of wages and contributions',
    agency: 'KS-DOL',
    publisher: 'Kansas Department of Labor',
  }),
  withholdingReturn(
    {
      code: 'ks-kw-5',
      form: 'Form KW-5',
      title: 'Withholding tax deposit report',
      agency: 'KS-DOR',
      publisher: 'Kansas Department of Revenue',
    },
    { follows: { monthly: 'Form KW-5', yearly: 'Form KW-5' }, due: afterQuarter(25) },
  ),
];
