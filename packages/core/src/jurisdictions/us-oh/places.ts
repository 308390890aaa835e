import { recalled } from '../dated.js';
import type { Locality } from '../locality.js';
import { type PlaceRates, localRates, placesAt, ratesTax } from '../places.js';
import { again, beginning, publication, row } from '../state-words.js';

const CITY = recalled(
  publication('Municipal income tax rate table', 'Ohio municipalities', '2025'),
  'rate, credit',
  'Credits are set by ordinance and change.',
);
const SCHOOL = recalled(
  publication('School district income tax rates', 'Ohio Department of Taxation', '2025'),
  'rate and base',
  'District numbers and rates are recalled.',
);
const city = (resident: string, share: string, upTo: string): PlaceRates => ({
  resident,
  nonresident: resident,
  credit: [share, upTo],
});

/** Qualifying wages are Medicare wages (Ohio Revised Code § 718.01(R)), so deferrals are inside them. */
export const MUNICIPALITIES = placesAt(
  { code: 'LIT', kind: 'income', payer: 'employee', wages: 'medicare', label: (name) => `${name} income tax` },
  CITY,
  [
    ['Columbus', city('2.5', '100', '2.5')],
    ['Cleveland', city('2.5', '100', '2.5')],
    ['Cincinnati', city('1.8', '100', '1.8')],
    ['Toledo', city('2.5', '100', '2.5')],
    ['Akron', city('2.5', '100', '2.5')],
    ['Dayton', city('2.5', '100', '2.5')],
    ['Canton', city('2.5', '100', '2.5')],
    ['Youngstown', city('2.75', '100', '2.75')],
    ['Parma', city('2.5', '100', '2.0')],
    ['Lorain', city('2.5', '100', '2.0')],
    ['Hamilton', city('2.0', '100', '2.0')],
    ['Springfield', city('2.4', '50', '2.4')],
    ['Kettering', city('2.25', '100', '2.25')],
    ['Elyria', city('2.25', '100', '1.75')],
    ['Lakewood', city('1.5', '50', '1.5')],
    ['Cleveland Heights', city('2.25', '50', '1.0')],
    ['Shaker Heights', city('2.25', '50', '1.0')],
    ['Euclid', city('2.85', '100', '2.85')],
    ['Mentor', city('2.0', '100', '2.0')],
    ['Strongsville', city('2.0', '100', '2.0')],
    ['Dublin', city('2.0', '100', '2.0')],
    ['Westerville', city('2.0', '100', '2.0')],
    ['Upper Arlington', city('2.5', '100', '2.5')],
    ['Grove City', city('2.0', '100', '2.0')],
    ['Gahanna', city('2.5', '100', '2.5')],
    ['Hilliard', city('2.5', '100', '2.5')],
    ['Reynoldsburg', city('2.5', '100', '2.5')],
    ['Mansfield', city('2.0', '50', '1.0')],
    ['Newark', city('1.75', '100', '1.0')],
    ['Lima', city('1.5', '50', '1.5')],
  ],
);

const district = (code: string, name: string, by: string, base: 'traditional' | 'earned income'): Locality => ({
  code: `SD-${code}`,
  name: `${name} school district`,
  alsoKnownAs: [code, `SD ${code}`, `${name} SD`],
  taxes: [
    ratesTax(
      {
        code: 'SDIT',
        kind: 'income',
        label: `${name} school district tax (${base} base)`,
        payer: 'employee',
        followsCertificate: true,
        wages: base === 'traditional' ? 'state-income' : 'income',
      },
      beginning(
        row(
          '2025-01-01',
          SCHOOL,
          localRates(base === 'traditional' ? { resident: by, exemption: '650' } : { resident: by }),
        ),
        again('2026-01-01'),
      ),
    ),
  ],
});
export const SCHOOL_DISTRICTS: readonly Locality[] = [
  district('2501', 'Bexley', '0.75', 'traditional'),
  district('2502', 'Canal Winchester', '0.75', 'traditional'),
  district('2101', 'Big Walnut', '0.75', 'traditional'),
  district('2102', 'Buckeye Valley', '1.0', 'earned income'),
  district('2307', 'Pickerington', '1.0', 'traditional'),
  district('2509', 'Reynoldsburg', '0.5', 'traditional'),
  district('4901', 'Jefferson Local', '1.0', 'traditional'),
  district('5501', 'Bethel Local', '0.75', 'earned income'),
];
