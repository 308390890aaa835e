import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const WEST_VIRGINIA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'wv-wvuc-a-154',
    form: 'Form WVUC-A-154',
    title: 'Quarterly report of wages and contributions',
    agency: 'WV-WF',
    publisher: 'WorkForce West Virginia',
  }),
  withholdingReturn(
    {
      code: 'wv-wv-it-101q',
      form: 'Form WV/IT-101Q',
      title: 'Employer’s quarterly return of income tax withheld',
      agency: 'WV-TAX',
      publisher: 'West Virginia Tax Division',
    },
    { follows: { monthly: 'Form WV/IT-101' } },
  ),
  placesReturn({
    code: 'wv-city-service-fee-return',
    form: 'City service fee return',
    title: 'City service fees withheld, by city',
    agency: 'WV-CITY',
    publisher: 'Cities of West Virginia',
  }),
];
