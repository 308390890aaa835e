import { findItem } from '../items/registry.js';
import type { Treatment } from '../items/treatment.js';
import { isObject, type JsonObject } from './reader.js';

/** What is typed for one person in a payroll: earnings, and deductions or employer-paid amounts, as the case file writes them. */
export interface TypedEntry {
  readonly earnings: readonly {
    readonly item: string;
    readonly hours?: string | undefined;
    readonly rate?: string | undefined;
    readonly amount?: string | undefined;
    readonly job?: string | undefined;
  }[];
  readonly deductions: readonly {
    readonly item: string;
    readonly amount?: string | undefined;
    readonly percent?: string | undefined;
    readonly perCheck?: string | undefined;
    readonly perYear?: string | undefined;
    readonly balance?: string | undefined;
    readonly coverage?: string | undefined;
    /** Owed from earlier checks, and taken besides. */
    readonly arrears?: string | undefined;
    /** Of an amount that the employer pays: steps of a match of what is deferred. */
    readonly match?: readonly { readonly percent: string; readonly upTo?: string | undefined }[] | undefined;
  }[];
  /** Lines that stay out of this check, by `lineKey`, each with its reason. */
  readonly leftOut?: readonly LeftOutLine[] | undefined;
  /** Lines of which this check takes another amount, by `lineKey`, each with its reason. */
  readonly overridden?: readonly OverriddenLine[] | undefined;
  /** Of a check that another program paid: what it withheld, by tax. */
  readonly withheld?: readonly WithheldLine[] | undefined;
}
export interface WithheldLine {
  readonly tax: string;
  readonly amount: string;
}
export interface LeftOutLine {
  readonly line: string;
  readonly reason: string;
}
export interface OverriddenLine {
  readonly line: string;
  readonly amount: string;
  readonly reason: string;
  /** What it leaves is owed, and taken from later checks. */
  readonly isOwed?: boolean | undefined;
}
/** What a line of an entry is called where it is left out or overridden: an order by its label, any other by its item. */
export const lineKey = (kind: 'order' | 'item', name: string): string => `${kind}:${name}`;
const reasonOf = (leftOut: readonly LeftOutLine[], key: string): string | undefined =>
  leftOut.find(({ line }) => line === key)?.reason;

const overrideOf = (overridden: readonly OverriddenLine[], key: string): JsonObject | undefined => {
  const found = overridden.find(({ line }) => line === key);
  if (!found) return undefined;
  const { amount, reason, isOwed = false } = found;
  return { amount, reason, ...(isOwed ? { owed: true } : {}) };
};

/** What the orders of a person are called: by their label, or their kind. */
export const orderLabels = (employee: unknown): readonly string[] =>
  isObject(employee) && Array.isArray(employee['garnishments'])
    ? employee['garnishments'].filter(isObject).map(orderName)
    : [];
export const orderName = (order: JsonObject): string => String(order['label'] ?? order['kind']);

/** The person with the orders that are left out or overridden marked as such: the same object where none is. */
function withMarkedOrders(
  employee: unknown,
  leftOut: readonly LeftOutLine[],
  overridden: readonly OverriddenLine[],
): unknown {
  if (!isObject(employee) || !Array.isArray(employee['garnishments'])) return employee;
  const orders = employee['garnishments'].filter(isObject);
  const marked = orders.map((order) => {
    const key = lineKey('order', orderName(order));
    const reason = reasonOf(leftOut, key);
    const override = overrideOf(overridden, key);
    if (reason === undefined && override === undefined) return order;
    return { ...order, ...(reason === undefined ? {} : { leftOut: reason }), ...(override ? { override } : {}) };
  });
  return { ...employee, garnishments: marked };
}

/** A pay item of a client's own: its name, and the standard item it is treated as. */
export interface OwnItem {
  readonly code: string;
  readonly label: string;
  readonly like: string;
  /** Bases in which it is not treated as that one. */
  readonly treatment?: Treatment;
  /** Of an earning by the hour: times the rate, where that is not as the standard item has it. */
  readonly factor?: string;
}

