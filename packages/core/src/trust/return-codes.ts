import { addDays, type LocalDate } from '../calendar/local-date.js';

/** Why a debit came back, and whether the same debit may be sent once more. */
export interface DebitReturn {
  readonly says: string;
  readonly mayRetry: boolean;
  readonly then: string;
}

const RETRY = 'Send it once more when the money is there, or collect another way.';
const NEW_ACCOUNT = 'Ask the client for the account that may be debited and a new authorization.';
const NOT_ALLOWED = 'Nothing may be debited until the client has authorized it again in writing.';

/**
 * Return reason codes of debits (Nacha Operating Rules, Appendix Four; recalled). What may be reinitiated: insufficient
 * and uncollected funds (2.12.4.1; recalled).
 */
export const DEBIT_RETURNS: Readonly<Record<string, DebitReturn>> = {
  R01: { says: 'Insufficient funds', mayRetry: true, then: RETRY },
  R09: { says: 'Uncollected funds', mayRetry: true, then: RETRY },
  R02: { says: 'Account closed', mayRetry: false, then: NEW_ACCOUNT },
  R03: { says: 'No account, unable to locate', mayRetry: false, then: NEW_ACCOUNT },
  R04: { says: 'Invalid account number', mayRetry: false, then: NEW_ACCOUNT },
  R05: { says: 'Unauthorized debit to a consumer account', mayRetry: false, then: NOT_ALLOWED },
  R07: { says: 'Authorization revoked', mayRetry: false, then: NOT_ALLOWED },
  R08: { says: 'Payment stopped', mayRetry: false, then: NOT_ALLOWED },
  R10: { says: 'Not authorized', mayRetry: false, then: NOT_ALLOWED },
  R16: { says: 'Account frozen', mayRetry: false, then: NEW_ACCOUNT },
  R20: { says: 'Not a transaction account', mayRetry: false, then: NEW_ACCOUNT },
  R29: { says: 'Corporate customer advises not authorized', mayRetry: false, then: NOT_ALLOWED },
};
/** How often a debit may be sent once more after it came back, and for how long (2.12.4.1; recalled). */
export const MOST_RETRIES = 2;
const DAYS_TO_RETRY = 180;

/** Why a debit may not be sent once more; null where it may. A code that is not known here is asked about, not retried. */
export function retryRefusal(
  code: string,
  retries: number,
  firstSettled: LocalDate,
  today: LocalDate,
): { says: string; fix: string } | null {
  const known = DEBIT_RETURNS[code];
  if (!known)
    return { says: `What ${code} allows is not known here.`, fix: 'Ask the bank before anything is debited again.' };
  if (!known.mayRetry)
    return { says: `A debit that came back with ${code} (${known.says}) may not be sent again.`, fix: known.then };
  if (retries >= MOST_RETRIES)
    return { says: 'It was sent again twice already.', fix: 'Collect it by wire or check and write it down.' };
  if (today > addDays(firstSettled, DAYS_TO_RETRY))
    return {
      says: '180 days have gone since it was first sent.',
      fix: 'Collect it by wire or check and write it down.',
    };
  return null;
}
