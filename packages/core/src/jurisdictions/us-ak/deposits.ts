import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays(
  'AK',
  'Alaska',
  [
    { name: 'Seward’s Day', place: { month: 3, weekday: 1, nth: -1 }, from: 1900 },
    { name: 'Alaska Day', place: { month: 10, day: 18 }, from: 1900 },
  ],
  [HOLIDAYS.columbus],
);

export const ALASKA_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('AK-SUI', CALENDAR, 'Alaska Department of Labor and Workforce Development'),
];
