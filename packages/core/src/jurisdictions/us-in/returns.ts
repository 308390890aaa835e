import { afterMonth } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const INDIANA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'in-uc-1-and-uc-5a',
      form: 'Forms UC-1 and UC-5A',
      title: 'Quarterly report of wages and contributions',
      agency: 'IN-DWD',
      publisher: 'Indiana Department of Workforce Development',
    },
    { file: '512' },
  ),
  withholdingReturn(
    {
      code: 'in-wh-1',
      form: 'Form WH-1',
      title: 'Employer’s withholding tax return',
      agency: 'IN-DOR',
      publisher: 'Indiana Department of Revenue',
    },
    {
      follows: { yearly: 'Form WH-1' },
      period: 'month',
      due: afterMonth(20),
      with: [{ tax: 'LOCAL', label: 'County income tax withheld' }],
    },
  ),
];
