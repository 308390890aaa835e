import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const TENNESSEE_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'tn-lb-0456',
    form: 'Form LB-0456',
    title: 'Quarterly report of wages and contributions',
    agency: 'TN-DLWD',
    publisher: 'Tennessee Department of Labor and Workforce Development',
  }),
];
