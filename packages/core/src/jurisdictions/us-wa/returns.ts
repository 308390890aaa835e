import { programReport, unemploymentReport } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const WASHINGTON_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'wa-ems-5208',
      form: 'Form EMS 5208',
      title: 'Quarterly tax and wage report',
      agency: 'WA-ESD',
      publisher: 'Washington Employment Security Department',
    },
    {
      programs: [{ tax: 'EAF', label: 'Employment administrative fund', how: 'rate' }],
      detail: ['wages', 'excess', 'taxable', 'hours'],
      file: 'delimited',
    },
  ),
  programReport(
    {
      code: 'wa-paid-leave-and-wa-cares-report',
      form: 'Paid leave and WA Cares report',
      title: 'Premiums for paid leave and long-term care',
      agency: 'WA-ESD',
      publisher: 'Washington Employment Security Department',
    },
    [
      { tax: 'PFML-EE', id: 'employee', label: 'Paid leave premium withheld', how: 'withheld' },
      { tax: 'PFML-ER', id: 'employer', label: 'Paid leave premium of the employer', how: 'withheld' },
      { tax: 'CARES', id: 'cares', label: 'WA Cares premium withheld', how: 'withheld' },
    ],
  ),
  programReport(
    {
      code: 'wa-workers-compensation-quarterly-report',
      form: 'Workers’ compensation quarterly report',
      title: 'Premiums for workers’ compensation by hours worked',
      agency: 'WA-LNI',
      publisher: 'Washington Department of Labor and Industries',
    },
    [
      { tax: 'WC-EE', id: 'employee', label: 'Premium withheld', how: 'withheld' },
      { tax: 'WC-ER', id: 'employer', label: 'Premium of the employer', how: 'withheld' },
    ],
  ),
];
