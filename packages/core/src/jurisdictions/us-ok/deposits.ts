import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('OK', 'Oklahoma');

export const OKLAHOMA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'OK-SIT',
    CALENDAR,
    publication('Packet OW-2, Oklahoma Income Tax Withholding Tables', 'Oklahoma Tax Commission', '2026'),
    [quarterly(20), monthly(20), SEMIWEEKLY],
  ),
  withQuarterlyReport('OK-SUI', CALENDAR, 'Oklahoma Employment Security Commission'),
];
