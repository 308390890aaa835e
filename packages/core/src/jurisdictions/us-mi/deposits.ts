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

const CALENDAR = stateHolidays(
  'MI',
  'Michigan',
  [HOLIDAYS.generalElection, HOLIDAYS.afterThanksgiving, HOLIDAYS.christmasEve],
  [HOLIDAYS.columbus],
);

export const MICHIGAN_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'MI-SIT',
      CALENDAR,
      publication('Publication 446, Michigan Income Tax Withholding Guide', 'Michigan Department of Treasury', '2026'),
      [yearly(), quarterly(20), monthly(20), SEMIWEEKLY],
    ),
    recalled(publication('Revenue Act, MCL 205', 'Michigan Legislature', 'as amended'), '§ 205.24(2)'),
    lateMonthly('0.05', '0.25', { firstMonths: 2 }),
  ),
  withQuarterlyReport('MI-SUI', CALENDAR, 'Michigan Unemployment Insurance Agency', 25),
  withQuarterlyReport('MI-CITY', CALENDAR, 'Michigan city income tax offices'),
];
