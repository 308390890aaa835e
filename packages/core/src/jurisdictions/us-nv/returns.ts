import { unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const NEVADA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'nv-nucs-4072',
      form: 'Form NUCS-4072',
      title: 'Quarterly report of wages and contributions',
      agency: 'NV-DETR',
      publisher: 'Nevada Employment Security Division',
    },
    { programs: [{ tax: 'CEP', label: 'Career enhancement program', how: 'rate' }] },
  ),
];
