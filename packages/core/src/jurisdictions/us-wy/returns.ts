import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const WYOMING_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'wy-wyo-056',
    form: 'Form WYO-056',
    title: 'Quarterly wage and contribution report',
    agency: 'WY-DWS',
    publisher: 'Wyoming Department of Workforce Services',
  }),
];
