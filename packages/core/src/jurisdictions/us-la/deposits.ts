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
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('LA', 'Louisiana', [HOLIDAYS.goodFriday, HOLIDAYS.generalElection], [HOLIDAYS.columbus]);

export const LOUISIANA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'LA-SIT',
    CALENDAR,
    publication(
      'R-1201, Employer’s Quarterly Return of Louisiana Withholding Tax',
      'Louisiana Department of Revenue',
      '2026',
    ),
    [quarterly(), monthly('last'), depositClass('semimonthly', 'Semimonthly', byHalf('last', 15))],
  ),
  withQuarterlyReport('LA-SUI', CALENDAR, 'Louisiana Workforce Commission'),
];
