import { between, dated, recalled } from '../dated.js';
import type { LocalTax, Locality } from '../locality.js';
import { fee, feeTax, localRates, placeCode, ratesTax } from '../places.js';
import { again, beginning, publication, row } from '../state-words.js';

const REGISTER = publication(
  'Municipal statistics: earned income and local services taxes',
  'Pennsylvania Department of Community and Economic Development',
  '2025',
);
const EIT = recalled(
  REGISTER,
  'resident and nonresident rates',
  'Rates are recalled; compare with the official register.',
);
const LST = recalled(
  REGISTER,
  'local services tax and the wages under which none is due',
  'The higher taxes of distressed cities (156), with 24,500 and 15,600, are recalled less surely.',
);
const PHILADELPHIA = publication('Wage tax rates', 'City of Philadelphia Department of Revenue', '2026');
const wage = (from: string, until: string, resident: string, nonresident: string) =>
  dated(between(from, until), recalled(PHILADELPHIA, 'rates change on July 1'), localRates({ resident, nonresident }));

const municipality = (
  name: string,
  psd: string,
  resident: string,
  nonresident: string,
  [services, fromWages]: readonly [yearly: string, fromWages: string] = ['52', '12000'],
  more: readonly LocalTax[] = [],
): Locality => ({
  code: placeCode(name),
  name,
  alsoKnownAs: [psd, `PSD ${psd}`],
  taxes: [
    ratesTax(
      { code: 'EIT', kind: 'income', label: `${name} earned income tax`, payer: 'employee', wages: 'state-income' },
      beginning(row('2025-01-01', EIT, localRates({ resident, nonresident })), again('2026-01-01')),
    ),
    feeTax(
      { code: 'LST', kind: 'occupational', label: `${name} local services tax`, payer: 'employee' },
      beginning(row('2025-01-01', LST, fee(services, 'year-spread', fromWages)), again('2026-01-01')),
    ),
    ...more,
  ],
});

const PITTSBURGH_PAYROLL = ratesTax(
  { code: 'PET', kind: 'payroll', label: 'Pittsburgh payroll expense tax', payer: 'employer', wages: 'gross' },
  beginning(
    row(
      '2025-01-01',
      recalled(
        publication('Payroll expense tax', 'City of Pittsburgh Department of Finance', '2025'),
        'rate',
        'That employers without a profit purpose do not owe it is not looked at here.',
      ),
      localRates({ resident: '0.55', nonresident: '0.55' }),
    ),
    again('2026-01-01'),
  ),
);

export const MUNICIPALITIES: readonly Locality[] = [
  {
    code: 'PHILADELPHIA',
    name: 'Philadelphia',
    alsoKnownAs: ['510101', 'PSD 510101'],
    agency: 'PA-PHL',
    comesFirst: recalled(publication('Sterling Act, 53 P.S. § 15971', 'Commonwealth of Pennsylvania', '1932'), 'wages'),
    taxes: [
      ratesTax({ code: 'LIT', kind: 'income', label: 'Philadelphia wage tax', payer: 'employee', wages: 'gross' }, [
        wage('2025-01-01', '2025-07-01', '3.75', '3.44'),
        wage('2025-07-01', '2026-07-01', '3.74', '3.43'),
        wage('2026-07-01', '2027-01-01', '3.70', '3.39'),
      ]),
    ],
  },
  municipality('Pittsburgh', '700102', '3.0', '1.0', ['52', '12000'], [PITTSBURGH_PAYROLL]),
  municipality('Allentown', '390101', '1.975', '1.28'),
  municipality('Bethlehem', '480201', '1.0', '1.0'),
  municipality('Easton', '480301', '1.95', '1.95'),
  municipality('Erie', '250301', '1.65', '1.65'),
  municipality('Harrisburg', '220401', '2.0', '1.0', ['156', '24500']),
  municipality('Lancaster', '360402', '1.1', '1.0'),
  municipality('Reading', '060901', '3.6', '1.3'),
  municipality('Scranton', '350901', '3.4', '1.0', ['156', '15600']),
  municipality('State College', '140802', '1.95', '1.0'),
  municipality('Wilkes-Barre', '401001', '3.0', '1.0'),
  municipality('York', '671101', '1.25', '1.0'),
  municipality('West Chester', '150909', '1.0', '1.0'),
  municipality('Norristown', '461101', '1.5', '1.0'),
  municipality('Lower Merion', '460302', '0', '0'),
];
