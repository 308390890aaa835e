import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('TX', 'Texas', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const TEXAS_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('TX-SUI', CALENDAR, 'Texas Workforce Commission'),
];
