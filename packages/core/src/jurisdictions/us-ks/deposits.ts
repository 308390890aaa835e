import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterHalfMonth,
  afterQuarterMonth,
  depositClass,
  lookback,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('KS', 'Kansas');

export const KANSAS_DEPOSITS: readonly DepositCalendar[] = [
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
  withQuarterlyReport('KS-SUI', CALENDAR, 'Kansas Department of Labor'),
];
