import { lineKey, orderName, standardItem, type OwnItem } from '@zakat/core/casefile/compose';
import { isObject } from '@zakat/core/casefile/reader';
import { findItem, isElected } from '@zakat/core/items/registry';
import { EMPLOYER_PAID } from '@zakat/core/paycheck/employer-paid';
import { TYPINGS } from '../kit/typed-field.js';
import { entryOf, type SheetRow } from './sheet-row.js';

/** A line besides pay that the check of a person has, or has not this time. */
export interface LineOfCheck {
  readonly key: string;
  readonly label: string;
  /** As it stands: an amount, a percentage, a match. */
  readonly says: string;
  /** A court or an agency asks for it, or an election: leaving it out wants a reason. */
  readonly wantedBy: 'order' | 'election' | null;
  /** Cents of this check; null: not in it. */
  readonly amount: number | null;
  /** Why it is left out; null: it is not. */
  readonly reason: string | null;
  /** Another amount is taken: what it would come to, why, and what is owed of it. */
  readonly overridden: { readonly computed: number | null; readonly reason: string; readonly owed: number } | null;
  /** What is not taken may be owed: a deduction, not an order or what the employer pays. */
  readonly mayBeOwed: boolean;
  /** The name of its working. */
  readonly figure: string;
}

type Deduction = ReturnType<typeof entryOf>['deductions'][number];
function inWords({ amount, percent, match, perCheck, balance, arrears }: Deduction): string {
  const measure =
    amount !== undefined
      ? TYPINGS.amount.show(amount)
      : percent !== undefined
        ? `${percent}% of gross`
        : (match ?? []).map((step) => `${step.percent}% of what is deferred`).join(', ');
  return [
    measure,
    ...(perCheck === undefined ? [] : [`at most ${perCheck}`]),
    ...(balance === undefined ? [] : [`${balance} to go`]),
    ...(arrears === undefined ? [] : [`${arrears} owed from before`]),
  ].join(', ');
}

/** The lines besides pay of one person's check, orders first: they come before what the person chose. */
export function linesOfCheck(row: SheetRow): readonly LineOfCheck[] {
  const { items } = row.base;
  const ownItems = Array.isArray(items) ? (items as readonly OwnItem[]) : [];
  const reasonOf = (key: string): string | null => row.leftOut.find(({ line }) => line === key)?.reason ?? null;
  const overriddenOf = (key: string): LineOfCheck['overridden'] => {
    const own = row.overridden.find((one) => one.line === key);
    if (!own) return null;
    return { computed: row.check.computed[key] ?? null, reason: own.reason, owed: row.check.owed[key] ?? 0 };
  };
  const line = (
    key: string,
    label: string,
    says: string,
    wantedBy: LineOfCheck['wantedBy'],
    mayBeOwed: boolean,
    figure: string,
  ): LineOfCheck => ({
    key,
    label,
    says,
    wantedBy,
    amount: row.check.taken[key] ?? null,
    reason: reasonOf(key),
    overridden: overriddenOf(key),
    mayBeOwed,
    figure,
  });
  const employee = isObject(row.base['employee']) ? row.base['employee'] : {};
  const orders = Array.isArray(employee['garnishments']) ? employee['garnishments'].filter(isObject) : [];
  // Orders that are left out are not computed, and not counted.
  const computed = orders.filter((order) => reasonOf(lineKey('order', orderName(order))) === null);
  return [
    ...orders.map((order) => {
      const kind = String(order['kind']).replaceAll('-', ' ');
      const label = orderName(order);
      const says = [kind, order['amount']].filter(Boolean).join(', ');
      return line(lineKey('order', label), label, says, 'order', false, `garnishment ${computed.indexOf(order) + 1}`);
    }),
    ...entryOf(row).deductions.map((deduction) => {
      const item = findItem(standardItem(deduction.item, ownItems));
      const label = ownItems.find(({ code }) => code === deduction.item)?.label ?? item?.label ?? deduction.item;
      const wantedBy = item?.list === 'deduction' && isElected(item) ? 'election' : null;
      const isDeduction = item?.list === 'deduction';
      const figure = isDeduction ? `deduction:${item.code}` : EMPLOYER_PAID;
      return line(lineKey('item', deduction.item), label, inWords(deduction), wantedBy, isDeduction, figure);
    }),
  ];
}
