import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const NEBRASKA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ne-ui-11t',
    form: 'Form UI-11T',
    title: 'Quarterly report of wages and contributions',
    agency: 'NE-DOL',
    publisher: 'Nebraska Department of Labor',
  }),
  withholdingReturn(
    {
      code: 'ne-941n',
      form: 'Form 941N',
      title: 'Nebraska income tax withholding return',
      agency: 'NE-DOR',
      publisher: 'Nebraska Department of Revenue',
    },
    { follows: { yearly: 'Form 941N' } },
  ),
];
