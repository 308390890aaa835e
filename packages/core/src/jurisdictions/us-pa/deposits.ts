import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  NOT_COMPARED,
  SEMIWEEKLY,
  afterHalfMonth,
  afterMonthEnd,
  afterWeek,
  depositCalendar,
  depositClass,
  lateMonthly,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('PA', 'Pennsylvania', [HOLIDAYS.afterThanksgiving]);

export const PENNSYLVANIA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    depositCalendar(
      'PA-SIT',
      recalled(
        publication('REV-415, Employer Withholding Information Guide', 'Pennsylvania Department of Revenue', '2026'),
        'filing frequencies: under 300 a quarter quarterly, under 1,000 monthly, under 5,000 semimonthly, else semiweekly',
        'The Department assigns the frequency and says when it changes.',
      ),
      {
        holidays: CALENDAR,
        classes: [
          quarterly(),
          monthly(15, { endsYear: 'last' }),
          depositClass('semimonthly', 'Semimonthly', afterHalfMonth(3)),
          SEMIWEEKLY,
        ],
      },
    ),
    recalled(
      publication('Tax Reform Code of 1971, 72 P.S.', 'Pennsylvania Legislature', 'as amended'),
      '§ 7352(b), employers',
    ),
    lateMonthly('0.05', '0.50'),
  ),
  withQuarterlyReport('PA-SUI', CALENDAR, 'Pennsylvania Department of Labor and Industry'),
  depositCalendar(
    'PA-LOCAL',
    recalled(
      publication('Act 32 of 2008, 53 P.S. § 6924.512', 'Commonwealth of Pennsylvania', '2008'),
      'within 30 days after the quarter; by the month for employers of several places who file with one collector',
      NOT_COMPARED,
    ),
    { holidays: CALENDAR, classes: [quarterly(30), depositClass('monthly', 'Monthly', afterMonthEnd(30))] },
  ),
  depositCalendar(
    'PA-PHL',
    recalled(
      publication('Wage Tax (employers), due dates', 'City of Philadelphia Department of Revenue', '2026'),
      'by the tax of a month: weekly from 16,000, monthly from 350, else quarterly',
      'The Department assigns the frequency. The day of weekly filers is recalled least surely.',
    ),
    { holidays: CALENDAR, classes: [quarterly(), monthly(15), depositClass('weekly', 'Weekly', afterWeek(3))] },
  ),
];
