import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'NC',
  'North Carolina',
  [HOLIDAYS.goodFriday, HOLIDAYS.afterThanksgiving],
  [HOLIDAYS.washington, HOLIDAYS.columbus],
);

export const NORTH_CAROLINA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'NC-SIT',
    CALENDAR,
    publication(
      'NC-30, Income Tax Withholding Tables and Instructions for Employers',
      'North Carolina Department of Revenue',
      '2026',
    ),
    [quarterly(), monthly(15, { endsYear: 'last' }), SEMIWEEKLY],
  ),
  withQuarterlyReport('NC-SUI', CALENDAR, 'North Carolina Division of Employment Security'),
];
