import { ZERO, add, cents, notBelowZero, smaller, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import type { Rate } from '../money/rate.js';
import type { PrenoteStanding } from './prenote.js';

/** An account that receives pay, in the order in which the person named them. */
export interface PayAccount {
  readonly label: string;
  readonly share:
    | { readonly is: 'amount'; readonly amount: Cents }
    | { readonly is: 'percent'; readonly percent: Rate }
    | { readonly is: 'rest' };
  readonly prenote: PrenoteStanding;
}
export interface NetSplit {
  /** One line an account, in their order; what an account that is not ready would receive is in `check` instead. */
  readonly deposits: readonly { readonly label: string; readonly amount: Cents; readonly isReady: boolean }[];
  /** Paid by check. The deposits to ready accounts and this add up to the net pay. */
  readonly check: Cents;
}

const READY: ReadonlySet<PrenoteStanding> = new Set(['confirmed', 'waived']);

/**
 * Net pay over the accounts of a person, in cents: amounts first, as far as the pay goes, then percentages of the whole
 * net (half a cent up), then what is left. An account whose prenote is not through gets no money: its part is paid by
 * check (Nacha Operating Rules, prenotification; common practice for what becomes of the part).
 */
export function splitNet(net: Cents, accounts: readonly PayAccount[]): NetSplit {
  let left = notBelowZero(net);
  const amounts = new Map<PayAccount, Cents>();
  const give = (account: PayAccount, wanted: Cents): void => {
    const amount = smaller(wanted, left);
    amounts.set(account, amount);
    left = subtract(left, amount);
  };
  for (const account of accounts) if (account.share.is === 'amount') give(account, account.share.amount);
  for (const account of accounts)
    if (account.share.is === 'percent')
      give(account, round(times(notBelowZero(net), account.share.percent), 'half-up'));
  for (const account of accounts) if (account.share.is === 'rest') give(account, left);
  let check = left;
  const deposits = accounts.map((account) => {
    const amount = amounts.get(account) ?? ZERO;
    const isReady = READY.has(account.prenote);
    if (!isReady) check = add(check, amount);
    return { label: account.label, amount, isReady };
  });
  return { deposits, check: cents(check) };
}
