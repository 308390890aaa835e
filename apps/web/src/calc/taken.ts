import { lineKey } from '@zakat/core/casefile/compose';

/** What a check takes besides tax, in cents. */
export interface TakenBy {
  /** Deductions and orders, with their fees. */
  readonly deductions: number;
  /** Of deductions, orders and what the employer adds, by `lineKey`. */
  readonly taken: Readonly<Record<string, number>>;
  /** What lines would come to, of which another amount is taken. */
  readonly computed: Readonly<Record<string, number>>;
  /** What of them is owed to later checks. */
  readonly owed: Readonly<Record<string, number>>;
}

interface Taken {
  readonly item: string;
  readonly name?: string | undefined;
  readonly amount: number;
  readonly computed?: number | undefined;
  readonly owed?: number | undefined;
}
interface Lines {
  readonly deductions: readonly Taken[];
  readonly employerPaid: readonly Taken[];
  readonly garnishments: readonly {
    readonly label: string;
    readonly amount: number;
    readonly fee: number;
    readonly computed?: number | undefined;
  }[];
}
/** What a check takes besides tax: all of it that the person pays, and each line. */
export function takenBy({ deductions, employerPaid, garnishments }: Lines): TakenBy {
  const taken: Record<string, number> = {};
  const computed: Record<string, number> = {};
  const owed: Record<string, number> = {};
  let total = 0;
  for (const line of [...deductions, ...employerPaid]) {
    const key = lineKey('item', line.name ?? line.item);
    taken[key] = line.amount;
    if (line.computed !== undefined) computed[key] = line.computed;
    if (line.owed !== undefined) owed[key] = line.owed;
  }
  for (const { amount } of deductions) total += amount;
  for (const { label, amount, fee, computed: ordered } of garnishments) {
    taken[lineKey('order', label)] = amount + fee;
    if (ordered !== undefined) computed[lineKey('order', label)] = ordered;
    total += amount + fee;
  }
  return { deductions: total, taken, computed, owed };
}
