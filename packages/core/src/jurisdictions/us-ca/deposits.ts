import { HOLIDAYS } from '../../calendar/holidays.js';
import { dollars } from '../../money/cents.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('CA', 'California', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const CALIFORNIA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'CA-SIT',
    CALENDAR,
    publication('DE 44, California Employer’s Guide', 'Employment Development Department', '2026'),
    [quarterly(), monthly(15), SEMIWEEKLY],
    { nextDay: { mark: dollars('100000'), turns: { from: 'monthly', to: 'semiweekly' } } },
  ),
  withQuarterlyReport('CA-SUI', CALENDAR, 'Employment Development Department'),
];
