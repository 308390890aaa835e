import { dollars } from '../../money/cents.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('GA', 'Georgia');

export const GEORGIA_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'GA-SIT',
    CALENDAR,
    publication('Employer’s Tax Guide', 'Georgia Department of Revenue', '2026'),
    [yearly(), quarterly(), monthly(15), SEMIWEEKLY],
    { nextDay: { mark: dollars('100000'), turns: { from: 'monthly', to: 'semiweekly' } } },
  ),
  withQuarterlyReport('GA-SUI', CALENDAR, 'Georgia Department of Labor'),
];
