import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterHalfMonth,
  depositCalendar,
  depositClass,
  lookback,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('OH', 'Ohio');

export const OHIO_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'OH-SIT',
    CALENDAR,
    publication('Employer Withholding Tax: Filing and Payment', 'Ohio Department of Taxation', '2026'),
    [quarterly(), monthly(15), depositClass('partial-weekly', 'Partial-weekly', { is: 'semiweekly' })],
    { lookback: lookback('year-to-june', ['0', 'quarterly'], ['2000', 'monthly'], ['84000', 'partial-weekly']) },
  ),
  withQuarterlyReport('OH-SUI', CALENDAR, 'Ohio Department of Job and Family Services'),
  depositCalendar(
    'OH-CITY',
    recalled(
      publication('Ohio Revised Code § 718.03', 'State of Ohio', '2025'),
      '(B): quarterly by the last day of the month after, monthly by the 15th, semimonthly by the third banking day',
      'A municipality may have its own forms; the days are those of the state’s law.',
    ),
    {
      holidays: CALENDAR,
      classes: [quarterly(), monthly(15), depositClass('semimonthly', 'Semimonthly', afterHalfMonth(3))],
    },
  ),
];
