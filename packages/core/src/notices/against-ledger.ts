import { showShortDate, type LocalDate } from '../calendar/local-date.js';
import { negate, subtract, sum, type Cents } from '../money/cents.js';

export interface PeriodLiability {
  readonly label: string;
  readonly amount: Cents;
}
export interface PeriodPayment {
  readonly label: string;
  /** The day it settled. */
  readonly day: LocalDate;
  readonly confirmation: string | null;
  readonly amount: Cents;
}
export interface AgainstLedger {
  readonly label: string;
  readonly detail: string;
  readonly amount: Cents;
}

/**
 * What an agency asks for a period against what the ledger has: each tax, each payment with its number, what is open, and
 * the difference from what is asked.
 * @param asked cents; null where the notice names no amount, and nothing is compared
 */
export function againstLedger(
  liabilities: readonly PeriodLiability[],
  payments: readonly PeriodPayment[],
  asked: Cents | null,
): AgainstLedger[] {
  const owed = sum(liabilities.map(({ amount }) => amount));
  const paid = sum(payments.map(({ amount }) => amount));
  const open = subtract(owed, paid);
  const lines = liabilities.map(({ label, amount }): AgainstLedger => ({ label, detail: 'of the checks', amount }));
  for (const { label, day, confirmation, amount } of payments)
    lines.push({
      label: `Paid, ${label}`,
      detail: `${showShortDate(day)}${confirmation ? `, confirmation ${confirmation}` : ''}`,
      amount: negate(amount),
    });
  lines.push({ label: 'Open by the ledger', detail: 'taxes less payments', amount: open });
  if (asked === null) return lines;
  const difference = subtract(asked, open);
  return [
    ...lines,
    { label: 'Asked by the notice', detail: '', amount: asked },
    {
      label: 'Difference',
      detail: difference === 0 ? 'the ledger says the same' : 'asked beyond what the ledger has open',
      amount: difference,
    },
  ];
}
