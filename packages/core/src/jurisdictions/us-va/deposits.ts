import type { DepositCalendar } from '../deposit-calendar.js';
import { SEMIWEEKLY, monthly, quarterly, stateHolidays, withQuarterlyReport, withholding } from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('VA', 'Virginia');

export const VIRGINIA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'VA-SIT',
    CALENDAR,
    publication('Income Tax Withholding Guide for Employers', 'Virginia Department of Taxation', '2026'),
    [quarterly(), monthly(25), SEMIWEEKLY],
  ),
  withQuarterlyReport('VA-SUI', CALENDAR, 'Virginia Employment Commission'),
];
