import { isBusinessDay, onOrAfter } from '../calendar/business-days.js';
import { BANKING } from '../calendar/holidays.js';
import { daysBetween, type LocalDate } from '../calendar/local-date.js';
import { earliestSettlement } from '../deposits/ach-days.js';
import type { DepositFamily } from '../deposits/family.js';
import { ZERO, type Cents } from '../money/cents.js';
import { lateEstimate } from './late-estimate.js';

/** One way to make a deposit that ACH can no longer make in time. */
export interface LateWay {
  readonly label: string;
  readonly settles: LocalDate;
  readonly daysLate: number;
  readonly penalty: Cents;
  /** The tier that it falls into, with its source; blank in time. */
  readonly rule: string;
  readonly how: string;
}

/**
 * The ways that are left, the cheapest first; of two that cost the same the one without a bank's fee. Of a state's deposit
 * only ACH is known here: whether the agency takes a wire, it says itself. The wire is the Federal Tax Collection Service's (IRS, "Same-day wire federal tax payments"; recalled): it lands on the banking day on
 * which the bank takes it, before the bank's own cutoff.
 */
export function lateWays(family: DepositFamily, amount: Cents, due: LocalDate, today: LocalDate): LateWay[] {
  const way = (label: string, settles: LocalDate, how: string): LateWay => {
    const late = lateEstimate(family, amount, due, settles);
    return {
      label,
      settles,
      daysLate: Math.max(0, daysBetween(due, settles)),
      penalty: late?.penalty ?? ZERO,
      rule: late?.rule ?? '',
      how,
    };
  };
  const ach = way('ACH credit', earliestSettlement(today), 'Scheduled and released here before the cutoff.');
  if (family.agency !== 'IRS') return [ach];
  const wireDay = isBusinessDay(today, BANKING) ? today : onOrAfter(today, BANKING);
  const wire = way(
    'Same-day wire',
    wireDay,
    'By the client’s bank, with the same-day taxpayer worksheet of the IRS, before the bank’s own cutoff; the bank asks a fee. Record it here with its number.',
  );
  return wire.penalty < ach.penalty ? [wire, ach] : [ach, wire];
}

/** What may take a penalty for a late deposit away again, with what it needs. */
export interface Relief {
  readonly label: string;
  readonly needs: string;
  readonly source: string;
}
/** Federal relief, as recalled; none of it is decided here. */
export const DEPOSIT_RELIEF: readonly Relief[] = [
  {
    label: 'First-time abatement',
    needs:
      'No penalty in the three years before (for deposits: not abated in that time), every return filed, and what is owed paid or being paid. Asked for by telephone, in writing, or on Form 843.',
    source: 'Internal Revenue Manual 20.1.1.3.3.2.1; recalled',
  },
  {
    label: 'First-time depositor',
    needs:
      'The failure was inadvertent, the return was filed in time, and it was the first quarter in which deposits were required, or the first deposit after the frequency changed.',
    source: '26 U.S.C. § 6656(c); recalled',
  },
  {
    label: 'Reasonable cause',
    needs: 'Ordinary care, and what stood in its way, with papers that show it. In writing or on Form 843.',
    source: '26 U.S.C. § 6656(a); recalled',
  },
];