/** A typed line of an own item: the standard item, with the name and what is different. */
const named = (typed: { readonly item: string }, { code, label, like, treatment, factor }: OwnItem): object => ({
  ...typed,
  item: like,
  name: code,
  label,
  ...(treatment && findItem(like)?.list !== 'employer' ? { treatment } : {}),
  ...(factor !== undefined && findItem(like)?.list === 'earning' ? { factor } : {}),
});
const isBlank = (value: unknown): boolean => value === undefined || value === '';
function withoutBlanks(line: object): JsonObject {
  // Most lines have none, and copying them all would cost more than the check.
  if (!Object.values(line).some(isBlank)) return line as JsonObject;
  return Object.fromEntries(Object.entries(line).filter(([, value]) => !isBlank(value))) as JsonObject;
}

/** Fields of a base that are no part of a case. */
const FOR_TYPING: ReadonlySet<string> = new Set(['rates', 'items', 'jobs']);
/**
 * What is a case of its own in the base of a person; the rest is for typing only. The same object for the same base, with
 * a place for every field that is filled in: adding fields to a copy costs as much as the check.
 */
const starts = new WeakMap<JsonObject, JsonObject>();
function startOf(base: JsonObject): JsonObject {
  const known = starts.get(base);
  if (known) return known;
  const start: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(base)) if (!FOR_TYPING.has(name)) start[name] = value;
  for (const name of ['earnings', 'deductions', 'employerPaid', 'withheld', 'rules', 'places']) start[name] ??= null;
  starts.set(base, start);
  return start;
}

const NO_LINES: readonly LeftOutLine[] = [];
const NONE_OVERRIDDEN: readonly OverriddenLine[] = [];

/** Rows of rule packs that a firm put in front of the product's rules. */
export interface OwnRows {
  readonly rules: readonly unknown[];
  readonly places: readonly unknown[];
}

/** The standard item that a code stands for. */
export const standardItem = (code: string, own: readonly OwnItem[]): string =>
  own.find((item) => item.code === code)?.like ?? code;

/**
 * A person's case (certificates, places, year to date) with what was typed; the server and the worker use this one.
 * `items` of the base are the client's own pay items: a line of one becomes a line of the standard item with its name. Its
 * `rates` are other rates of the person, and its `jobs` those that pay is booked to, for typing and booking only.
 */
export function composeCase(base: JsonObject, entry: TypedEntry, own: OwnRows | null = null): JsonObject {
  const { items } = base;
  const ownItems = Array.isArray(items) ? (items as readonly OwnItem[]) : [];
  const leftOut = entry.leftOut ?? NO_LINES;
  const overridden = entry.overridden ?? NONE_OVERRIDDEN;
  const line = (typed: { readonly item: string }): JsonObject => {
    const found = ownItems.find((item) => item.code === typed.item);
    return withoutBlanks(found ? named(typed, found) : typed);
  };
  const besidesPay = (typed: { readonly item: string }): JsonObject => {
    if (leftOut.length === 0 && overridden.length === 0) return line(typed);
    const key = lineKey('item', typed.item);
    const reason = reasonOf(leftOut, key);
    const override = overrideOf(overridden, key);
    return {
      ...line(typed),
      ...(reason === undefined ? {} : { leftOut: reason }),
      ...(override ? { override } : {}),
    };
  };
  const isEmployerPaid = (code: string): boolean => findItem(standardItem(code, ownItems))?.list === 'employer';
  const employerPaid = entry.deductions.filter((typed) => isEmployerPaid(typed.item));
  const composed: Record<string, unknown> = { ...startOf(base) };
  composed['earnings'] = entry.earnings.map(line);
  composed['deductions'] = entry.deductions.filter((typed) => !isEmployerPaid(typed.item)).map(besidesPay);
  if (employerPaid.length > 0) composed['employerPaid'] = employerPaid.map(besidesPay);
  if (entry.withheld && entry.withheld.length > 0)
    composed['withheld'] = Object.fromEntries(entry.withheld.map(({ tax, amount }) => [tax, amount]));
  if (leftOut.length > 0 || overridden.length > 0)
    composed['employee'] = withMarkedOrders(composed['employee'], leftOut, overridden);
  if (own) {
    composed['rules'] = own.rules;
    composed['places'] = own.places;
  }
  return composed;
}
