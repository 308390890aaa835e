import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('FL', 'Florida', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.washington, HOLIDAYS.columbus]);

export const FLORIDA_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('FL-SUI', CALENDAR, 'Florida Department of Revenue'),
];
