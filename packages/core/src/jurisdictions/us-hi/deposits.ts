import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'HI',
  'Hawaii',
  [
    { name: 'Prince Jonah Kuhio Kalanianaole Day', place: { month: 3, day: 26 }, from: 1949 },
    HOLIDAYS.goodFriday,
    { name: 'King Kamehameha I Day', place: { month: 6, day: 11 }, from: 1900 },
    { name: 'Statehood Day', place: { month: 8, weekday: 5, nth: 3 }, from: 1960 },
    HOLIDAYS.generalElection,
  ],
  [HOLIDAYS.columbus],
);

export const HAWAII_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'HI-SIT',
    CALENDAR,
    publication('Booklet A, Employer’s Tax Guide', 'Hawaii Department of Taxation', '2026'),
    [quarterly(15), monthly(15), SEMIWEEKLY],
  ),
  withQuarterlyReport('HI-SUI', CALENDAR, 'Hawaii Department of Labor and Industrial Relations'),
];
