import { addBusinessDays, onOrBefore } from '../calendar/business-days.js';
import { BANKING } from '../calendar/holidays.js';
import { showShortDate, type LocalDate } from '../calendar/local-date.js';
import { earliestSettlement } from '../deposits/ach-days.js';
import { problem, type Issue } from '../issues/issue.js';
import { add, showDollars, subtract, sum, type Cents, ZERO } from '../money/cents.js';

/** What the client has agreed to: a fact of the client, dated. */
export interface FundingTerms {
  readonly what: 'taxes' | 'taxes-and-net-pay';
  /** The last digits of the account that may be debited. */
  readonly accountTail: string;
  readonly entryClass: 'CCD' | 'PPD';
  readonly authorizedOn: LocalDate;
  readonly signedBy: string;
  /** The most that one debit may come to; null where the authorization has no limit. */
  readonly most: Cents | null;
  /** Banking days before the check date on which the debit settles. */
  readonly daysBefore: number;
  /** Banking days after settlement before what was collected may be paid out: a debit may still come back. */
  readonly holdDays: number;
}

/** What one posted payroll, or an invoice, needs and nobody has collected. Below zero after a void: less is needed next time. */
export interface FundsNeed {
  /** Null for the fees of an invoice. */
  readonly payrollId: string | null;
  readonly invoiceId: string | null;
  /** Of an invoice the day on which it is due. */
  readonly checkDate: LocalDate;
  readonly what: 'taxes' | 'net-pay' | 'fees';
  readonly amount: Cents;
}
export interface Collecting {
  readonly lines: readonly FundsNeed[];
  /** Advances of the firm that this collection pays back. */
  readonly advance: Cents;
  readonly amount: Cents;
  /** The banking day on which the debit should settle, and the first on which it still can. */
  readonly wanted: LocalDate | null;
  readonly settles: LocalDate;
  /** The first day on which it may be paid out again. */
  readonly usable: LocalDate;
  readonly issues: readonly Issue[];
}

/** The first banking day on which money that was collected on a day may be paid out. */
export const usableFrom = (settles: LocalDate, holdDays: number): LocalDate =>
  holdDays === 0 ? settles : addBusinessDays(settles, holdDays, BANKING);

/**
 * One debit for all that is open: the needs of payrolls less what voids gave back, and what the firm advanced. It settles
 * `daysBefore` banking days before the first check date that is still to come, or as soon as it can.
 */
export function collecting(
  terms: FundingTerms,
  needs: readonly FundsNeed[],
  advance: Cents,
  today: LocalDate,
): Collecting {
  const lines = needs.filter(({ amount }) => amount !== 0);
  const amount = add(sum(lines.map((line) => line.amount)), advance);
  const earliest = earliestSettlement(today);
  const first = lines
    .filter((line) => line.amount > 0 && line.what !== 'fees')
    .map(({ checkDate }) => checkDate)
    .sort()[0];
  const wanted = first === undefined ? null : addBusinessDays(onOrBefore(first, BANKING), -terms.daysBefore, BANKING);
  const settles = wanted === null || wanted < earliest ? earliest : wanted;
  const issues: Issue[] = [];
  if (terms.most !== null && amount > terms.most)
    issues.push(
      problem('funding.over-limit', 'amount', { amount: showDollars(amount), most: showDollars(terms.most) }),
    );
  if (terms.authorizedOn > today)
    issues.push(problem('funding.not-yet-authorized', 'authorizedOn', { day: showShortDate(terms.authorizedOn) }));
  return { lines, advance, amount, wanted, settles, usable: usableFrom(settles, terms.holdDays), issues };
}

/** Money of one client in the trust account. */
export interface Held {
  readonly balance: Cents;
  /** Collected, and not yet safe from coming back. */
  readonly held: readonly { readonly amount: Cents; readonly usable: LocalDate }[];
}
/** What may be paid out on a day: the balance without what could still come back. Never below zero. */
export function usableOn({ balance, held }: Held, day: LocalDate): Cents {
  const waiting = sum(held.filter(({ usable }) => usable > day).map(({ amount }) => amount));
  const left = subtract(balance, waiting);
  return left < 0 ? ZERO : left;
}
