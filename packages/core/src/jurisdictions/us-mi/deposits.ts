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

const CALENDAR = stateHolidays(
  'MI',
  'Michigan',
  [HOLIDAYS.generalElection, HOLIDAYS.afterThanksgiving, HOLIDAYS.christmasEve],
  [HOLIDAYS.columbus],
);

export const MICHIGAN_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MI-SIT',
    CALENDAR,
    publication('Publication 446, Michigan Income Tax Withholding Guide', 'Michigan Department of Treasury', '2026'),
    [yearly(), quarterly(20), monthly(20), SEMIWEEKLY],
  ),
  withQuarterlyReport('MI-SUI', CALENDAR, 'Michigan Unemployment Insurance Agency', 25),
  withQuarterlyReport('MI-CITY', CALENDAR, 'Michigan city income tax offices'),
];
