import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('WA', 'Washington', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const WASHINGTON_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('WA-SUI', CALENDAR, 'Washington Employment Security Department'),
  withQuarterlyReport('WA-LNI', CALENDAR, 'Washington Department of Labor and Industries'),
];
