import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterEighthMonth,
  depositClass,
  lookback,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'DE',
  'Delaware',
  [HOLIDAYS.goodFriday, HOLIDAYS.generalElection, HOLIDAYS.afterThanksgiving],
  [HOLIDAYS.washington, HOLIDAYS.columbus],
);

export const DELAWARE_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'DE-SIT',
    CALENDAR,
    publication('Delaware Withholding Regulations and Employer’s Duties', 'Delaware Division of Revenue', '2026'),
    [quarterly(), monthly(15), depositClass('eighth-monthly', 'Eighth-monthly', afterEighthMonth(3))],
    { lookback: lookback('year-to-june', ['0', 'quarterly'], ['3600', 'monthly'], ['20000', 'eighth-monthly']) },
  ),
  withQuarterlyReport('DE-SUI', CALENDAR, 'Delaware Department of Labor'),
];
