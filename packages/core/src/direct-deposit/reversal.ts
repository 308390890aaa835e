import { addBusinessDays } from '../calendar/business-days.js';
import { BANKING } from '../calendar/holidays.js';
import type { LocalDate } from '../calendar/local-date.js';

/** Banking days after the settlement within which a reversing entry is sent (Nacha Operating Rules, 2.9; recalled). */
const REVERSAL_DAYS = 5;

/** The last day on which the bank takes an entry that reverses one that settled, or settles, on a day. */
export const reversibleUntil = (settles: LocalDate): LocalDate => addBusinessDays(settles, REVERSAL_DAYS, BANKING);
