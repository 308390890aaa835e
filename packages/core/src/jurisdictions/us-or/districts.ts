import type { Locality } from '../locality.js';
import { recalled } from '../dated.js';
import { localRates, ratesTax } from '../places.js';
import { both, publication, yearly } from '../state-words.js';

const PORTLAND = publication(
  'Metro SHS and Multnomah County PFA employer withholding',
  'City of Portland Revenue Division',
  '2025',
);
const TRANSIT = publication('Transit payroll taxes', 'Oregon Department of Revenue', '2026');
const shs = ratesTax(
  { code: 'SHS', label: 'Metro supportive housing services tax', payer: 'employee', wages: 'income' },
  both(
    recalled(PORTLAND, '1% of wages over 200,000 a year', 'The mandatory withholding mark may be indexed for 2026.'),
    localRates({
      tiers: [
        ['0', '0'],
        ['200000', '1.0'],
      ],
    }),
  ),
);
const pfa = ratesTax(
  { code: 'PFA', label: 'Multnomah County preschool for all tax', payer: 'employee', wages: 'income' },
  both(
    recalled(
      PORTLAND,
      '1.5% of wages over 200,000 and 3.0% over 400,000 a year',
      'The mandatory withholding marks may be indexed for 2026.',
    ),
    localRates({
      tiers: [
        ['0', '0'],
        ['200000', '1.5'],
        ['400000', '3.0'],
      ],
    }),
  ),
);
const transit = (code: string, label: string, of2025: string, of2026: string) =>
  ratesTax(
    { code, label, payer: 'employer', wages: 'gross' },
    yearly(
      [recalled(TRANSIT, label), localRates({ resident: of2025, nonresident: of2025 })],
      [
        recalled(TRANSIT, label, 'The 2026 rate follows the yearly increase in the district’s ordinance.'),
        localRates({ resident: of2026, nonresident: of2026 }),
      ],
    ),
  );
const trimet = transit('TRIMET', 'TriMet transit payroll tax', '0.8137', '0.8237');

export const DISTRICTS: readonly Locality[] = [
  { code: 'PORTLAND', name: 'Portland', alsoKnownAs: ['Multnomah County', 'Multnomah'], taxes: [shs, pfa, trimet] },
  {
    code: 'METRO',
    name: 'Metro',
    alsoKnownAs: ['Washington County', 'Clackamas County', 'Beaverton', 'Hillsboro'],
    taxes: [shs, trimet],
  },
  {
    code: 'LANE',
    name: 'Lane Transit District',
    alsoKnownAs: ['Eugene', 'Springfield', 'Lane County'],
    taxes: [transit('LTD', 'Lane transit payroll tax', '0.79', '0.80')],
  },
];
