import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { PLAUSIBLE, agency, publication, wageBasesFrom2024 } from '../state-words.js';

export const NEW_HAMPSHIRE: StateRules = {
  code: 'NH',
  name: 'New Hampshire',
  agencies: { unemployment: agency('NH-NHES', 'New Hampshire Employment Security', 'NH Employment') },
  incomeTax: {
    kind: 'none',
    ...recalled(
      publication('New Hampshire Revised Statutes', 'State of New Hampshire', '2025'),
      'chapter 77 does not reach wages',
    ),
  },
  creditors: creditorsMay('New Hampshire RSA 512:21', freeHours(50, 'federal')),
  unemployment: {
    base: wageBasesFrom2024(
      publication('Taxable wage base', 'New Hampshire Employment Security', '2026'),
      '14000',
      '14000',
      '14000',
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
