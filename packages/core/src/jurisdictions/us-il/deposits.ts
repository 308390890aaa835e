import { HOLIDAYS } from '../../calendar/holidays.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lateTiers,
  lookback,
  monthly,
  penalized,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('IL', 'Illinois', [HOLIDAYS.lincoln, HOLIDAYS.generalElection]);

export const ILLINOIS_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'IL-SIT',
      CALENDAR,
      publication(
        'Publication 131, Withholding Income Tax Filing and Payment Requirements',
        'Illinois Department of Revenue',
        '2026',
      ),
      [yearly(), monthly(15), SEMIWEEKLY],
      { lookback: lookback('year-to-june', ['0', 'monthly'], ['12000', 'semiweekly']) },
    ),
    recalled(
      publication(
        'Uniform Penalty and Interest Act, 35 ILCS 735',
        'Illinois General Assembly (legislature)',
        'as amended',
      ),
      '§ 3-3(b-20)',
    ),
    lateTiers([
      [0, '0.02'],
      [30, '0.10'],
    ]),
  ),
  withQuarterlyReport('IL-SUI', CALENDAR, 'Illinois Department of Employment Security'),
];
