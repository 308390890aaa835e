import { afterQuarter } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const OKLAHOMA_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ok-oes-3',
    form: 'Form OES-3',
    title: 'Quarterly report of wages and contributions',
    agency: 'OK-OESC',
    publisher: 'Oklahoma Employment Security Commission',
  }),
  withholdingReturn(
    {
      code: 'ok-wth-10001',
      form: 'Form WTH 10001',
      title: 'Quarterly wage withholding tax return',
      agency: 'OK-TAX',
      publisher: 'Oklahoma Tax Commission',
    },
    { follows: { monthly: 'Form WTH 10001' }, due: afterQuarter(20) },
  ),
];
