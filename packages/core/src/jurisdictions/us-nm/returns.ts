import { afterQuarter } from '../deposit-words.js';
import { programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const NEW_MEXICO_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'nm-es-903a',
      form: 'Form ES-903A',
      title: 'Quarterly report of wages and contributions',
      agency: 'NM-DWS',
      publisher: 'New Mexico Department of Workforce Solutions',
    },
    { file: 'delimited' },
  ),
  withholdingReturn(
    {
      code: 'nm-trd-41414',
      form: 'Form TRD-41414',
      title: 'Wage withholding tax return',
      agency: 'NM-TRD',
      publisher: 'New Mexico Taxation and Revenue Department',
    },
    { follows: { monthly: 'Form TRD-41414' }, due: afterQuarter(25) },
  ),
  programReport(
    {
      code: 'nm-wc-1',
      form: 'Form WC-1',
      title: 'Workers’ compensation fee',
      agency: 'NM-WC',
      publisher: 'New Mexico Taxation and Revenue Department',
    },
    [
      { tax: 'WCF-EE', id: 'employee', label: 'Fee withheld', how: 'withheld' },
      { tax: 'WCF-ER', id: 'employer', label: 'Fee of the employer', how: 'withheld' },
    ],
  ),
];
