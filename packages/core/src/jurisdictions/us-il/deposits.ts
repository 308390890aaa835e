import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lookback,
  monthly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('IL', 'Illinois', [HOLIDAYS.lincoln, HOLIDAYS.generalElection]);

export const ILLINOIS_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'IL-SIT',
    CALENDAR,
    publication(
      'Publication 131, Withholding Income Tax Filing and Payment Requirements',
      'Illinois Department of Revenue',
      '2026',
    ),
    [yearly(), monthly(15), SEMIWEEKLY],
    { lookback: lookback('year-to-june', ['0', 'monthly'], ['12000', 'semiweekly']) },
  ),
  withQuarterlyReport('IL-SUI', CALENDAR, 'Illinois Department of Employment Security'),
];
