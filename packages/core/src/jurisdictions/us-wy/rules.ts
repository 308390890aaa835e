import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { PLAUSIBLE, agency, publication, wageBasesFrom2024 } from '../state-words.js';

export const WYOMING: StateRules = {
  code: 'WY',
  name: 'Wyoming',
  agencies: { unemployment: agency('WY-DWS', 'Wyoming Department of Workforce Services', 'WY Workforce') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Wyoming Statutes', 'State of Wyoming', '2025'), 'no individual income tax'),
  },
  unemployment: {
    base: wageBasesFrom2024(
      publication('Taxable wage base', 'Wyoming Department of Workforce Services', '2026'),
      '30900',
      '32400',
      '33800',
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
