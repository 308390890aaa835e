import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterQuarterMonth,
  depositClass,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'RI',
  'Rhode Island',
  [{ name: 'Victory Day', place: { month: 8, weekday: 1, nth: 2 }, from: 1966 }, HOLIDAYS.generalElection],
  [HOLIDAYS.washington],
);

export const RHODE_ISLAND_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'RI-SIT',
    CALENDAR,
    publication('Employer’s Income Tax Withholding Tables', 'Rhode Island Division of Taxation', '2026'),
    [quarterly(), monthly(20), depositClass('quarter-monthly', 'Quarter-monthly', afterQuarterMonth(3))],
  ),
  withQuarterlyReport('RI-SUI', CALENDAR, 'Rhode Island Department of Labor and Training'),
];
