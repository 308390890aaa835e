import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
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

const CALENDAR = stateHolidays('MA', 'Massachusetts', [
  { name: 'Patriots’ Day', place: { month: 4, weekday: 1, nth: 3 }, from: 1969 },
]);

export const MASSACHUSETTS_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'MA-SIT',
      CALENDAR,
      publication('Circular M, Massachusetts Income Tax Withholding', 'Massachusetts Department of Revenue', '2026'),
      [
        yearly(),
        quarterly(),
        monthly(15, { endsQuarter: 'last' }),
        depositClass('weekly', 'Weekly', afterQuarterMonth(3)),
      ],
      {
        lookback: lookback(
          'year-before',
          ['0', 'yearly'],
          ['100', 'quarterly'],
          ['1200', 'monthly'],
          ['25000', 'weekly'],
        ),
      },
    ),
    recalled(publication('General Laws, chapter 62C', 'Massachusetts Legislature', 'as amended'), '§ 33(b)'),
    lateMonthly('0.01', '0.25'),
  ),
  withQuarterlyReport('MA-SUI', CALENDAR, 'Department of Unemployment Assistance'),
];
