import { recalled } from '../dated.js';
import { placesAt } from '../places.js';
import { publication } from '../state-words.js';

const NOTICE = publication(
  'Departmental Notice #1, How to Compute Withholding for State and County Income Tax',
  'Indiana Department of Revenue',
  '2025',
);

/** Rates are recalled; a county that is not here is an error that says how to add it. */
export const COUNTIES = placesAt(
  { code: 'LIT', payer: 'employee', wages: 'state-income', label: (name) => `${name} County income tax` },
  recalled(NOTICE, 'county rates', 'Compare the rate with the notice of October and January.'),
  [
    ['Adams', { resident: '1.6' }],
    ['Allen', { resident: '1.59' }],
    ['Bartholomew', { resident: '2.25' }],
    ['Boone', { resident: '1.7' }],
    ['Clark', { resident: '2.0' }],
    ['Dearborn', { resident: '1.4' }],
    ['Delaware', { resident: '1.5' }],
    ['Elkhart', { resident: '2.0' }],
    ['Floyd', { resident: '1.39' }],
    ['Grant', { resident: '2.55' }],
    ['Hamilton', { resident: '1.1' }],
    ['Hancock', { resident: '1.94' }],
    ['Hendricks', { resident: '1.7' }],
    ['Howard', { resident: '1.95' }],
    ['Johnson', { resident: '1.4' }],
    ['Kosciusko', { resident: '1.0' }],
    ['Lake', { resident: '1.5' }],
    ['LaPorte', { resident: '1.45' }],
    ['Madison', { resident: '2.25' }],
    ['Marion', { resident: '2.02' }],
    ['Monroe', { resident: '2.14' }],
    ['Morgan', { resident: '2.72' }],
    ['Porter', { resident: '0.5' }],
    ['St. Joseph', { resident: '1.75' }],
    ['Tippecanoe', { resident: '1.28' }],
    ['Vanderburgh', { resident: '1.25' }],
    ['Vigo', { resident: '2.0' }],
    ['Warrick', { resident: '1.0' }],
    ['Wayne', { resident: '1.25' }],
  ],
);
