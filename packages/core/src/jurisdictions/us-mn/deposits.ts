import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('MN', 'Minnesota', [HOLIDAYS.afterThanksgiving]);

export const MINNESOTA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MN-SIT',
    CALENDAR,
    publication('Minnesota Income Tax Withholding Instruction Booklet', 'Minnesota Department of Revenue', '2026'),
    [yearly(), quarterly(), monthly(15), SEMIWEEKLY],
  ),
  withQuarterlyReport('MN-SUI', CALENDAR, 'Minnesota Department of Employment and Economic Development'),
];
