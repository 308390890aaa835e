import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterMonthEnd,
  depositClass,
  lateTiers,
  monthly,
  penalized,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('IN', 'Indiana', [HOLIDAYS.goodFriday, HOLIDAYS.generalElection]);

export const INDIANA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'IN-SIT',
      CALENDAR,
      publication('Departmental Notice #1, How to Compute Withholding', 'Indiana Department of Revenue', '2026'),
      [yearly(), monthly(20), depositClass('later-monthly', 'Monthly, 30 days', afterMonthEnd(30))],
    ),
    recalled(publication('Indiana Code', 'Indiana Legislature', 'as amended'), '§ 6-8.1-10-2.1'),
    lateTiers([[0, '0.10']], '5.00'),
  ),
  withQuarterlyReport('IN-SUI', CALENDAR, 'Indiana Department of Workforce Development'),
];
