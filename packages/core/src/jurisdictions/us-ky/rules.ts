import { certificate } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, deduct, fixed, flat } from '../lines.js';
import type { Locality } from '../locality.js';
import { localRates, placesAt, ratesTax } from '../places.js';
import {
  CAFETERIA_ITEMS,
  PLAUSIBLE,
  again,
  agency,
  beginning,
  flatSupplemental,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { KENTUCKY_DEPOSITS } from './deposits.js';
import { KENTUCKY_RETURNS } from './returns.js';

const REVENUE = 'Kentucky Department of Revenue';
const formula = (edition: string) => publication('Withholding Tax Formula (42A003)', REVENUE, edition);
const CITIES = publication('Occupational license fee ordinances', 'Kentucky local governments', '2025');
const RATES = recalled(CITIES, 'rates', 'Rates and caps change by ordinance.');
const LICENSE_FEE = {
  code: 'LIT',
  kind: 'occupational',
  payer: 'employee',
  wages: 'gross',
  label: (name: string) => `${name} occupational license fee`,
} as const;
/** The schools' part is due only from people who live in the county as well. */
const LEXINGTON: Locality = {
  code: 'LEXINGTON',
  name: 'Lexington',
  alsoKnownAs: ['Lexington-Fayette', 'Fayette'],
  taxes: [
    ratesTax(
      { ...LICENSE_FEE, label: LICENSE_FEE.label('Lexington') },
      beginning(row('2025-01-01', RATES, localRates({ resident: '2.25', nonresident: '2.25' })), again('2026-01-01')),
    ),
    ratesTax(
      {
        code: 'OLF',
        kind: 'occupational',
        label: 'Fayette County schools occupational license fee',
        payer: 'employee',
        wages: 'gross',
      },
      beginning(row('2025-01-01', RATES, localRates({ resident: '0.5' })), again('2026-01-01')),
    ),
  ],
};

export const KENTUCKY: StateRules = {
  code: 'KY',
  name: 'Kentucky',
  deposits: KENTUCKY_DEPOSITS,
  returns: KENTUCKY_RETURNS,
  agencies: {
    income: agency('KY-DOR', REVENUE, 'KY Revenue'),
    unemployment: agency('KY-OUI', 'Kentucky Office of Unemployment Insurance', 'KY Unemployment'),
    others: [agency('KY-LOCAL', 'Kentucky local occupational tax offices', 'KY local')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate('Form K-4', [], {}, 'Withhold in full; there are no allowances.'),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(formula('2025'), 'computer formula'),
        annual(ONE_COLUMN, deduct('Standard deduction', fixed('3270')), flat('0.04')),
      ),
      row(
        '2026-01-01',
        recalled(formula('2026'), 'computer formula'),
        annual(ONE_COLUMN, deduct('Standard deduction', fixed('3360')), flat('0.035')),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(formula('2025'), 'supplemental wages'), flatSupplemental('0.04')),
      row('2026-01-01', recalled(formula('2026'), 'supplemental wages'), flatSupplemental('0.035')),
    ),
  },
  views: [
    {
      base: 'LOCAL',
      taxes: [...CAFETERIA_ITEMS, 'transit', 'parking'],
      provenance: recalled(
        publication('KRS 67.750(2)', 'Commonwealth of Kentucky', '2024'),
        'compensation: salary reductions under sections 125 and 132 are not taken out',
      ),
    },
  ],
  reciprocity: {
    with: ['IL', 'IN', 'MI', 'OH', 'VA', 'WV', 'WI'],
    form: 'Form 42A809',
    ...recalled(publication('103 KAR 17:140', REVENUE, '2024'), 'reciprocal states'),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Kentucky Office of Unemployment Insurance', '2026'),
        '11700',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Kentucky Office of Unemployment Insurance', '2026'),
        '12000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    isEverywhere: true,
    method: 'work-place',
    agency: 'KY-LOCAL',
    provenance: recalled(CITIES, 'rates'),
    places: [
      LEXINGTON,
      ...placesAt(LICENSE_FEE, RATES, [
        ['Louisville', { resident: '2.2', nonresident: '1.45' }, ['Louisville Metro', 'Jefferson']],
        ['Bowling Green', { resident: '2.0', nonresident: '2.0' }],
        ['Owensboro', { resident: '1.78', nonresident: '1.78' }],
        ['Covington', { resident: '2.45', nonresident: '2.45', base: 'oasdi' }],
        ['Newport', { resident: '2.5', nonresident: '2.5' }],
        ['Florence', { resident: '2.0', nonresident: '2.0', base: 'oasdi' }],
        ['Boone', { resident: '0.8', nonresident: '0.8', base: '75000' }],
        [
          'Kenton',
          {
            tiers: [
              ['0', '0.6997'],
              ['25000', '0.1097'],
            ],
            base: 'oasdi',
          },
        ],
        ['Frankfort', { resident: '1.95', nonresident: '1.95' }],
        ['Paducah', { resident: '2.0', nonresident: '2.0' }],
        ['Richmond', { resident: '2.0', nonresident: '2.0' }],
        ['Elizabethtown', { resident: '1.35', nonresident: '1.35' }],
      ]),
    ],
  },
};
