import { recalled } from '../dated.js';
import type { DepositCalendar } from '../deposit-calendar.js';
import {
  lateMonthly,
  monthly,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('NM', 'New Mexico');

export const NEW_MEXICO_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    withholding(
      'NM-SIT',
      CALENDAR,
      publication('FYI-104, New Mexico Withholding Tax', 'New Mexico Taxation and Revenue Department', '2026'),
      [quarterly(25), monthly(25)],
    ),
    recalled(publication('New Mexico Statutes', 'New Mexico Legislature', 'as amended'), '§ 7-1-69(A)'),
    lateMonthly('0.02', '0.20', { least: '5.00' }),
  ),
  withQuarterlyReport('NM-SUI', CALENDAR, 'New Mexico Department of Workforce Solutions'),
  withQuarterlyReport('NM-WC', CALENDAR, 'New Mexico Taxation and Revenue Department, workers’ compensation fee'),
];
