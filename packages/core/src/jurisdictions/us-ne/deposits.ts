import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('NE', 'Nebraska', [
  { name: 'Arbor Day', place: { month: 4, weekday: 5, nth: -1 }, from: 1989 },
  HOLIDAYS.afterThanksgiving,
]);

export const NEBRASKA_DEPOSITS: readonly DepositCalendar[] = [
  withholding('NE-SIT', CALENDAR, publication('Nebraska Circular EN', 'Nebraska Department of Revenue', '2026'), [
    yearly(),
    quarterly(),
    monthly(15, { endsQuarter: 'last' }),
  ]),
  withQuarterlyReport('NE-SUI', CALENDAR, 'Nebraska Department of Labor'),
];
