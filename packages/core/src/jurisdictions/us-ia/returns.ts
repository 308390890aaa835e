import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const IOWA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ia-65-5300',
      form: 'Form 65-5300',
      title: 'Quarterly report of wages and contributions',
      agency: 'IA-IWD',
      publisher: 'Iowa Workforce Development',
    },
    { file: 'delimited' },
  ),
  withholdingReturn({
    code: 'ia-44-095',
    form: 'Form 44-095',
    title: 'Withholding quarterly return',
    agency: 'IA-DOR',
    publisher: 'Iowa Department of Revenue',
  }),
];
