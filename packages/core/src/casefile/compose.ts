import { findItem } from '../items/registry.js';
import type { Treatment } from '../items/treatment.js';
import type { JsonObject } from './reader.js';

/** What is typed for one person in a payroll: earnings, and deductions or employer-paid amounts, as the case file writes them. */
export interface TypedEntry {
  readonly earnings: readonly {
    readonly item: string;
    readonly hours?: string | undefined;
    readonly rate?: string | undefined;
    readonly amount?: string | undefined;
  }[];
  readonly deductions: readonly {
    readonly item: string;
    readonly amount?: string | undefined;
    readonly percent?: string | undefined;
    readonly perCheck?: string | undefined;
    readonly perYear?: string | undefined;
    readonly balance?: string | undefined;
    readonly coverage?: string | undefined;
    /** Of an amount that the employer pays: steps of a match of what is deferred. */
    readonly match?: readonly { readonly percent: string; readonly upTo?: string | undefined }[] | undefined;
  }[];
}

/** A pay item of a client's own: its name, and the standard item it is treated as. */
export interface OwnItem {
  readonly code: string;
  readonly label: string;
  readonly like: string;
  /** Bases in which it is not treated as that one. */
  readonly treatment?: Treatment;
}

/** A typed line of an own item: the standard item, with the name and what is different. */
const named = (typed: { readonly item: string }, { code, label, like, treatment }: OwnItem): object => ({
  ...typed,
  item: like,
  name: code,
  label,
  ...(treatment && findItem(like)?.list !== 'employer' ? { treatment } : {}),
});
const withoutBlanks = (line: object): JsonObject =>
  Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined && value !== '')) as JsonObject;

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
 * `rates` are other rates of the person, for typing only.
 */
export function composeCase(base: JsonObject, entry: TypedEntry, own: OwnRows | null = null): JsonObject {
  const rest = Object.fromEntries(Object.entries(base).filter(([name]) => name !== 'rates' && name !== 'items'));
  const { items } = base;
  const ownItems = Array.isArray(items) ? (items as readonly OwnItem[]) : [];
  const line = (typed: { readonly item: string }): JsonObject => {
    const found = ownItems.find((item) => item.code === typed.item);
    return withoutBlanks(found ? named(typed, found) : typed);
  };
  const isEmployerPaid = (code: string): boolean => findItem(standardItem(code, ownItems))?.list === 'employer';
  const employerPaid = entry.deductions.filter((typed) => isEmployerPaid(typed.item));
  return {
    ...rest,
    earnings: entry.earnings.map(line),
    deductions: entry.deductions.filter((typed) => !isEmployerPaid(typed.item)).map(line),
    ...(employerPaid.length > 0
      ? {
          employerPaid: employerPaid.map(line),
        }
      : {}),
    ...(own ? { rules: own.rules, places: own.places } : {}),
  };
}
