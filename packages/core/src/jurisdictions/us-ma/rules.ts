import { rate } from '../../money/rate.js';
import { certificate, flagField, wholeField } from '../certificate-fields.js';
import { creditorsMay, freeHours, minimumWages } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { ONE_COLUMN, annual, count, credit, deduct, fixed, socialInsurance, steps, when } from '../lines.js';
import type { Program } from '../program.js';
import {
  PLAUSIBLE,
  TOGETHER,
  again,
  agency,
  beginning,
  movingIsExcluded,
  publication,
  row,
  wageBase,
} from '../state-words.js';
import type { StateRules } from '../state.js';
import { MASSACHUSETTS_DEPOSITS } from './deposits.js';
import { MASSACHUSETTS_RETURNS } from './returns.js';

const REVENUE = 'Massachusetts Department of Revenue';
const CIRCULAR = (edition: string) => publication('Circular M, Income Tax Withholding Tables', REVENUE, edition);
const DFML = publication('PFML contribution rates', 'Department of Family and Medical Leave', '2026');
const DUA = 'Department of Unemployment Assistance';
const worksheet = (surtaxOver: string) =>
  annual(
    ONE_COLUMN,
    deduct('Social security, Medicare and retirement, until 2,000 in the year', socialInsurance('2000')),
    deduct('Personal exemption', when('allowances', fixed('3400'))),
    deduct('Exemptions', count('allowances', '1000')),
    steps(
      {
        '*': [
          ['0', '0.05'],
          [surtaxOver, '0.09'],
        ],
      },
      'Tax, with the surtax above its mark',
    ),
    credit('Head of household', when('isHeadOfHousehold', fixed('120'))),
    credit('Blindness', count('blindness', '110')),
  );
const pfml = (payer: 'employee' | 'employer'): Program => ({
  code: payer === 'employee' ? 'PFML-EE' : 'PFML-ER',
  kind: 'paid-leave',
  label: `Massachusetts paid family and medical leave, ${payer}`,
  payer,
  agency: 'income',
  wages: 'social-security',
  terms: beginning(
    row(
      '2025-01-01',
      recalled(DFML, '0.88%: medical 0.70%, of which the employee at most 40%, and family 0.18%'),
      payer === 'employee'
        ? [{ rate: rate('0.0046'), base: 'oasdi' }]
        : [{ rate: rate('0.0042'), base: 'oasdi', size: { atLeast: 25 } }],
    ),
    again('2026-01-01'),
  ),
});

export const MASSACHUSETTS: StateRules = {
  code: 'MA',
  name: 'Massachusetts',
  deposits: MASSACHUSETTS_DEPOSITS,
  returns: MASSACHUSETTS_RETURNS,
  agencies: { income: agency('MA-DOR', REVENUE, 'MA Revenue'), unemployment: agency('MA-DUA', DUA, 'MA Unemployment') },
  incomeTax: {
    kind: 'worksheet',
    certificate: certificate(
      'Form M-4',
      [
        wholeField('allowances', 'Exemptions', 'M-4 line 4.'),
        flagField('isHeadOfHousehold', 'Head of household', 'M-4 box A.'),
        wholeField('blindness', 'Blindness', 'M-4 boxes B and C: 0, 1 or 2.'),
      ],
      { allowances: 0 },
      'Withhold with no exemptions.',
    ),
    worksheets: beginning(
      row('2025-01-01', recalled(CIRCULAR('2025'), 'percentage method'), worksheet('1083150')),
      row(
        '2026-01-01',
        recalled(
          CIRCULAR('2026'),
          'percentage method',
          'The surtax mark for 2026 is recalled from the indexing notice.',
        ),
        worksheet('1107750'),
      ),
    ),
    supplemental: beginning(
      row('2025-01-01', recalled(CIRCULAR('2025'), 'bonuses and other supplemental wages'), TOGETHER),
      again('2026-01-01'),
    ),
  },
  views: [movingIsExcluded(CIRCULAR('2025'))],
  creditors: creditorsMay('Massachusetts General Laws c. 235 § 34, c. 246 § 28', {
    ofGross: rate('0.15'),
    ...freeHours(50),
  }),
  minimumWage: minimumWages('Massachusetts', ['15.00', '15.00', '15.00']),
  unemployment: {
    base: beginning(
      wageBase('2025-01-01', publication('Taxable wage base', DUA, '2026'), '15000'),
      wageBase('2026-01-01', publication('Taxable wage base', DUA, '2026'), '15000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    pfml('employee'),
    pfml('employer'),
    {
      code: 'WTF',
      kind: 'training',
      label: 'Massachusetts workforce training fund',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2025-01-01', recalled(publication('Workforce Training Fund contribution', DUA, '2025'), 'rate'), [
          { rate: rate('0.00056'), base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
    {
      code: 'EMAC',
      kind: 'health',
      label: 'Massachusetts employer medical assistance contribution',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      ownRateOtherwise: rate('0'),
      terms: beginning(
        row('2025-01-01', recalled(publication('EMAC', DUA, '2025'), 'employers of six or more, by the notice'), [
          { rate: 'own', base: 'unemployment' },
        ]),
        again('2026-01-01'),
      ),
    },
  ],
};
