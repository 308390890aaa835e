import { afterMonth } from '../deposit-words.js';
import { unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const ARKANSAS_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ar-dws-ark-209b',
    form: 'Form DWS-ARK-209B',
    title: 'Quarterly report of wages and contributions',
    agency: 'AR-DWS',
    publisher: 'Arkansas Division of Workforce Services',
  }),
  withholdingReturn(
    {
      code: 'ar-ar941m',
      form: 'Form AR941M',
      title: 'Monthly wage withholding report',
      agency: 'AR-DFA',
      publisher: 'Arkansas Department of Finance and Administration',
    },
    { follows: { yearly: 'Form AR3MAR' }, period: 'month', due: afterMonth(15) },
  ),
];
