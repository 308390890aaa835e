import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const ALABAMA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'al-uc-cr-4',
      form: 'Form UC-CR-4',
      title: 'Quarterly report of wages and contributions',
      agency: 'AL-DOL',
      publisher: 'Alabama Department of Workforce',
    },
    { programs: [{ tax: 'ESA', label: 'Employment security assessment', how: 'rate' }], file: '512' },
  ),
  withholdingReturn({
    code: 'al-a-1',
    form: 'Form A-1',
    title: 'Employer’s quarterly return of income tax withheld',
    agency: 'AL-DOR',
    publisher: 'Alabama Department of Revenue',
  }),
  placesReturn({
    code: 'al-occupational-license-fee-return',
    form: 'Occupational license fee return',
    title: 'License fees withheld, by city',
    agency: 'AL-CITY',
    publisher: 'Cities of Alabama',
  }),
];
