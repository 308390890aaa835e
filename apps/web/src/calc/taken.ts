import { lineKey } from '@zakat/core/casefile/compose';

/** What a check takes besides tax, in cents. */
export interface TakenBy {
  /** Deductions and orders, with their fees. */
  readonly deductions: number;
  /** Of deductions, orders and what the employer adds, by `lineKey`. */
  readonly taken: Readonly<Record<string, number>>;
}

interface Taken {
  readonly item: string;
  readonly name?: string | undefined;
  readonly amount: number;
}
interface Lines {
  readonly deductions: readonly Taken[];
  readonly employerPaid: readonly Taken[];
  readonly garnishments: readonly { readonly label: string; readonly amount: number; readonly fee: number }[];
}
/** What a check takes besides tax: all of it that the person pays, and each line. */
export function takenBy({ deductions, employerPaid, garnishments }: Lines): TakenBy {
  const taken: Record<string, number> = {};
  let total = 0;
  for (const { item, name, amount } of [...deductions, ...employerPaid]) taken[lineKey('item', name ?? item)] = amount;
  for (const { amount } of deductions) total += amount;
  for (const { label, amount, fee } of garnishments) {
    taken[lineKey('order', label)] = amount + fee;
    total += amount + fee;
  }
  return { deductions: total, taken };
}
