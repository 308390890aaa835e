import type { LocalDate } from '../calendar/local-date.js';
import type { Cents } from '../money/cents.js';
import type { TaxCode } from '../tax-registry/registry.js';

/**
 * What caused a ledger line. A `reversal` undoes another line; a `return` owes what only the return knows (lost credits,
 * fractions of cents). Nothing is ever changed.
 */
export type LedgerCause = 'payroll' | 'payment' | 'payment-returned' | 'reversal' | 'return';

export const LIABILITY_CAUSES: readonly LedgerCause[] = ['payroll', 'reversal', 'return'];
export const PAYMENT_CAUSES: readonly LedgerCause[] = ['payment', 'payment-returned'];

/** A line of the tax ledger as returns and the tie-out read it. Payments are negative: they lower what is owed. */
export interface LedgerEntry {
  readonly employeeId: string | null;
  readonly tax: TaxCode;
  readonly cause: LedgerCause;
  readonly liabilityDate: LocalDate;
  /** The day the line counts from: the check date, or the day a payment settled. */
  readonly effectiveDate: LocalDate;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
}

export const isLiability = (entry: LedgerEntry): boolean => LIABILITY_CAUSES.includes(entry.cause);
export const isPayment = (entry: LedgerEntry): boolean => PAYMENT_CAUSES.includes(entry.cause);
