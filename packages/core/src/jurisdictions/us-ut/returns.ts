import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const UTAH_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ut-3',
      form: 'Form 3',
      title: 'Quarterly report of wages and contributions',
      agency: 'UT-DWS',
      publisher: 'Utah Department of Workforce Services',
    },
    { file: '512' },
  ),
  withholdingReturn(
    {
      code: 'ut-tc-941',
      form: 'Form TC-941',
      title: 'Utah withholding return',
      agency: 'UT-TC',
      publisher: 'Utah State Tax Commission',
    },
    { follows: { yearly: 'Form TC-941' } },
  ),
];
