import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  afterWeek,
  depositClass,
  lateTiers,
  lookback,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('CT', 'Connecticut', [HOLIDAYS.lincoln, HOLIDAYS.goodFriday]);

export const CONNECTICUT_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'CT-SIT',
      CALENDAR,
      publication(
        'Informational Publication 2026(1), Connecticut Employer’s Tax Guide, Circular CT',
        'Connecticut Department of Revenue Services',
        '2026',
      ),
      [quarterly(), monthly(15), depositClass('weekly', 'Weekly', afterWeek(3))],
      { lookback: lookback('year-to-june', ['0', 'quarterly'], ['2000', 'monthly'], ['10000', 'weekly']) },
    ),
    recalled(
      publication('Connecticut General Statutes', 'Connecticut Legislature', 'as amended'),
      '§ 12-707, § 12-735',
    ),
    lateTiers([[0, '0.10']]),
  ),
  withQuarterlyReport('CT-SUI', CALENDAR, 'Connecticut Department of Labor'),
  withQuarterlyReport('CT-PFL', CALENDAR, 'Connecticut Paid Leave Authority'),
];
