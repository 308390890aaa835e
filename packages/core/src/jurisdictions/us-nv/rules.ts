import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { creditorsMay, freeHours, minimumWageFrom } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { overtimeByDay } from '../overtime.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { NEVADA_DEPOSITS } from './deposits.js';
import { NEVADA_RETURNS } from './returns.js';

const DETR = 'Nevada Department of Employment, Training and Rehabilitation';

export const NEVADA: StateRules = {
  code: 'NV',
  name: 'Nevada',
  deposits: NEVADA_DEPOSITS,
  returns: NEVADA_RETURNS,
  agencies: { unemployment: agency('NV-DETR', DETR, 'NV Employment') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Nevada Constitution', 'State of Nevada', '2025'), 'article 10, section 1(9)'),
  },
  creditors: creditorsMay('Nevada Revised Statutes 31.295', {
    lowPay: { weekly: dollars('770'), ofDisposable: rate('0.18') },
    ...freeHours(50, 'federal'),
  }),
  overtime: overtimeByDay('Nevada Revised Statutes 608.018', {
    day: [{ hours: 8, item: 'overtime' }],
    belowMinimumTimes: rate('1.5'),
  }),
  minimumWage: [
    minimumWageFrom(
      '2024-01-01',
      '2024-07-01',
      'Nevada',
      '11.25',
      'One dollar less where health benefits are offered.',
    ),
    minimumWageFrom('2024-07-01', '2027-01-01', 'Nevada', '12.00'),
  ],
  unemployment: {
    base: beginning(
      wageBase('2024-01-01', publication('Taxable wage base', DETR, '2026'), '40600'),
      wageBase('2025-01-01', publication('Taxable wage base', DETR, '2026'), '41800'),
      wageBase('2026-01-01', publication('Taxable wage base', DETR, '2026'), '43700'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'CEP',
      kind: 'training',
      label: 'Nevada career enhancement program',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2024-01-01', recalled(publication('Career Enhancement Program', DETR, '2025'), 'rate'), [
          { rate: rate('0.0005'), base: 'unemployment' },
        ]),
        again('2025-01-01'),
        again('2026-01-01'),
      ),
    },
  ],
};
