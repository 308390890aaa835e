import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lateMonthly,
  lookbackFrom,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('ME', 'Maine', [
  { name: 'Patriots’ Day', place: { month: 4, weekday: 1, nth: 3 }, from: 1969 },
]);

export const MAINE_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'ME-SIT',
      CALENDAR,
      publication('Withholding Tables for Individual Income Tax', 'Maine Revenue Services', '2026'),
      [quarterly(), SEMIWEEKLY],
      { lookback: lookbackFrom('year-to-june', ['0', 'quarterly'], ['18000', 'semiweekly']) },
    ),
    recalled(publication('Maine Revised Statutes, title 36', 'Maine Legislature', 'as amended'), '§ 187-B(2)'),
    lateMonthly('0.01', '0.25'),
  ),
  withQuarterlyReport('ME-SUI', CALENDAR, 'Maine Department of Labor'),
];
