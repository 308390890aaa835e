import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  lateTiers,
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

const CALENDAR = stateHolidays('UT', 'Utah', [{ name: 'Pioneer Day', place: { month: 7, day: 24 }, from: 1900 }]);

export const UTAH_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'UT-SIT',
      CALENDAR,
      publication('Publication 14, Withholding Tax Guide', 'Utah State Tax Commission', '2026'),
      [yearly(), quarterly(), monthly('last')],
      { lookback: lookback('year-before', ['0', 'quarterly'], ['12000', 'monthly']) },
    ),
    recalled(publication('Utah Code', 'Utah Legislature', 'as amended'), '§ 59-1-401(3)'),
    lateTiers(
      [
        [0, '0.02'],
        [5, '0.05'],
        [15, '0.10'],
      ],
      '20.00',
    ),
  ),
  withQuarterlyReport('UT-SUI', CALENDAR, 'Utah Department of Workforce Services'),
];
