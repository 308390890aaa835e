import type { DepositCalendar } from '../deposit-calendar.js';
import { monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('MS', 'Mississippi');

export const MISSISSIPPI_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MS-SIT',
    CALENDAR,
    publication(
      'Pub 89-700, Withholding Income Tax Tables and Instructions for Employers',
      'Mississippi Department of Revenue',
      '2026',
    ),
    [quarterly(15), monthly(15)],
  ),
  withQuarterlyReport('MS-SUI', CALENDAR, 'Mississippi Department of Employment Security'),
];
