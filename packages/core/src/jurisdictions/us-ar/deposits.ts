import type { DepositCalendar } from '../deposit-calendar.js';
import { lookback, monthly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('AR', 'Arkansas');

export const ARKANSAS_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'AR-SIT',
    CALENDAR,
    publication(
      'Withholding Tax Instructions for Employers',
      'Arkansas Department of Finance and Administration',
      '2026',
    ),
    [yearly(), monthly(15)],
    { lookback: lookback('year-before', ['0', 'yearly'], ['1000', 'monthly']) },
  ),
  withQuarterlyReport('AR-SUI', CALENDAR, 'Arkansas Division of Workforce Services'),
];
