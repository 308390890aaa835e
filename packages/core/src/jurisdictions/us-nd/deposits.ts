import type { DepositCalendar } from '../deposit-calendar.js';
import { lookback, quarterly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('ND', 'North Dakota');

export const NORTH_DAKOTA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'ND-SIT',
    CALENDAR,
    publication(
      'Income Tax Withholding Rates and Instructions',
      'North Dakota Office of State Tax Commissioner',
      '2026',
    ),
    [yearly(), quarterly()],
    { lookback: lookback('year-before', ['0', 'yearly'], ['1000', 'quarterly']) },
  ),
  withQuarterlyReport('ND-SUI', CALENDAR, 'Job Service North Dakota'),
];
