import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('AZ', 'Arizona');

export const ARIZONA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'AZ-SIT',
    CALENDAR,
    publication('Arizona Withholding Liability and Payment Schedule', 'Arizona Department of Revenue', '2026'),
    [quarterly(), monthly(15), SEMIWEEKLY],
  ),
  withQuarterlyReport('AZ-SUI', CALENDAR, 'Arizona Department of Economic Security'),
];
