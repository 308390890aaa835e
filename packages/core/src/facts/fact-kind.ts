import { parseDate, showDate } from '../calendar/local-date.js';
import { Reader } from '../casefile/reader.js';
import { parseDollars, showDollars } from '../money/cents.js';
import type { Issue } from '../issues/issue.js';
import { readFields, type FactField } from './field.js';
import type { DatedFact } from './in-force.js';

export type FactValue = Readonly<Record<string, unknown>>;

/** A kind of effective-dated fact: a table of fields, how facts of it replace each other, and how one is read back. */
export interface FactKind {
  readonly kind: string;
  readonly label: string;
  readonly fields: readonly FactField[];
  /** What a fact of this kind is about, when several stand side by side (a pay item, an account, a state). */
  readonly slot?: string;
  /** What counts until one is recorded. */
  readonly until?: string;
  /** Checks beyond the fields. Where `reads` is given, it alone reads the value. */
  readonly check?: (value: FactValue, path: string) => Issue[];
  readonly reads?: (reader: Reader, issues: Issue[]) => void;
  readonly says: (value: FactValue) => string;
}

export const text = (value: FactValue, name: string): string => {
  const given = value[name];
  return typeof given === 'string' || typeof given === 'number' ? String(given) : '';
};

/** An amount of a value with its separators; what is no amount stays as it is. */
export function moneyText(value: FactValue, name: string): string {
  const amount = parseDollars(text(value, name));
  return amount === null ? text(value, name) : showDollars(amount);
}
/** A day of a value as people say it; blank when there is none. */
export function dayText(value: FactValue, name: string): string {
  const day = parseDate(text(value, name));
  return day === null ? text(value, name) : showDate(day);
}

/** The last day of a fact that ends. */
export const UNTIL: FactField = { name: 'until', label: 'Last day', kind: 'date', help: 'Blank: stays in force' };

export const untilWords = (value: FactValue): string =>
  text(value, 'until') === '' ? '' : `, until ${dayText(value, 'until')}`;

export class FactKinds {
  private readonly byKind: ReadonlyMap<string, FactKind>;
  constructor(readonly kinds: readonly FactKind[]) {
    this.byKind = new Map(kinds.map((kind) => [kind.kind, kind]));
  }

  find(kind: string): FactKind | undefined {
    return this.byKind.get(kind);
  }

  readonly slotOf = ({ kind, value }: Pick<DatedFact, 'kind' | 'value'>): string => {
    const slot = this.byKind.get(kind)?.slot;
    return slot === undefined ? '' : text(value, slot);
  };

  /** Issues of a fact as given: what it says cannot be stored unless the core could compute with it. */
  issues(kind: string, value: FactValue, path: string): Issue[] {
    const found = this.byKind.get(kind);
    if (!found) return [];
    const issues: Issue[] = [];
    const reader = new Reader(value, path, issues);
    if (found.reads) found.reads(reader, issues);
    else readFields(reader, found.fields, issues);
    if (issues.length === 0 && found.check) issues.push(...found.check(value, path));
    return issues;
  }

  says(kind: string, value: FactValue): string {
    return this.byKind.get(kind)?.says(value) ?? '';
  }
}
