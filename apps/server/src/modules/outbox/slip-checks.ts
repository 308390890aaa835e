import type { SlipCheck } from '@zakat/contract/remittances';
import { isBusinessDay } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { ACH_CUTOFF, AGENCY_DEBIT_CUTOFF, earliestSettlement } from '@zakat/core/deposits/ach-days';
import { sentence, type Issue } from '@zakat/core/issues/issue';
import { showDollars, type Cents } from '@zakat/core/money/cents';
import type { Actor } from '../../database/firm-database.js';

/** Checks that stand on more than one kind of release slip. */
export const mayReleaseCheck = (actor: Actor): SlipCheck => ({
  label: 'You may release',
  isPassed: actor.role === 'reviewer' || actor.role === 'administrator',
  says: actor.role === 'preparer' ? 'A preparer cannot release; ask a reviewer.' : `You are a ${actor.role}.`,
});

/** Who has to have a file, and by when, for it to settle on the next banking day. */
export interface Hands {
  readonly whose: string;
  readonly cutoff: string;
}
export const BANK_HANDS: Hands = { whose: 'the bank', cutoff: ACH_CUTOFF };
export const AGENCY_HANDS: Hands = { whose: 'the agency', cutoff: AGENCY_DEBIT_CUTOFF };

/** What holds of every ACH file: it adds up, and the bank can meet its day. */
export function achChecks(
  file: { readonly issues: readonly Issue[]; readonly total: Cents },
  amount: Cents,
  settles: LocalDate,
  today: LocalDate,
  { whose, cutoff }: Hands = BANK_HANDS,
): SlipCheck[] {
  const earliest = earliestSettlement(today);
  return [
    {
      label: 'The file adds up',
      isPassed: file.issues.length === 0 && file.total === amount,
      says: file.issues.length > 0 ? file.issues.map(sentence).join(' ') : `File total ${showDollars(file.total)}.`,
    },
    {
      label: 'The settlement day is a banking day',
      isPassed: isBusinessDay(settles, BANKING),
      says: showDate(settles),
    },
    {
      label: `${whose.replace('t', 'T')} can still make it`,
      isPassed: settles >= earliest,
      says:
        settles >= earliest
          ? `In the hands of ${whose} by ${cutoff} today it settles ${showDate(settles)}.`
          : `The earliest settlement is ${showDate(earliest)} now. Withdraw it and plan again.`,
    },
  ];
}
