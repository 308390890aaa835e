import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('AL', 'Alabama');

export const ALABAMA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'AL-SIT',
    CALENDAR,
    publication(
      'Withholding Tax Tables and Instructions for Employers and Withholding Agents',
      'Alabama Department of Revenue',
      '2026',
    ),
    [quarterly(), monthly(15, { endsQuarter: 'last' })],
  ),
  withQuarterlyReport('AL-SUI', CALENDAR, 'Alabama Department of Workforce'),
];
