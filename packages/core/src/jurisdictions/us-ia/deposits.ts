import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('IA', 'Iowa');

export const IOWA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'IA-SIT',
    CALENDAR,
    publication('Iowa Withholding Tax Information', 'Iowa Department of Revenue', '2026'),
    [yearly(), quarterly(), monthly(15)],
  ),
  withQuarterlyReport('IA-SUI', CALENDAR, 'Iowa Workforce Development'),
];
