import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MISSISSIPPI_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ms-ui-2-3',
      form: 'Form UI-2/3',
      title: 'Quarterly report of wages and contributions',
      agency: 'MS-MDES',
      publisher: 'Mississippi Department of Employment Security',
    },
    { file: '512' },
  ),
  withholdingReturn(
    {
      code: 'ms-89-105',
      form: 'Form 89-105',
      title: 'Employer’s withholding tax return',
      agency: 'MS-DOR',
      publisher: 'Mississippi Department of Revenue',
    },
    { follows: { monthly: 'Form 89-105' }, due: afterQuarter(15) },
  ),
];
