import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterCheck,
  depositClass,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('MD', 'Maryland', [HOLIDAYS.generalElection, HOLIDAYS.afterThanksgiving]);

export const MARYLAND_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MD-SIT',
    CALENDAR,
    publication('Maryland Employer Withholding Guide', 'Comptroller of Maryland', '2026'),
    [yearly(), quarterly(15), monthly(15), depositClass('accelerated', 'Accelerated', afterCheck(3))],
  ),
  withQuarterlyReport('MD-SUI', CALENDAR, 'Maryland Department of Labor'),
];
