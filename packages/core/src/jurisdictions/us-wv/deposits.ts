import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('WV', 'West Virginia', [
  { name: 'West Virginia Day', place: { month: 6, day: 20 }, from: 1927 },
  HOLIDAYS.afterThanksgiving,
]);

export const WEST_VIRGINIA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'WV-SIT',
    CALENDAR,
    publication('IT-100.1-A, Employer’s Withholding Tax Tables', 'West Virginia Tax Division', '2026'),
    [yearly(), quarterly(), monthly(15)],
  ),
  withQuarterlyReport('WV-SUI', CALENDAR, 'WorkForce West Virginia'),
  withQuarterlyReport('WV-CITY', CALENDAR, 'West Virginia cities'),
];
