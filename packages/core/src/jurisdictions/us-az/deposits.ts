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
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('AZ', 'Arizona');

export const ARIZONA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'AZ-SIT',
      CALENDAR,
      publication('Arizona Withholding Liability and Payment Schedule', 'Arizona Department of Revenue', '2026'),
      [quarterly(), monthly(15), SEMIWEEKLY],
    ),
    recalled(publication('Arizona Revised Statutes', 'Arizona Legislature', 'as amended'), '§ 42-1125(D)'),
    lateMonthly('0.005', '0.10'),
  ),
  withQuarterlyReport('AZ-SUI', CALENDAR, 'Arizona Department of Economic Security'),
];
