import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const IDAHO_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'id-tax020',
      form: 'Form TAX020',
      title: 'Quarterly report of wages and contributions',
      agency: 'ID-DOL',
      publisher: 'Idaho Department of Labor',
    },
    { file: '512' },
  ),
  withholdingReturn(
    {
      code: 'id-910',
      form: 'Form 910',
      title: 'Withholding payment voucher and report',
      agency: 'ID-STC',
      publisher: 'Idaho State Tax Commission',
    },
    { follows: { monthly: 'Form 910', yearly: 'Form 910' } },
  ),
];
