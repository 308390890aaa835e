import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { WYOMING_DEPOSITS } from './deposits.js';
import { WYOMING_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const WYOMING: StateRules = {
  code: 'WY',
  name: 'Wyoming',
  deposits: WYOMING_DEPOSITS,
  returns: WYOMING_RETURNS,
  agencies: { unemployment: agency('WY-DWS', 'Wyoming Department of Workforce Services', 'WY Workforce') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Wyoming Statutes', 'State of Wyoming', '2025'), 'no individual income tax'),
  },
  unemployment: {
    base: beginning(
      wageBase(
        '2024-01-01',
        publication('Taxable wage base', 'Wyoming Department of Workforce Services', '2026'),
        '30900',
      ),
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Wyoming Department of Workforce Services', '2026'),
        '32400',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Wyoming Department of Workforce Services', '2026'),
        '33800',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
