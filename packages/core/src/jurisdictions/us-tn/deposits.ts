import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('TN', 'Tennessee', [HOLIDAYS.goodFriday], [HOLIDAYS.columbus]);

export const TENNESSEE_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('TN-SUI', CALENDAR, 'Tennessee Department of Labor and Workforce Development'),
];
