import { dollars } from '../../money/cents.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('OR', 'Oregon');

export const OREGON_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'OR-SIT',
    CALENDAR,
    publication('150-211-602, Oregon Employer’s Guide', 'Oregon Department of Revenue', '2026'),
    [quarterly(), monthly(15), SEMIWEEKLY],
    { nextDay: { mark: dollars('100000'), turns: { from: 'monthly', to: 'semiweekly' } } },
  ),
  withQuarterlyReport('OR-SUI', CALENDAR, 'Oregon Employment Department'),
  withQuarterlyReport('OR-PORTLAND', CALENDAR, 'City of Portland Revenue Division'),
];
