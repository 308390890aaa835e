import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  lateMonthly,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('DC', 'District of Columbia', [HOLIDAYS.emancipation]);

export const DISTRICT_OF_COLUMBIA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'DC-SIT',
      CALENDAR,
      publication('Withholding Tax Instructions, FR-900', 'Office of Tax and Revenue', '2026'),
      [yearly(), quarterly(), monthly(20)],
    ),
    recalled(
      publication('District of Columbia Code', 'Council of the District of Columbia (code)', 'as amended'),
      '§ 47-4213',
    ),
    lateMonthly('0.05', '0.25'),
  ),
  withQuarterlyReport('DC-SUI', CALENDAR, 'Department of Employment Services'),
];
