import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterHalfMonth,
  depositClass,
  lateMonthly,
  lookback,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays(
  'KY',
  'Kentucky',
  [HOLIDAYS.afterThanksgiving, HOLIDAYS.christmasEve],
  [HOLIDAYS.washington, HOLIDAYS.columbus],
);

export const KENTUCKY_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'KY-SIT',
      CALENDAR,
      publication(
        '42A003, Withholding Kentucky Income Tax: Instructions for Employers',
        'Kentucky Department of Revenue',
        '2026',
      ),
      [
        yearly(),
        quarterly(),
        monthly(15, { endsYear: 'last' }),
        depositClass('twice-monthly', 'Twice monthly', afterHalfMonth(10, 'calendar')),
      ],
      {
        lookback: lookback(
          'year-before',
          ['0', 'yearly'],
          ['400', 'quarterly'],
          ['2000', 'monthly'],
          ['50000', 'twice-monthly'],
        ),
      },
    ),
    recalled(publication('Kentucky Revised Statutes', 'Kentucky Legislature', 'as amended'), 'KRS 131.180(2)'),
    lateMonthly('0.02', '0.20', { counted: '30 days', least: '10.00' }),
  ),
  withQuarterlyReport('KY-SUI', CALENDAR, 'Kentucky Office of Unemployment Insurance'),
  withQuarterlyReport('KY-LOCAL', CALENDAR, 'Kentucky local occupational tax offices'),
];
