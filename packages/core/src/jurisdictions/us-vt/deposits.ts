import type { DepositCalendar } from '../deposit-calendar.js';
import {
  SEMIWEEKLY,
  lookback,
  monthly,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  withholding,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

const CALENDAR = stateHolidays('VT', 'Vermont', [
  { name: 'Town Meeting Day', place: { month: 3, weekday: 2, nth: 1 }, from: 1900 },
  { name: 'Bennington Battle Day', place: { month: 8, day: 16 }, from: 1900 },
]);

export const VERMONT_DEPOSITS: readonly DepositCalendar[] = [
  withholding(
    'VT-SIT',
    CALENDAR,
    publication('GB-1210, Income Tax Withholding Instructions', 'Vermont Department of Taxes', '2026'),
    [quarterly(25), monthly(25), SEMIWEEKLY],
    { lookback: lookback('year-to-june', ['0', 'quarterly'], ['2500', 'monthly'], ['9000', 'semiweekly']) },
  ),
  withQuarterlyReport('VT-SUI', CALENDAR, 'Vermont Department of Labor'),
];
