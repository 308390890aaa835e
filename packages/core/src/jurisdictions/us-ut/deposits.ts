import type { DepositCalendar } from '../deposit-calendar.js';
import {
  lookback,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('UT', 'Utah', [{ name: 'Pioneer Day', place: { month: 7, day: 24 }, from: 1900 }]);

export const UTAH_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'UT-SIT',
    CALENDAR,
    publication('Publication 14, Withholding Tax Guide', 'Utah State Tax Commission', '2026'),
    [yearly(), quarterly(), monthly('last')],
    { lookback: lookback('year-before', ['0', 'quarterly'], ['12000', 'monthly']) },
  ),
  withQuarterlyReport('UT-SUI', CALENDAR, 'Utah Department of Workforce Services'),
];
