import { addDays, dayOf, daysBetween, endOfMonth, type LocalDate } from '../../calendar/local-date.js';
import type { PayFrequency } from '../../calendar/pay-frequency.js';

/** How often is paid, by the days of a pay period; null where they fit no usual one. */
export function frequencyOf(start: LocalDate, end: LocalDate): PayFrequency | null {
  const days = daysBetween(start, end) + 1;
  const isMonthEnd = endOfMonth(end) === end;
  if (days === 1) return 'daily';
  if (days === 7) return 'weekly';
  if ((dayOf(start) === 1 && dayOf(end) === 15) || (dayOf(start) === 16 && isMonthEnd && days < 17))
    return 'semimonthly';
  if (days === 14) return 'biweekly';
  if (dayOf(start) === 1 && isMonthEnd && days <= 31) return 'monthly';
  // A month from any day to the day before it in the next.
  if (days >= 28 && days <= 31 && dayOf(addDays(end, 1)) === dayOf(start)) return 'monthly';
  return null;
}
