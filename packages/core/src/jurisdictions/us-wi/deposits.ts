import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  byHalf,
  depositClass,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'WI',
  'Wisconsin',
  [HOLIDAYS.christmasEve],
  [HOLIDAYS.washington, HOLIDAYS.columbus, HOLIDAYS.veterans],
);

export const WISCONSIN_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'WI-SIT',
    CALENDAR,
    publication('Publication W-166, Withholding Tax Guide', 'Wisconsin Department of Revenue', '2026'),
    [yearly(), quarterly(), monthly('last'), depositClass('semimonthly', 'Semimonthly', byHalf('last', 15))],
  ),
  withQuarterlyReport('WI-SUI', CALENDAR, 'Wisconsin Department of Workforce Development'),
];
