import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('NH', 'New Hampshire');

export const NEW_HAMPSHIRE_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('NH-SUI', CALENDAR, 'New Hampshire Employment Security'),
];
