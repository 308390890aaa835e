import { programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const DISTRICT_OF_COLUMBIA_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'dc-uc-30',
      form: 'Form UC-30',
      title: 'Quarterly report of wages and contributions',
      agency: 'DC-DOES',
      publisher: 'DC Department of Employment Services',
    },
    { programs: [{ tax: 'ADM', label: 'Administrative assessment', how: 'rate' }] },
  ),
  withholdingReturn(
    {
      code: 'dc-fr-900q',
      form: 'Form FR-900Q',
      title: 'Employer withholding tax quarterly return',
      agency: 'DC-OTR',
      publisher: 'DC Office of Tax and Revenue',
    },
    { follows: { monthly: 'Form FR-900M', yearly: 'Form FR-900A' } },
  ),
  programReport(
    {
      code: 'dc-pfl-30',
      form: 'Form PFL-30',
      title: 'Universal paid leave contributions',
      agency: 'DC-DOES',
      publisher: 'DC Department of Employment Services',
    },
    [{ tax: 'UPL', id: 'employer', label: 'Contribution of the employer', how: 'withheld' }],
  ),
];
