import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterHalfMonth,
  afterQuarterMonth,
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

const CALENDAR = stateHolidays('KS', 'Kansas');

export const KANSAS_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'KS-SIT',
      CALENDAR,
      publication('KW-100, Kansas Withholding Tax Guide', 'Kansas Department of Revenue', '2026'),
      [
        yearly(),
        quarterly(25),
        monthly(15),
        depositClass('semimonthly', 'Semimonthly', afterHalfMonth(10, 'calendar')),
        depositClass('quad-monthly', 'Quad-monthly', afterQuarterMonth(3)),
      ],
      {
        lookback: lookback(
          'year-before',
          ['0', 'yearly'],
          ['200', 'quarterly'],
          ['1200', 'monthly'],
          ['8000', 'semimonthly'],
          ['100000', 'quad-monthly'],
        ),
      },
    ),
    recalled(publication('Kansas Statutes', 'Kansas Legislature', 'as amended'), 'K.S.A. 79-32,107, 79-3228'),
    lateMonthly('0.01', '0.24'),
  ),
  withQuarterlyReport('KS-SUI', CALENDAR, 'Kansas Department of Labor'),
];
