import { programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MAINE_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'me-me-uc-1',
      form: 'Form ME UC-1',
      title: 'Quarterly report of wages and contributions',
      agency: 'ME-DOL',
      publisher: 'Maine Department of Labor',
    },
    { programs: [{ tax: 'CSSF', label: 'Competitive skills scholarship fund', how: 'rate' }] },
  ),
  withholdingReturn({
    code: 'me-941me',
    form: 'Form 941ME',
    title: 'Employer’s return of income tax withholding',
    agency: 'ME-MRS',
    publisher: 'Maine Revenue Services',
  }),
  programReport(
    {
      code: 'me-paid-leave-quarterly-report',
      form: 'Paid leave quarterly report',
      title: 'Contributions for paid family and medical leave',
      agency: 'ME-DOL',
      publisher: 'Maine Department of Labor',
    },
    [
      { tax: 'PFML-EE', id: 'employee', label: 'Contribution withheld', how: 'withheld' },
      { tax: 'PFML-ER', id: 'employer', label: 'Contribution of the employer', how: 'withheld' },
    ],
  ),
];
