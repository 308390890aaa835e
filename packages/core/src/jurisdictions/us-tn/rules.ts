import { dollars } from '../../money/cents.js';
import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { TENNESSEE_DEPOSITS } from './deposits.js';
import { TENNESSEE_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const TENNESSEE: StateRules = {
  code: 'TN',
  name: 'Tennessee',
  deposits: TENNESSEE_DEPOSITS,
  returns: TENNESSEE_RETURNS,
  agencies: { unemployment: agency('TN-DLWD', 'Tennessee Department of Labor and Workforce Development', 'TN Labor') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Tennessee Constitution', 'State of Tennessee', '2025'), 'article II, section 28'),
  },
  creditors: creditorsMay(
    'Tennessee Code § 26-2-106, § 26-2-107',
    { eachDependent: dollars('2.50') },
    'For each child under 16 who lives in the state.',
  ),
  unemployment: {
    base: beginning(
      wageBase(
        '2024-01-01',
        publication('Taxable wage base', 'Tennessee Department of Labor and Workforce Development', '2026'),
        '7000',
      ),
      wageBase(
        '2025-01-01',
        publication('Taxable wage base', 'Tennessee Department of Labor and Workforce Development', '2026'),
        '7000',
      ),
      wageBase(
        '2026-01-01',
        publication('Taxable wage base', 'Tennessee Department of Labor and Workforce Development', '2026'),
        '7000',
      ),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
