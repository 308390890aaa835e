import type { DepositCalendar } from '../deposit-calendar.js';
import {
  depositClass,
  lookback,
  monthly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('MT', 'Montana');

export const MONTANA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MT-SIT',
    CALENDAR,
    publication('Montana Withholding Tax Guide', 'Montana Department of Revenue', '2026'),
    [yearly(), monthly(15), depositClass('accelerated', 'Accelerated', { is: 'semiweekly' })],
    { lookback: lookback('year-to-june', ['0', 'yearly'], ['1200', 'monthly'], ['12000', 'accelerated']) },
  ),
  withQuarterlyReport('MT-SUI', CALENDAR, 'Montana Department of Labor and Industry'),
];
