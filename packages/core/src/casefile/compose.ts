import type { JsonObject } from './reader.js';

/** What is typed for one person in a payroll: earnings and deductions as the case file writes them. */
export interface TypedEntry {
  readonly earnings: readonly {
    readonly item: string;
    readonly hours?: string | undefined;
    readonly rate?: string | undefined;
    readonly amount?: string | undefined;
  }[];
  readonly deductions: readonly { readonly item: string; readonly amount: string }[];
}

const withoutBlanks = (line: object): JsonObject =>
  Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined && value !== '')) as JsonObject;

/** Rows of rule packs that a firm put in front of the product's rules. */
export interface OwnRows {
  readonly rules: readonly unknown[];
  readonly places: readonly unknown[];
}

/** A person's case (certificates, places, year to date) with what was typed; the server and the worker use this one. */
export const composeCase = (base: JsonObject, entry: TypedEntry, own: OwnRows | null = null): JsonObject => ({
  ...base,
  earnings: entry.earnings.map(withoutBlanks),
  deductions: entry.deductions.map(withoutBlanks),
  ...(own ? { rules: own.rules, places: own.places } : {}),
});
