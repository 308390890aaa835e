import { addBusinessDays } from '../calendar/business-days.js';
import { BANKING } from '../calendar/holidays.js';
import type { LocalDate } from '../calendar/local-date.js';

/** Where the prenotification of an account stands: a zero entry that shows whether the bank knows the account. */
export const PRENOTE_STANDINGS = ['wanted', 'sent', 'confirmed', 'waived', 'returned'] as const;
export type PrenoteStanding = (typeof PRENOTE_STANDINGS)[number];

/** The last entry that was sent to an account. */
export interface SentEntry {
  readonly settles: LocalDate;
  readonly isReturned: boolean;
}

/** Banking days after settlement in which the receiving bank answers a prenote (Nacha Operating Rules; recalled). */
const DAYS_TO_ANSWER = 3;

/** The first day on which a prenote that has not come back counts as confirmed. */
export const prenoteConfirmed = (settles: LocalDate): LocalDate => addBusinessDays(settles, DAYS_TO_ANSWER, BANKING);

/**
 * The standing of an account on a day. `recorded` is what the person's record says: to be sent, not wanted, or confirmed
 * by other means. What came back from the bank stands before all of it, until the account is corrected.
 */
export function prenoteStanding(
  recorded: 'wanted' | 'waived' | 'confirmed',
  last: SentEntry | null,
  today: LocalDate,
): PrenoteStanding {
  if (last?.isReturned) return 'returned';
  if (recorded !== 'wanted') return recorded;
  if (!last) return 'wanted';
  return today >= prenoteConfirmed(last.settles) ? 'confirmed' : 'sent';
}
