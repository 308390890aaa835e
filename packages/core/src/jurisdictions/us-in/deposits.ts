import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterMonthEnd,
  depositClass,
  monthly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('IN', 'Indiana', [HOLIDAYS.goodFriday, HOLIDAYS.generalElection]);

export const INDIANA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'IN-SIT',
    CALENDAR,
    publication('Departmental Notice #1, How to Compute Withholding', 'Indiana Department of Revenue', '2026'),
    [yearly(), monthly(20), depositClass('later-monthly', 'Monthly, 30 days', afterMonthEnd(30))],
  ),
  withQuarterlyReport('IN-SUI', CALENDAR, 'Indiana Department of Workforce Development'),
];
