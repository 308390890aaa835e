import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const SOUTH_DAKOTA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'sd-dol-uid-21',
    form: 'Form DOL-UID-21',
    title: 'Quarterly report of wages and contributions',
    agency: 'SD-DLR',
    publisher: 'South Dakota Department of Labor and Regulation',
  }),
];
