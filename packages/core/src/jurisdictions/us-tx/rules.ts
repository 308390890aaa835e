import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { TEXAS_DEPOSITS } from './deposits.js';
import { TEXAS_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const TEXAS: StateRules = {
  code: 'TX',
  name: 'Texas',
  deposits: TEXAS_DEPOSITS,
  returns: TEXAS_RETURNS,
  agencies: { unemployment: agency('TX-TWC', 'Texas Workforce Commission', 'TX Workforce') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Texas Constitution', 'State of Texas', '2025'), 'article VIII, section 24-a'),
  },
  creditors: creditorsMay('Texas Constitution, article XVI, section 28', { isForbidden: true }),
  unemployment: {
    base: beginning(
      wageBase('2024-01-01', publication('Taxable wage base', 'Texas Workforce Commission', '2026'), '9000'),
      wageBase('2025-01-01', publication('Taxable wage base', 'Texas Workforce Commission', '2026'), '9000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Texas Workforce Commission', '2026'), '9000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
