import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding, yearly } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('DC', 'District of Columbia', [HOLIDAYS.emancipation]);

export const DISTRICT_OF_COLUMBIA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'DC-SIT',
    CALENDAR,
    publication('Withholding Tax Instructions, FR-900', 'Office of Tax and Revenue', '2026'),
    [yearly(), quarterly(), monthly(20)],
  ),
  withQuarterlyReport('DC-SUI', CALENDAR, 'Department of Employment Services'),
];
