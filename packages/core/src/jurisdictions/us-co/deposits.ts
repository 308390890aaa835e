import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterWeek,
  depositCalendar,
  depositClass,
  lateMonthly,
  lookback,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('CO', 'Colorado');

export const COLORADO_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'CO-SIT',
      CALENDAR,
      publication('Colorado Wage Withholding Tax Guide', 'Colorado Department of Revenue', '2026'),
      [quarterly(), monthly(15), depositClass('weekly', 'Weekly', afterWeek(3))],
      { lookback: lookback('year-to-june', ['0', 'quarterly'], ['7000', 'monthly'], ['50000', 'weekly']) },
    ),
    recalled(
      publication('Colorado Revised Statutes', 'Colorado Legislature', 'as amended'),
      '§ 39-22-604(7), § 39-22-621(2)',
    ),
    lateMonthly('0.005', '0.12', { first: '0.055', least: '5.00' }),
  ),
  withQuarterlyReport('CO-SUI', CALENDAR, 'Colorado Department of Labor and Employment'),
  withQuarterlyReport('CO-FAMLI', CALENDAR, 'Colorado FAMLI Division'),
  depositCalendar(
    'CO-CITY',
    recalled(
      publication('Occupational privilege tax', 'City and County of Denver', '2025'),
      'with the return, by the last day of the month after the month or the quarter',
      'Aurora and Greenwood Village are taken to have the same days.',
    ),
    { holidays: CALENDAR, classes: [quarterly(), monthly('last')] },
  ),
];
