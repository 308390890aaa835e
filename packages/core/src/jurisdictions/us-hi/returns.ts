import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const HAWAII_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'hi-uc-b6',
      form: 'Form UC-B6',
      title: 'Quarterly report of wages and contributions',
      agency: 'HI-DLIR',
      publisher: 'Hawaii Department of Labor and Industrial Relations',
    },
    { programs: [{ tax: 'ETA', label: 'Employment and training assessment', how: 'rate' }] },
  ),
  withholdingReturn(
    {
      code: 'hi-hw-14',
      form: 'Form HW-14',
      title: 'Withholding tax return',
      agency: 'HI-DOTAX',
      publisher: 'Hawaii Department of Taxation',
    },
    { due: afterQuarter(15) },
  ),
];
