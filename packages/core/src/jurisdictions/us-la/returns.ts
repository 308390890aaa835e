import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const LOUISIANA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'la-lwc-es4',
    form: 'Form LWC-ES4',
    title: 'Quarterly report of wages and contributions',
    agency: 'LA-LWC',
    publisher: 'Louisiana Workforce Commission',
  }),
  withholdingReturn({
    code: 'la-l-1',
    form: 'Form L-1',
    title: 'Employer’s quarterly return of withholding tax',
    agency: 'LA-LDR',
    publisher: 'Louisiana Department of Revenue',
  }),
];
