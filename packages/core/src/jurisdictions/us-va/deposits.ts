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

const CALENDAR = stateHolidays('VA', 'Virginia');

export const VIRGINIA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'VA-SIT',
      CALENDAR,
      publication('Income Tax Withholding Guide for Employers', 'Virginia Department of Taxation', '2026'),
      [quarterly(), monthly(25), SEMIWEEKLY],
    ),
    recalled(publication('Code of Virginia', 'Virginia Legislature', 'as amended'), '§ 58.1-475'),
    lateMonthly('0.06', '0.30', { least: '10.00' }),
  ),
  withQuarterlyReport('VA-SUI', CALENDAR, 'Virginia Employment Commission'),
];
