import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { NEW_HAMPSHIRE_DEPOSITS } from './deposits.js';
import { NEW_HAMPSHIRE_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const NEW_HAMPSHIRE: StateRules = {
  code: 'NH',
  name: 'New Hampshire',
  deposits: NEW_HAMPSHIRE_DEPOSITS,
  returns: NEW_HAMPSHIRE_RETURNS,
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
    base: beginning(
      wageBase('2024-01-01', publication('Taxable wage base', 'New Hampshire Employment Security', '2026'), '14000'),
      wageBase('2025-01-01', publication('Taxable wage base', 'New Hampshire Employment Security', '2026'), '14000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'New Hampshire Employment Security', '2026'), '14000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
