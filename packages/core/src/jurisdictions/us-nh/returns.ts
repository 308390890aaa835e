import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const NEW_HAMPSHIRE_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'nh-des-200',
    form: 'Form DES-200',
    title: 'Employer quarterly tax report',
    agency: 'NH-NHES',
    publisher: 'New Hampshire Employment Security',
  }),
];
