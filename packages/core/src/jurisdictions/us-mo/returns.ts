import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MISSOURI_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'mo-modes-4',
    form: 'Form MODES-4',
    title: 'Quarterly report of wages and contributions',
    agency: 'MO-DES',
    publisher: 'Missouri Division of Employment Security',
  }),
  withholdingReturn(
    {
      code: 'mo-mo-941',
      form: 'Form MO-941',
      title: 'Employer’s return of income taxes withheld',
      agency: 'MO-DOR',
      publisher: 'Missouri Department of Revenue',
    },
    { follows: { monthly: 'Form MO-941', yearly: 'Form MO-941' } },
  ),
  placesReturn({
    code: 'mo-earnings-tax-withholding-return',
    form: 'Earnings tax withholding return',
    title: 'Earnings and payroll taxes, by city',
    agency: 'MO-CITY',
    publisher: 'Kansas City and St. Louis',
  }),
];
