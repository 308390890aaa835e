import type { Locality } from '../locality.js';
import { recalled } from '../dated.js';
import { localRates, ratesTax } from '../places.js';
import { again, beginning, publication, row } from '../state-words.js';

const PORTLAND = publication(
  'Metro SHS and Multnomah County PFA employer withholding',
  'City of Portland Revenue Division',
  '2025',
);
const TRANSIT = publication('Transit payroll taxes', 'Oregon Department of Revenue', '2026');
const CITY_TRANSIT = publication('Transit payroll tax ordinances', 'Oregon cities and districts', '2025');
const shs = ratesTax(
  {
    code: 'METRO-SHS',
    kind: 'income',
    label: 'Metro supportive housing services tax',
    payer: 'employee',
    wages: 'income',
    isShared: true,
  },
  beginning(
    row(
      '2025-01-01',
      recalled(PORTLAND, '1% of wages over 200,000 a year', 'The mandatory withholding mark may be indexed for 2026.'),
      localRates({
        tiers: [
          ['0', '0'],
          ['200000', '1.0'],
        ],
      }),
    ),
    again('2026-01-01'),
  ),
);
const pfa = ratesTax(
  {
    code: 'MULTNOMAH-PFA',
    kind: 'income',
    label: 'Multnomah County preschool for all tax',
    payer: 'employee',
    wages: 'income',
    isShared: true,
  },
  beginning(
    row(
      '2025-01-01',
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
    again('2026-01-01'),
  ),
);
const transit = (code: string, label: string, of2025: string, of2026: string) =>
  ratesTax(
    { code, kind: 'transit', label, payer: 'employer', wages: 'gross', isShared: true },
    beginning(
      row('2025-01-01', recalled(TRANSIT, label), localRates({ resident: of2025, nonresident: of2025 })),
      row(
        '2026-01-01',
        recalled(TRANSIT, label, 'The yearly increases are taken to have ended with 2025.'),
        localRates({ resident: of2026, nonresident: of2026 }),
      ),
    ),
  );
const trimet = transit('TRIMET', 'TriMet transit payroll tax', '0.8237', '0.8237');

export const DISTRICTS: readonly Locality[] = [
  { code: 'PORTLAND', name: 'Portland', alsoKnownAs: ['Multnomah County', 'Multnomah'], taxes: [shs, pfa, trimet] },
  {
    code: 'METRO',
    name: 'Metro',
    alsoKnownAs: ['Washington County', 'Clackamas County', 'Beaverton', 'Hillsboro'],
    taxes: [shs, trimet],
  },
  ...[
    ['WILSONVILLE', 'Wilsonville', 'SMART', 'Wilsonville transit payroll tax', '0.5'],
    ['CANBY', 'Canby', 'CAT', 'Canby transit payroll tax', '0.6'],
    ['SANDY', 'Sandy', 'SAM', 'Sandy transit payroll tax', '0.6'],
    ['SOUTH-CLACKAMAS', 'South Clackamas', 'SCTD', 'South Clackamas transit payroll tax', '0.5'],
  ].map(([code = '', name = '', tax = '', label = '', by = '']): Locality => ({
    code,
    name,
    taxes: [
      ratesTax(
        { code: tax, kind: 'transit', label, payer: 'employer', wages: 'gross' },
        beginning(
          row('2025-01-01', recalled(CITY_TRANSIT, label), localRates({ resident: by, nonresident: by })),
          again('2026-01-01'),
        ),
      ),
    ],
  })),
  {
    code: 'LANE',
    name: 'Lane Transit District',
    alsoKnownAs: ['Eugene', 'Springfield', 'Lane County'],
    taxes: [transit('LTD', 'Lane transit payroll tax', '0.80', '0.80')],
  },
];
