import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const VERMONT_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'vt-c-101',
      form: 'Form C-101',
      title: 'Quarterly report of wages and contributions',
      agency: 'VT-DOL',
      publisher: 'Vermont Department of Labor',
    },
    { detail: ['wages', 'excess', 'taxable', 'hours'], file: '512' },
  ),
  withholdingReturn(
    {
      code: 'vt-wht-436',
      form: 'Form WHT-436',
      title: 'Quarterly withholding reconciliation',
      agency: 'VT-TAX',
      publisher: 'Vermont Department of Taxes',
    },
    {
      due: afterQuarter(25),
      with: [
        { tax: 'CCC-EE', label: 'Child care contribution withheld' },
        { tax: 'CCC-ER', label: 'Child care contribution of the employer' },
      ],
    },
  ),
];
