import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { PLAUSIBLE, agency, since2024, publication, wageBasesFrom2024 } from '../state-words.js';
import type { StateRules } from '../state.js';

const DETR = 'Nevada Department of Employment, Training and Rehabilitation';

export const NEVADA: StateRules = {
  code: 'NV',
  name: 'Nevada',
  agencies: { unemployment: agency('NV-DETR', DETR, 'NV Employment') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Nevada Constitution', 'State of Nevada', '2025'), 'article 10, section 1(9)'),
  },
  creditors: creditorsMay('Nevada Revised Statutes 31.295', {
    lowPay: { weekly: dollars('770'), ofDisposable: rate('0.18') },
    ...freeHours(50, 'federal'),
  }),
  unemployment: {
    base: wageBasesFrom2024(publication('Taxable wage base', DETR, '2026'), '40600', '41800', '43700'),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'CEP',
      label: 'Nevada career enhancement program',
      payer: 'employer',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: since2024(recalled(publication('Career Enhancement Program', DETR, '2025'), 'rate'), [
        { rate: rate('0.0005'), base: 'unemployment' },
      ]),
    },
  ],
};
