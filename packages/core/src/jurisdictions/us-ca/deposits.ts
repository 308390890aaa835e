import { HOLIDAYS } from '../../calendar/holidays.js';
import { dollars } from '../../money/cents.js';
import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lateTiers,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('CA', 'California', [HOLIDAYS.afterThanksgiving], [HOLIDAYS.columbus]);

export const CALIFORNIA_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'CA-SIT',
      CALENDAR,
      publication('DE 44, California Employer’s Guide', 'Employment Development Department', '2026'),
      [quarterly(), monthly(15), SEMIWEEKLY],
      { nextDay: { mark: dollars('100000'), turns: { from: 'monthly', to: 'semiweekly' } } },
    ),
    recalled(
      publication('Unemployment Insurance Code', 'California Legislature', 'as amended'),
      '§ 1112(a)',
      'Of what is paid late.',
    ),
    lateTiers([[0, '0.15']]),
  ),
  withQuarterlyReport('CA-SUI', CALENDAR, 'Employment Development Department'),
];
