import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const NORTH_DAKOTA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'nd-sfn-41263',
    form: 'Form SFN 41263',
    title: 'Quarterly report of wages and contributions',
    agency: 'ND-JSND',
    publisher: 'Job Service North Dakota',
  }),
  withholdingReturn(
    {
      code: 'nd-306',
      form: 'Form 306',
      title: 'Income tax withholding return',
      agency: 'ND-OSTC',
      publisher: 'North Dakota Office of State Tax Commissioner',
    },
    { follows: { yearly: 'Form 306' } },
  ),
];
