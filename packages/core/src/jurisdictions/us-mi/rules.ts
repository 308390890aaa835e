import { ALLOWANCES, certificate, wholeField } from '../certificate-fields.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, deduct, flat } from '../lines.js';
import { placesAt } from '../places.js';
import {
  DEFERRAL_ITEMS,
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
import { MICHIGAN_DEPOSITS } from './deposits.js';
import { MICHIGAN_RETURNS } from './returns.js';

const TREASURY = 'Michigan Department of Treasury';
const GUIDE = (edition: string) => publication('446-I, Income Tax Withholding Guide', TREASURY, edition);
const CITY = recalled(
  publication('City income tax ordinances and withholding guides', 'Michigan cities', '2025'),
  'rates and exemption',
  'Exemptions differ by city: 600 in most.',
);
const ordinary = { resident: '1.0', nonresident: '0.5', exemption: '600', credit: ['100', '0.5'] } as const;

export const MICHIGAN: StateRules = {
  code: 'MI',
  name: 'Michigan',
  deposits: MICHIGAN_DEPOSITS,
  returns: MICHIGAN_RETURNS,
  agencies: {
    income: agency('MI-TREAS', TREASURY, 'MI Treasury'),
    unemployment: agency('MI-UIA', 'Michigan Unemployment Insurance Agency', 'MI Unemployment'),
    others: [agency('MI-CITY', 'Michigan city income tax offices', 'MI cities')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form MI-W4',
      [
        ALLOWANCES,
        wholeField(
          'cityExemptions',
          'City exemptions',
          'The exemptions of the city certificate; left out, as many as on the MI-W4.',
        ),
      ],
      { allowances: 0 },
      'Withhold with no exemptions.',
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(GUIDE('2025'), 'direct percentage computation'),
        annual(ONE_COLUMN, deduct('Exemptions', count('allowances', '5800')), flat('0.0425')),
      ),
      row(
        '2026-01-01',
        recalled(GUIDE('2026'), 'direct percentage computation', 'The 2026 exemption, 5,900, is recalled.'),
        annual(ONE_COLUMN, deduct('Exemptions', count('allowances', '5900')), flat('0.0425')),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(GUIDE('2025'), 'supplemental wages'), flatSupplemental('0.0425')),
      again('2026-01-01'),
    ),
  },
  views: [
    {
      base: 'LOCAL',
      excludes: [...DEFERRAL_ITEMS],
      provenance: recalled(
        publication('Uniform City Income Tax Ordinance, MCL 141.613', 'State of Michigan', '2024'),
        'compensation as for the federal income tax',
        'That cities leave deferrals out is recalled from city returns, which begin with box 1 of Form W-2.',
      ),
    },
  ],
  reciprocity: {
    with: ['IL', 'IN', 'KY', 'MN', 'OH', 'WI'],
    form: 'Form MI-W4 line 8',
    ...recalled(GUIDE('2025'), 'reciprocal agreements'),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Michigan Unemployment Insurance Agency', '2026'),
        '9000',
        '9,500 for an employer that is delinquent.',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Michigan Unemployment Insurance Agency', '2026'),
        '9000',
        '9,500 for an employer that is delinquent.',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  local: {
    method: 'city',
    agency: 'MI-CITY',
    provenance: CITY,
    places: placesAt(
      { code: 'LIT', kind: 'income', payer: 'employee', wages: 'gross', label: (name) => `${name} city income tax` },
      CITY,
      [
        ['Detroit', { resident: '2.4', nonresident: '1.2', exemption: '600', credit: ['100', '1.2'] }],
        ['Grand Rapids', { resident: '1.5', nonresident: '0.75', exemption: '600', credit: ['100', '0.75'] }],
        ['Saginaw', { resident: '1.5', nonresident: '0.75', exemption: '750', credit: ['100', '0.75'] }],
        ['Highland Park', { resident: '2.0', nonresident: '1.0', exemption: '600', credit: ['100', '1.0'] }],
        ['Lansing', ordinary],
        ['East Lansing', ordinary],
        ['Flint', ordinary],
        ['Pontiac', ordinary],
        ['Battle Creek', { ...ordinary, exemption: '750' }],
        ['Jackson', ordinary],
        ['Port Huron', ordinary],
        ['Muskegon', ordinary],
        ['Hamtramck', ordinary],
        ['Walker', ordinary],
        ['Springfield', { ...ordinary, exemption: '750' }],
        ['Albion', ordinary],
        ['Benton Harbor', { ...ordinary, exemption: '750' }],
        ['Big Rapids', ordinary],
        ['Grayling', { ...ordinary, exemption: '3000' }],
        ['Hudson', { ...ordinary, exemption: '1000' }],
        ['Ionia', { ...ordinary, exemption: '700' }],
        ['Lapeer', ordinary],
        ['Muskegon Heights', ordinary],
        ['Portland', { ...ordinary, exemption: '1000' }],
      ],
    ),
  },
};
