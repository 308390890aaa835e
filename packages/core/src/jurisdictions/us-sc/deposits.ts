import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('SC', 'South Carolina', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const SOUTH_CAROLINA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'SC-SIT',
    CALENDAR,
    publication('WH-105, South Carolina Withholding Information Guide', 'South Carolina Department of Revenue', '2026'),
    [quarterly(), monthly(15), SEMIWEEKLY],
  ),
  withQuarterlyReport('SC-SUI', CALENDAR, 'South Carolina Department of Employment and Workforce'),
];
