import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import {
  SINGLE_ZERO,
  SINGLE_ZERO_SAYS,
  amountField,
  certificate,
  statusField,
  wholeField,
} from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { annual, byStatus, count, deduct, fixed, table } from '../lines.js';
import {
  again,
  agency,
  beginning,
  flatSupplemental,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { NEW_YORK_DEPOSITS } from './deposits.js';
import { NEW_YORK_RETURNS } from './returns.js';
import { CITIES } from './cities.js';

const TAX = 'New York State Department of Taxation and Finance';
const LABOR = 'New York State Department of Labor';
const NYS50T = (edition: string) =>
  publication('Publication NYS-50-T-NYS, New York State Withholding Tax Tables and Methods', TAX, edition);
const UI = publication('New York Labor Law § 518', 'New York State', '2025');
const WCB = publication(
  'Disability and Paid Family Leave Benefits Law',
  "New York State Workers' Compensation Board",
  '1950',
);
const PFL = (edition: string) =>
  publication(
    'Paid Family Leave: employee contribution rate',
    'New York State Department of Financial Services',
    edition,
  );
const statuses = ['single', 'head-of-household', 'married-jointly', 'married-at-single-rate'];
const columns = byStatus({ 'married-jointly': 'married' }, 'single');
const reduction = [
  deduct('Deduction allowance', fixed({ single: '7400', married: '7950' })),
  deduct('Exemption allowances', count('allowances', '1000')),
];

export const NEW_YORK: StateRules = {
  code: 'NY',
  name: 'New York',
  deposits: NEW_YORK_DEPOSITS,
  returns: NEW_YORK_RETURNS,
  agencies: {
    income: agency('NY-TAX', TAX, 'NY Tax'),
    unemployment: agency('NY-DOL', LABOR, 'NY Labor'),
    others: [agency('NY-WCB', 'New York insurance carrier for disability and paid family leave', 'NY carrier')],
  },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form IT-2104',
      [
        statusField(statuses, 'As marked at the top of Form IT-2104.'),
        wholeField('allowances', 'Allowances', 'Form IT-2104 line 1.'),
        wholeField('cityAllowances', 'New York City allowances', 'Form IT-2104 line 2.'),
        amountField(
          'cityExtraWithholding',
          'Additional New York City amount',
          'Form IT-2104 line 4, for each payment of wages.',
        ),
        amountField(
          'yonkersExtraWithholding',
          'Additional Yonkers amount',
          'Form IT-2104 line 5, for each payment of wages.',
        ),
      ],
      SINGLE_ZERO,
      SINGLE_ZERO_SAYS,
    ),
    worksheets: beginning(
      row(
        '2025-01-01',
        recalled(
          NYS50T('1/23'),
          'Method II, Table II-A annual; Table A',
          'Rows from 96,800 up are recalled less surely than those below: they hold the recapture of the lower brackets. The steep row begins where Tax Law § 601 has its 6.85% bracket and is 50,000 wide. The rates from 1,077,550 up are those of Tax Law § 601, raised as the rows below them are; the last is the supplemental rate. The print also has a table for each pay period with whole-dollar rows; the annual one is used for all of them here, which may differ by a cent or two.',
        ),
        annual(
          columns,
          ...reduction,
          table({
            single: [
              ['0', '0', '0.04'],
              ['8500', '340', '0.045'],
              ['11700', '484', '0.0525'],
              ['13900', '600', '0.055'],
              ['80650', '4271', '0.06'],
              ['96800', '5240', '0.0714'],
              ['107650', '6014', '0.0764'],
              ['157650', '9834', '0.065'],
              ['215400', '13588', '0.1101'],
              ['265400', '19093', '0.0735'],
              ['1077550', '78786', '0.1045'],
              ['5000000', '488682', '0.111'],
              ['25000000', '2708682', '0.117'],
            ],
            married: [
              ['0', '0', '0.04'],
              ['8500', '340', '0.045'],
              ['11700', '484', '0.0525'],
              ['13900', '600', '0.055'],
              ['80650', '4271', '0.06'],
              ['96800', '5240', '0.0714'],
              ['107650', '6014', '0.0764'],
              ['157650', '9834', '0.0699'],
              ['211550', '13602', '0.0749'],
              ['323200', '21965', '0.1101'],
              ['373200', '27470', '0.0735'],
              ['1077550', '79239', '0.0765'],
              ['2155350', '161691', '0.1045'],
              ['5000000', '458957', '0.111'],
              ['25000000', '2678957', '0.117'],
            ],
          }),
        ),
      ),
      row(
        '2026-01-01',
        recalled(
          NYS50T('1/26'),
          'Method II, Table II-A annual; Table A',
          'The rates of the five lower brackets follow Tax Law § 601 as amended for 2026 (each 0.1 lower); the rows from 96,800 up are carried over from the 1/23 edition with that change, the recapture with the wider difference of the rates, and await the print. The print also has a table for each pay period with whole-dollar rows; the annual one is used for all of them here, which may differ by a cent or two.',
        ),
        annual(
          columns,
          ...reduction,
          table({
            single: [
              ['0', '0', '0.039'],
              ['8500', '332', '0.044'],
              ['11700', '472', '0.0515'],
              ['13900', '586', '0.054'],
              ['80650', '4190', '0.059'],
              ['96800', '5143', '0.0704'],
              ['107650', '5907', '0.0754'],
              ['157650', '9677', '0.064'],
              ['215400', '13373', '0.1144'],
              ['265400', '19093', '0.0735'],
              ['1077550', '78786', '0.1045'],
              ['5000000', '488682', '0.111'],
              ['25000000', '2708682', '0.117'],
            ],
            married: [
              ['0', '0', '0.039'],
              ['8500', '332', '0.044'],
              ['11700', '472', '0.0515'],
              ['13900', '586', '0.054'],
              ['80650', '4190', '0.059'],
              ['96800', '5143', '0.0704'],
              ['107650', '5907', '0.0754'],
              ['157650', '9677', '0.0689'],
              ['211550', '13391', '0.0739'],
              ['323200', '21641', '0.1144'],
              ['373200', '27361', '0.0735'],
              ['1077550', '79131', '0.0765'],
              ['2155350', '161583', '0.1045'],
              ['5000000', '458849', '0.111'],
              ['25000000', '2678849', '0.117'],
            ],
          }),
        ),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(NYS50T('1/23'), 'Supplemental wages'), flatSupplemental('0.117')),
      again('2026-01-01'),
    ),
  },
  creditsPlaces: recalled(
    publication('New York Tax Law § 620(a)', 'New York State', '2024'),
    'tax of another state, a political subdivision of it, or the District of Columbia',
    'That withholding may be lowered by it is recalled less surely than the credit itself.',
  ),
  convenienceRule: recalled(publication('20 NYCRR 132.18(a)', TAX, '2006'), 'convenience of the employer test'),
  views: [movingIsExcluded(NYS50T('1/23'))],
  creditors: creditorsMay('New York Civil Practice Law and Rules § 5231', { ofGross: rate('0.10'), ...freeHours(30) }),
  minimumWage: minimumWages(
    'New York',
    ['15.00', '15.50', '16.00'],
    'The rate outside New York City, Long Island and Westchester.',
  ),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', UI, '12800', 'The schedule of the law before its amendment of 2025 had 13,000 for 2026.'),
      wageBase('2026-01-01', UI, '17600', 'The schedule of the law before its amendment of 2025 had 13,000 for 2026.'),
    ),
    highestPlausibleRate: rate('0.12'),
  },
  programs: [
    {
      code: 'SDI',
      kind: 'disability',
      label: 'New York disability insurance',
      payer: 'employee',
      agency: { code: 'NY-WCB' },
      wages: 'gross',
      terms: beginning(
        row('2025-01-01', recalled(WCB, '§ 209(3): half of one percent, at most 0.60 a week'), [
          { rate: rate('0.005'), mostPerWeek: dollars('0.60') },
        ]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'PFL',
      kind: 'paid-leave',
      label: 'New York paid family leave',
      payer: 'employee',
      agency: { code: 'NY-WCB' },
      wages: 'gross',
      terms: beginning(
        row('2025-01-01', recalled(PFL('2025'), '0.388%, at most 354.53 a year'), [
          { rate: rate('0.00388'), mostPerYear: dollars('354.53') },
        ]),
        row('2026-01-01', recalled(PFL('2026'), '0.432%, at most 411.91 a year'), [
          { rate: rate('0.00432'), mostPerYear: dollars('411.91') },
        ]),
      ),
    },
    {
      code: 'RSF',
      kind: 'assessment',
      label: 'New York re-employment services fund',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(publication('New York Labor Law § 581-b', 'New York State', '2025'), 'rate'), [
          { rate: rate('0.00075'), base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
  local: {
    method: 'city',
    agency: 'NY-TAX',
    provenance: recalled(publication('Publication NYS-50-T-NYC and -Y', TAX, '1/18'), 'tables'),
    places: CITIES,
  },
};
