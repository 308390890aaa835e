import { afterMonth } from '../deposit-words.js';
import { placesReturn, programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const DELAWARE_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'de-uc-8',
    form: 'Form UC-8',
    title: 'Quarterly report of wages and contributions',
    agency: 'DE-DOL',
    publisher: 'Delaware Department of Labor',
  }),
  withholdingReturn(
    {
      code: 'de-w1q',
      form: 'Form W1Q',
      title: 'Quarterly withholding return',
      agency: 'DE-DOR',
      publisher: 'Delaware Division of Revenue',
    },
    { follows: { monthly: 'Form W1' } },
  ),
  programReport(
    {
      code: 'de-paid-leave-quarterly-report',
      form: 'Paid leave quarterly report',
      title: 'Contributions for paid family and medical leave',
      agency: 'DE-DOL',
      publisher: 'Delaware Department of Labor',
    },
    [
      { tax: 'PFML-EE', id: 'employee', label: 'Contribution withheld', how: 'withheld' },
      { tax: 'PFML-ER', id: 'employer', label: 'Contribution of the employer', how: 'withheld' },
    ],
  ),
  placesReturn(
    {
      code: 'de-wcwt-5',
      form: 'Form WCWT-5',
      title: 'Wage tax withheld',
      agency: 'DE-CITY',
      publisher: 'City of Wilmington',
    },
    { period: 'month', due: afterMonth(15) },
  ),
];
