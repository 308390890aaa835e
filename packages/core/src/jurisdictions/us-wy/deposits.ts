import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays('WY', 'Wyoming');

export const WYOMING_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('WY-SUI', CALENDAR, 'Wyoming Department of Workforce Services'),
];
