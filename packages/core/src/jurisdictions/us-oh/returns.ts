import { afterMonth } from '../deposit-words.js';
import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const OHIO_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'oh-jfs-20125',
      form: 'Form JFS 20125',
      title: 'Quarterly tax and wage report',
      agency: 'OH-JFS',
      publisher: 'Ohio Department of Job and Family Services',
    },
    { detail: ['wages', 'excess', 'taxable', 'weeks'] },
  ),
  withholdingReturn(
    {
      code: 'oh-it-501',
      form: 'Form IT 501',
      title: 'Employer’s payment of income tax withheld',
      agency: 'OH-TAX',
      publisher: 'Ohio Department of Taxation',
    },
    { follows: { quarterly: 'Form IT 501' }, period: 'month', due: afterMonth(15) },
  ),
  placesReturn({
    code: 'oh-municipal-and-school-district-withholding-return',
    form: 'Municipal and school district withholding return',
    title: 'Tax withheld, by municipality and school district',
    agency: 'OH-CITY',
    publisher: 'Municipalities and school districts of Ohio',
  }),
];
