import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterMonth,
  afterQuarter,
  afterWeek,
  depositCalendar,
  depositClass,
  lateTiers,
  penalized,
  stateHolidays,
  withQuarterlyReport,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

/** N.J.S.A. 36:1-1 and 36:1-1.2: Good Friday and the day of a general election besides the federal ones. */
const CALENDAR = stateHolidays('NJ', 'New Jersey', [HOLIDAYS.goodFriday, HOLIDAYS.generalElection]);

export const NEW_JERSEY_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    depositCalendar(
      'NJ-SIT',
      recalled(
        publication('NJ-WT, New Jersey Income Tax Withholding Instructions', 'New Jersey Division of Taxation', '2026'),
        'Forms NJ-500, NJ-927 and NJ-927-W: the 15th of the month after, a quarter’s last month with the return on the 30th; weekly payers (10,000 or more in the prior year) by the Wednesday of the week after',
        'The Division assigns the weekly payers; a month with less than 500 may wait for the quarterly return.',
      ),
      {
        holidays: CALENDAR,
        classes: [
          depositClass('quarterly', 'Quarterly, with Form NJ-927', afterQuarter(30)),
          depositClass('monthly', 'Monthly, with Form NJ-500', afterMonth(15, { endsQuarter: 30 })),
          depositClass('weekly', 'Weekly, with Form NJ-927-W', afterWeek(3)),
        ],
      },
    ),
    recalled(
      publication('State Uniform Tax Procedure Law, N.J.S.A. 54:49', 'New Jersey Legislature', 'as amended'),
      '§ 54:49-4, late payment',
    ),
    lateTiers([[0, '0.05']]),
  ),
  withQuarterlyReport('NJ-SUI', CALENDAR, 'New Jersey Department of Labor and Workforce Development', 30),
  withQuarterlyReport('NJ-CITY', CALENDAR, 'New Jersey city finance departments', 30),
];
