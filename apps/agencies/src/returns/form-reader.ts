/** A coded refusal that names the element at fault. */
export interface Refusal {
  readonly code: string;
  readonly field: string;
  readonly message: string;
}
type Node = Record<string, unknown>;

export const child = (node: unknown, ...path: string[]): unknown =>
  path.reduce<unknown>(
    (current, name) => (typeof current === 'object' && current !== null ? (current as Node)[name] : undefined),
    node,
  );
export const text = (node: unknown, ...path: string[]): string => {
  const value = child(node, ...path);
  return typeof value === 'string' ? value.trim() : '';
};
/** One or several elements of a name, as a list. */
export const list = (node: unknown): Node[] =>
  node === undefined ? [] : ((Array.isArray(node) ? node : [node]) as Node[]);

/** Dollars as whole cents; null when it is not an amount. */
export function cents(value: string): bigint | null {
  const match = /^(-?)(\d+)\.(\d{2})$/.exec(value);
  return match ? BigInt(`${match[1] ?? ''}${match[2] ?? ''}${match[3] ?? ''}`) : null;
}
/** Half a cent up on millionths. */
export const share = (base: bigint, millionths: bigint): bigint => (base * millionths + 500_000n) / 1_000_000n;

/** A form as the rules of its type read it: every amount is asked for once, and what is wrong is gathered. */
export class FormReader {
  readonly refusals: Refusal[] = [];
  constructor(readonly form: unknown) {}

  refuse(code: string, field: string, message: string): void {
    this.refusals.push({ code, field, message });
  }
  amount(element: string): bigint {
    const value = cents(text(this.form, element));
    if (value === null) this.refuse('X0000-010', element, `${element} is missing or not an amount.`);
    return value ?? 0n;
  }
  /** An amount that may be left out when it is nothing. */
  optional(element: string): bigint {
    return text(this.form, element) === '' ? 0n : this.amount(element);
  }
}

/** Rules of one type of return: the total tax it comes to and what is still owed, with every refusal in the reader. */
export type TypeRules = (data: unknown) => {
  readonly refusals: readonly Refusal[];
  readonly total: string;
  readonly balance: bigint;
};
