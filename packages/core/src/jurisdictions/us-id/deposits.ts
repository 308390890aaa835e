import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterHalfMonth,
  depositClass,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('ID', 'Idaho');

export const IDAHO_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'ID-SIT',
    CALENDAR,
    publication('A Guide to Idaho Income Tax Withholding', 'Idaho State Tax Commission', '2026'),
    [yearly(), quarterly(), monthly(20), depositClass('semimonthly', 'Semimonthly', afterHalfMonth(5, 'calendar'))],
  ),
  withQuarterlyReport('ID-SUI', CALENDAR, 'Idaho Department of Labor'),
];
