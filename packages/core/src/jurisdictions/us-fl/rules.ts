import { creditorsMay } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import type { StateRules } from '../state.js';
import { FLORIDA_DEPOSITS } from './deposits.js';
import { FLORIDA_RETURNS } from './returns.js';
import { PLAUSIBLE, agency, beginning, publication, wageBase } from '../state-words.js';

export const FLORIDA: StateRules = {
  code: 'FL',
  name: 'Florida',
  deposits: FLORIDA_DEPOSITS,
  returns: FLORIDA_RETURNS,
  agencies: { unemployment: agency('FL-DOR', 'Florida Department of Revenue', 'FL Revenue') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Florida Constitution', 'State of Florida', '2025'), 'article VII, section 5'),
  },
  creditors: creditorsMay(
    'Florida Statutes § 222.11',
    { ofHead: { isForbidden: true } },
    'The head of a family may have agreed in writing to garnishment of what is over 750 a week: give no head of family then.',
  ),
  unemployment: {
    base: beginning(
      wageBase('2024-01-01', publication('Taxable wage base', 'Florida Department of Revenue', '2026'), '7000'),
      wageBase('2025-01-01', publication('Taxable wage base', 'Florida Department of Revenue', '2026'), '7000'),
      wageBase('2026-01-01', publication('Taxable wage base', 'Florida Department of Revenue', '2026'), '7000'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
};
