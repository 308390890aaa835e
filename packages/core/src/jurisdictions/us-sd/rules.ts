import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { creditorsMay, freeHours } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { SOUTH_DAKOTA_DEPOSITS } from './deposits.js';
import { SOUTH_DAKOTA_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const SOUTH_DAKOTA: StateRules = {
  code: 'SD',
  name: 'South Dakota',
  deposits: SOUTH_DAKOTA_DEPOSITS,
  returns: SOUTH_DAKOTA_RETURNS,
  agencies: { unemployment: agency('SD-DLR', 'South Dakota Department of Labor and Regulation', 'SD Labor') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('South Dakota Codified Laws', 'State of South Dakota', '2025'), 'no individual income tax'),
  },
  creditors: creditorsMay('South Dakota Codified Laws § 21-18-51', {
    ofDisposable: rate('0.20'),
    ...freeHours(40, 'federal'),
    eachDependent: dollars('25'),
  }),
  unemployment: {
    base: beginning(
      wageBase(
        '2024-01-01',
        publication('Taxable wage base', 'South Dakota Department of Labor and Regulation', '2026'),
        '15000',
      ),
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'South Dakota Department of Labor and Regulation', '2026'),
        '15000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'South Dakota Department of Labor and Regulation', '2026'),
        '15000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
