import { findItem, isElected } from '../items/registry.js';
import { ZERO, cents, toDollars, type Cents } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import {
  composeCase,
  lineKey,
  standardItem,
  type OverriddenLine,
  type OwnItem,
  type OwnRows,
  type TypedEntry,
} from './compose.js';
import { readCase } from './read-case.js';
import type { JsonObject } from './reader.js';

/** A deduction that the pay of a check does not reach for: what can be taken of what it comes to. Dollars as text. */
export interface ReducedLine {
  readonly line: string;
  readonly label: string;
  readonly computed: string;
  readonly amount: string;
  readonly reason: string;
  /** An amount of every check, like a premium, is still wanted; a share of pay is not. */
  readonly isOwed: boolean;
}

const REASON = 'the pay does not reach';
const asOverride = ({ line, amount, reason, isOwed }: ReducedLine): OverriddenLine => ({
  line,
  amount,
  reason,
  isOwed,
});

/**
 * Which deductions give way, and by how much, until the net pay of a check is not below zero: first those that nobody but
 * the person wants, then those elected under a plan, each from the last to the first. Orders and taxes are not touched.
 * Null: the net pay is not below zero, or no deduction can make up for it.
 *
 * @param base What the check starts from, as `composeCase` takes it.
 */
export function withinNet(base: JsonObject, entry: TypedEntry, own: OwnRows | null): readonly ReducedLine[] | null {
  const netWith = (reduced: readonly ReducedLine[]): Cents | null => {
    const keys = new Set(reduced.map(({ line }) => line));
    const overridden = [...(entry.overridden ?? []).filter(({ line }) => !keys.has(line)), ...reduced.map(asOverride)];
    const read = readCase(composeCase(base, { ...entry, overridden }, own));
    return read.input ? computePaycheck(read.input).net : null;
  };
  const before = readCase(composeCase(base, entry, own));
  if (!before.input) return null;
  const check = computePaycheck(before.input);
  if (check.net >= 0) return null;
  const { items } = base;
  const ownItems = Array.isArray(items) ? (items as readonly OwnItem[]) : [];
  const typedOf = (code: string) => entry.deductions.find(({ item }) => item === code);
  const lines = check.deductions
    .map((line) => {
      const code = line.name ?? line.item;
      const standard = findItem(standardItem(code, ownItems));
      return {
        line: lineKey('item', code),
        label: line.label,
        amount: line.amount,
        isChosen: standard?.list === 'deduction' && isElected(standard),
        isOwed: typedOf(code)?.percent === undefined,
      };
    })
    .filter(({ amount }) => amount > 0)
    .reverse();
  const inOrder = [...lines.filter(({ isChosen }) => !isChosen), ...lines.filter(({ isChosen }) => isChosen)];
  const reduced: ReducedLine[] = [];
  for (const { line, label, amount, isOwed } of inOrder) {
    const at = (cut: Cents): ReducedLine => ({
      line,
      label,
      computed: toDollars(amount),
      amount: toDollars(cut),
      reason: REASON,
      isOwed,
    });
    const none = netWith([...reduced, at(ZERO)]);
    if (none === null) return null;
    if (none < 0) {
      reduced.push(at(ZERO));
      continue;
    }
    // The most that can be taken: less of a deduction never leaves less net pay.
    let [can, cannot]: [number, number] = [0, amount];
    while (cannot - can > 1) {
      const middle = Math.floor((can + cannot) / 2);
      const net = netWith([...reduced, at(cents(middle))]);
      if (net !== null && net >= 0) can = middle;
      else cannot = middle;
    }
    return [...reduced, at(cents(can))];
  }
  return null;
}
