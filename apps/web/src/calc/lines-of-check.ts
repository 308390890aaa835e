import { lineKey, standardItem, type OwnItem } from '@zakat/core/casefile/compose';
import { isObject } from '@zakat/core/casefile/reader';
import { findItem, isElected } from '@zakat/core/items/registry';
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
}

type Deduction = ReturnType<typeof entryOf>['deductions'][number];
function inWords({ amount, percent, match, perCheck, balance }: Deduction): string {
  const measure =
    amount !== undefined
      ? amount
      : percent !== undefined
        ? `${percent}% of gross`
        : (match ?? []).map((step) => `${step.percent}% of what is deferred`).join(', ');
  return [
    measure,
    ...(perCheck === undefined ? [] : [`at most ${perCheck}`]),
    ...(balance === undefined ? [] : [`${balance} to go`]),
  ].join(', ');
}

/** The lines besides pay of one person's check, orders first: they come before what the person chose. */
export function linesOfCheck(row: SheetRow): readonly LineOfCheck[] {
  const { items } = row.base;
  const ownItems = Array.isArray(items) ? (items as readonly OwnItem[]) : [];
  const reasonOf = (key: string): string | null => row.leftOut.find(({ line }) => line === key)?.reason ?? null;
  const line = (key: string, label: string, says: string, wantedBy: LineOfCheck['wantedBy']): LineOfCheck => ({
    key,
    label,
    says,
    wantedBy,
    amount: row.check.taken[key] ?? null,
    reason: reasonOf(key),
  });
  const employee = isObject(row.base['employee']) ? row.base['employee'] : {};
  const orders = Array.isArray(employee['garnishments']) ? employee['garnishments'].filter(isObject) : [];
  return [
    ...orders.map((order) => {
      const kind = String(order['kind']).replaceAll('-', ' ');
      const label = String(order['label'] ?? order['kind']);
      return line(lineKey('order', label), label, [kind, order['amount']].filter(Boolean).join(', '), 'order');
    }),
    ...entryOf(row).deductions.map((deduction) => {
      const item = findItem(standardItem(deduction.item, ownItems));
      const label = ownItems.find(({ code }) => code === deduction.item)?.label ?? item?.label ?? deduction.item;
      const wantedBy = item?.list === 'deduction' && isElected(item) ? 'election' : null;
      return line(lineKey('item', deduction.item), label, inWords(deduction), wantedBy);
    }),
  ];
}
