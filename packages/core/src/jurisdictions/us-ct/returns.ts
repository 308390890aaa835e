import { programReport, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const CONNECTICUT_RETURNS: readonly StateReturn[] = [
  unemploymentReport({
    code: 'ct-uc-2-and-uc-5a',
    form: 'Forms UC-2 and UC-5A',
    title: 'Employer contribution return and earnings report',
    agency: 'CT-DOL',
    publisher: 'Connecticut Department of Labor',
  }),
  withholdingReturn({
    code: 'ct-ct-941',
    form: 'Form CT-941',
    title: 'Connecticut quarterly reconciliation of withholding',
    agency: 'CT-DRS',
    publisher: 'Connecticut Department of Revenue Services',
  }),
  programReport(
    {
      code: 'ct-ct-paid-leave-contribution',
      form: 'CT Paid Leave contribution',
      title: 'Contributions withheld for paid leave',
      agency: 'CT-PFL',
      publisher: 'Connecticut Paid Leave Authority',
    },
    [{ tax: 'PFL', id: 'employee', label: 'Contribution withheld', how: 'withheld' }],
  ),
];
