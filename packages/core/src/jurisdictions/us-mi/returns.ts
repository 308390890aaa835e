import { afterQuarter } from '../deposit-words.js';
import { placesReturn, unemploymentReport, withholdingReturn } from '../return-words.js';
import type { StateReturn } from '../state-return.js';

export const MICHIGAN_RETURNS: readonly StateReturn[] = [
  unemploymentReport(
    {
      code: 'mi-uia-1028',
      form: 'Form UIA 1028',
      title: 'Employer’s quarterly wage and tax report',
      agency: 'MI-UIA',
      publisher: 'Michigan Unemployment Insurance Agency',
    },
    { day: 25, file: 'delimited' },
  ),
  withholdingReturn(
    {
      code: 'mi-5080',
      form: 'Form 5080',
      title: 'Sales, use and withholding taxes return',
      agency: 'MI-TREAS',
      publisher: 'Michigan Department of Treasury',
    },
    { follows: { monthly: 'Form 5080' }, due: afterQuarter(20) },
  ),
  placesReturn({
    code: 'mi-city-income-tax-withholding-return',
    form: 'City income tax withholding return',
    title: 'City income tax withheld, by city',
    agency: 'MI-CITY',
    publisher: 'Cities of Michigan',
  }),
];
