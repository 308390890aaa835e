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
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('MN', 'Minnesota', [HOLIDAYS.afterThanksgiving]);

export const MINNESOTA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'MN-SIT',
      CALENDAR,
      publication('Minnesota Income Tax Withholding Instruction Booklet', 'Minnesota Department of Revenue', '2026'),
      [yearly(), quarterly(), monthly(15), SEMIWEEKLY],
    ),
    recalled(publication('Minnesota Statutes', 'Minnesota Legislature', 'as amended'), '§ 289A.60, subdivision 1'),
    lateMonthly('0.05', '0.15', { counted: '30 days' }),
  ),
  withQuarterlyReport('MN-SUI', CALENDAR, 'Minnesota Department of Employment and Economic Development'),
];
