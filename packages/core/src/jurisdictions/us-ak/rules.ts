import { dollars } from '../../money/cents.js';
import { rate } from '../../money/rate.js';
import { creditorsMay, minimumWageFrom } from '../creditor-limits.js';
import { recalled } from '../dated.js';
import { overtimeByDay } from '../overtime.js';
import { PLAUSIBLE, again, agency, beginning, publication, row, wageBase } from '../state-words.js';
import type { StateRules } from '../state.js';
import { ALASKA_DEPOSITS } from './deposits.js';
import { ALASKA_RETURNS } from './returns.js';

const LABOR = 'Alaska Department of Labor and Workforce Development';
const RATES = (edition: string) => publication('Unemployment insurance tax rates', LABOR, edition);

export const ALASKA: StateRules = {
  code: 'AK',
  name: 'Alaska',
  deposits: ALASKA_DEPOSITS,
  returns: ALASKA_RETURNS,
  agencies: { unemployment: agency('AK-DOLWD', LABOR, 'AK Labor') },
  incomeTax: {
    kind: 'none',
    ...recalled(publication('Alaska Statutes', 'State of Alaska', '2025'), 'no individual income tax since 1980'),
  },
  creditors: creditorsMay(
    'Alaska Statutes 09.38.030; 8 AAC 95.030',
    { freeAmounts: { weekly: dollars('473') }, ofHead: { freeAmounts: { weekly: dollars('743') } } },
    'The exempt amounts follow the consumer price index and may have been raised since.',
  ),
  overtime: overtimeByDay(
    'Alaska Statutes 23.10.060',
    { day: [{ hours: 8, item: 'overtime' }] },
    'Employers of fewer than four are not under it.',
  ),
  minimumWage: [
    minimumWageFrom('2024-01-01', '2025-01-01', 'Alaska', '11.73'),
    minimumWageFrom('2025-01-01', '2025-07-01', 'Alaska', '11.91'),
    minimumWageFrom('2025-07-01', '2026-07-01', 'Alaska', '13.00'),
    minimumWageFrom('2026-07-01', '2027-01-01', 'Alaska', '14.00'),
  ],
  unemployment: {
    base: beginning(
      wageBase('2024-01-01', RATES('2026'), '49700'),
      wageBase('2025-01-01', RATES('2026'), '51700'),
      wageBase('2026-01-01', RATES('2026'), '54200'),
    ),
    highestPlausibleRate: PLAUSIBLE,
  },
  programs: [
    {
      code: 'SUI-EE',
      kind: 'unemployment',
      label: 'Alaska unemployment, employee',
      payer: 'employee',
      agency: 'unemployment',
      wages: 'unemployment',
      terms: beginning(
        row('2024-01-01', recalled(RATES('2025'), 'employee rate'), [{ rate: rate('0.005'), base: 'unemployment' }]),
        again('2025-01-01'),
        again('2026-01-01'),
      ),
    },
  ],
};
