import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('SD', 'South Dakota');

export const SOUTH_DAKOTA_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('SD-SUI', CALENDAR, 'South Dakota Department of Labor and Regulation'),
];
