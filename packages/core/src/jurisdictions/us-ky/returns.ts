import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const KENTUCKY_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ky-ui-3',
    form: 'Form UI-3',
    title: 'Quarterly report of wages and contributions',
    agency: 'KY-OUI',
    publisher: 'Kentucky Office of Unemployment Insurance',
  }),
  withholdingReturn(
    {
      code: 'ky-k-1',
      form: 'Form K-1',
      title: 'Employer’s income tax withheld return',
      agency: 'KY-DOR',
      publisher: 'Kentucky Department of Revenue',
    },
    { follows: { monthly: 'Form K-1', yearly: 'Form K-1' } },
  ),
  placesReturn({
    code: 'ky-occupational-license-fee-return',
    form: 'Occupational license fee return',
    title: 'License fees withheld, by city and county',
    agency: 'KY-LOCAL',
    publisher: 'Cities and counties of Kentucky',
  }),
];
