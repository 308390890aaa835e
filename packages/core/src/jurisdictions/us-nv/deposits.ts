import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { stateHolidays, withQuarterlyReport } from '../deposit-words.js';

const CALENDAR = stateHolidays(
  'NV',
  'Nevada',
  [
    { name: 'Nevada Day', place: { month: 10, weekday: 5, nth: -1 }, from: 2000 },
    { ...HOLIDAYS.afterThanksgiving, name: 'Family Day' },
  ],
  [HOLIDAYS.columbus],
);

export const NEVADA_DEPOSITS: readonly DepositCalendar[] = [
  withQuarterlyReport('NV-SUI', CALENDAR, 'Nevada Department of Employment, Training and Rehabilitation'),
];
