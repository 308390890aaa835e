import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { PLAUSIBLE, agency, publication, wageBasesFrom2024 } from '../state-words.js';

export const SOUTH_DAKOTA: StateRules = {
  code: 'SD',
  name: 'South Dakota',
  agencies: { unemployment: agency('SD-DLR', 'South Dakota Department of Labor and Regulation', 'SD Labor') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('South Dakota Codified Laws', 'State of South Dakota', '2025'), 'no individual income tax'),
  },
  unemployment: {
    base: wageBasesFrom2024(
      publication('Taxable wage base', 'South Dakota Department of Labor and Regulation', '2026'),
      '15000',
      '15000',
      '15000',
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
