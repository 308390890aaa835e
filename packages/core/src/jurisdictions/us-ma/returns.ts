import { programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MASSACHUSETTS_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'ma-employment-and-wage-detail-report',
      form: 'Employment and wage detail report',
      title: 'Quarterly employment and wage detail report',
      agency: 'MA-DUA',
      publisher: 'Massachusetts Department of Unemployment Assistance',
    },
    {
      programs: [
        { tax: 'EMAC', label: 'Employer medical assistance contribution', how: 'rate' },
        { tax: 'WTF', label: 'Workforce training fund', how: 'rate' },
      ],
      file: 'delimited',
    },
  ),
  withholdingReturn(
    {
      code: 'ma-m-941',
      form: 'Form M-941',
      title: 'Quarterly return of income taxes withheld',
      agency: 'MA-DOR',
      publisher: 'Massachusetts Department of Revenue',
    },
    { follows: { monthly: 'Form M-942', yearly: 'Form M-941' } },
  ),
  programReport(
    {
      code: 'ma-pfml-quarterly-return',
      form: 'PFML quarterly return',
      title: 'Contributions for paid family and medical leave',
      agency: 'MA-DOR',
      publisher: 'Massachusetts Department of Revenue',
    },
    [
      { tax: 'PFML-EE', id: 'employee', label: 'Contribution withheld', how: 'withheld' },
      { tax: 'PFML-ER', id: 'employer', label: 'Contribution of the employer', how: 'withheld' },
    ],
  ),
];
