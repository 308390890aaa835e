import { addBusinessDays, onOrBefore } from '../calendar/business-days.js';
import { BANKING } from '../calendar/holidays.js';
import type { LocalDate } from '../calendar/local-date.js';

/** Banking hour, Eastern time, by which an ACH file must be with the bank to settle the next banking day. Common practice. */
export const ACH_CUTOFF = '5 p.m. ET';

/** Hour by which an agency takes debit instructions for the next banking day (EFTPS: 8 p.m. Eastern the day before; recalled). */
export const AGENCY_DEBIT_CUTOFF = '8 p.m. ET';

/**
 * The last safe day to release an ACH credit that must settle by `due`: it settles on the last banking day not after the
 * due date, and is sent one banking day, and the firm's own cushion, before that.
 */
export function achSendBy(due: LocalDate, cushionDays: number): { settles: LocalDate; sendBy: LocalDate } {
  const settles = onOrBefore(due, BANKING);
  return { settles, sendBy: addBusinessDays(settles, -(1 + cushionDays), BANKING) };
}

/** The first day an ACH credit released on `today` can settle. */
export const earliestSettlement = (today: LocalDate): LocalDate => addBusinessDays(today, 1, BANKING);
