import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const WISCONSIN_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'wi-uct-101',
      form: 'Form UCT-101',
      title: 'Quarterly contribution and wage report',
      agency: 'WI-DWD',
      publisher: 'Wisconsin Department of Workforce Development',
    },
    { file: 'delimited' },
  ),
  withholdingReturn(
    {
      code: 'wi-wt-6',
      form: 'Form WT-6',
      title: 'Withholding tax deposit report',
      agency: 'WI-DOR',
      publisher: 'Wisconsin Department of Revenue',
    },
    { follows: { monthly: 'Form WT-6', yearly: 'Form WT-6' } },
  ),
];
