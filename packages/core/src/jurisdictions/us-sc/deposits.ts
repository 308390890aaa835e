import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lateMonthly,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('SC', 'South Carolina', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const SOUTH_CAROLINA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'SC-SIT',
      CALENDAR,
      publication(
        'WH-105, South Carolina Withholding Information Guide',
        'South Carolina Department of Revenue',
        '2026',
      ),
      [quarterly(), monthly(15), SEMIWEEKLY],
    ),
    recalled(publication('South Carolina Code of Laws', 'South Carolina Legislature', 'as amended'), '§ 12-54-43(D)'),
    lateMonthly('0.005', '0.25'),
  ),
  withQuarterlyReport('SC-SUI', CALENDAR, 'South Carolina Department of Employment and Workforce'),
];
