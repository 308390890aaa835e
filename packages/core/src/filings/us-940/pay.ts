import type { LocalDate } from '../../calendar/local-date.js';
import { isLiability, isPayment, type LedgerEntry } from '../../ledger/entry.js';
import type { StateCode } from '../../jurisdictions/state.js';
import { findItem } from '../../items/registry.js';
import { cents, negate, notBelowZero, sum, type Cents } from '../../money/cents.js';
import { isStateUnemployment, taxOf, type TaxCode } from '../../tax-registry/registry.js';
import type { StateContribution, UnemploymentPay } from '../kind.js';
import { FUTA_TAX } from './form.js';

interface PaidLine {
  readonly item: string;
  readonly amount: Cents;
}
/** What a posted paycheck says about federal unemployment tax. */
export interface UnemploymentCheck {
  readonly employeeId: string;
  readonly earnings: readonly PaidLine[];
  readonly deductions: readonly PaidLine[];
  readonly taxes: readonly { readonly code: TaxCode; readonly subject: Cents; readonly wages: Cents }[];
}

/** Name of what is exempt because the work is not covered by the federal law. */
const NOT_COVERED = 'not-covered';
/** What only repays an expense, or only tells what somebody else paid, is no payment for work. */
const isPay = ({ item: code }: PaidLine): boolean => {
  const item = findItem(code);
  return !item || !(['income', 'social', 'unemployment'] as const).every((family) => item.outOf.includes(family));
};

/** Pay of one check as Form 940 adds it up, with the state whose unemployment law covered it. */
export function unemploymentPay({ employeeId, earnings, deductions, taxes }: UnemploymentCheck): UnemploymentPay {
  const pay = earnings.filter(isPay);
  const paid = sum(pay.map(({ amount }) => amount));
  const own = taxes.find(({ code }) => code === FUTA_TAX);
  const state = taxes.map(({ code }) => taxOf(code)).find(isStateUnemployment)?.jurisdiction ?? null;
  const exempt: Record<string, Cents> = {};
  // Somebody whose work is not covered has no tax at all: all of the pay is exempt.
  if (!own) exempt[NOT_COVERED] = paid;
  else
    for (const { item, amount } of [...pay, ...deductions])
      if (findItem(item)?.outOf.includes('unemployment')) exempt[item] = cents((exempt[item] ?? 0) + amount);
  return {
    employeeId,
    state: state as StateCode | null,
    paid,
    exempt,
    subject: own?.subject ?? cents(0),
    wages: own?.wages ?? cents(0),
  };
}

/** What was owed to each state for unemployment, and what of it was paid after a day. */
export function contributionsOf(entries: readonly LedgerEntry[], due: LocalDate): StateContribution[] {
  const own = entries.filter((entry) => isStateUnemployment(taxOf(entry.tax)));
  return [...new Set(own.map((entry) => entry.tax))].flatMap((tax) => {
    const { jurisdiction } = taxOf(tax);
    if (jurisdiction === 'US') return [];
    const liabilities = own.filter((entry) => entry.tax === tax && isLiability(entry));
    const late = own.filter((entry) => entry.tax === tax && isPayment(entry) && entry.effectiveDate > due);
    return [
      {
        state: jurisdiction,
        wages: sum(liabilities.map((entry) => entry.wages)),
        owed: sum(liabilities.map((entry) => entry.amount)),
        late: notBelowZero(negate(sum(late.map((entry) => entry.amount)))),
      },
    ];
  });
}
