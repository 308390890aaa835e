import { HOLIDAYS } from '../../calendar/holidays.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
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

const CALENDAR = stateHolidays('MO', 'Missouri', [
  HOLIDAYS.lincoln,
  { name: 'Truman Day', place: { month: 5, day: 8 }, from: 1967 },
]);

export const MISSOURI_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'MO-SIT',
    CALENDAR,
    publication('Form 4282, Employer’s Tax Guide', 'Missouri Department of Revenue', '2026'),
    [
      yearly(),
      quarterly(),
      monthly(15, { endsQuarter: 'last' }),
      depositClass('quarter-monthly', 'Quarter-monthly', afterQuarterMonth(3)),
    ],
    {
      lookback: lookback(
        'year-before',
        ['0', 'yearly'],
        ['100', 'quarterly'],
        ['6000', 'monthly'],
        ['108000', 'quarter-monthly'],
      ),
    },
  ),
  withQuarterlyReport('MO-SUI', CALENDAR, 'Missouri Division of Employment Security'),
  withQuarterlyReport('MO-CITY', CALENDAR, 'Missouri city revenue offices'),
];
