import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MINNESOTA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'mn-wage-detail-report',
      form: 'Wage detail report',
      title: 'Quarterly wage detail report',
      agency: 'MN-DEED',
      publisher: 'Minnesota Department of Employment and Economic Development',
    },
    {
      programs: [
        { tax: 'WDF', label: 'Workforce development fee', how: 'rate' },
        { tax: 'PFML-EE', label: 'Paid leave premium withheld', how: 'withheld' },
        { tax: 'PFML-ER', label: 'Paid leave premium of the employer', how: 'withheld' },
      ],
      detail: ['wages', 'excess', 'taxable', 'hours'],
      file: 'delimited',
    },
  ),
  withholdingReturn(
    {
      code: 'mn-withholding-tax-return',
      form: 'Withholding tax return',
      title: 'Quarterly withholding tax return',
      agency: 'MN-DOR',
      publisher: 'Minnesota Department of Revenue',
    },
    { follows: { yearly: 'Withholding tax return' } },
  ),
];
