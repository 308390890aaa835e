import type { Issue } from '../issues/issue.js';
import type { OwnRules } from '../jurisdictions/dated.js';
import type { OwnPlaces } from '../jurisdictions/locality.js';

/**
 * Parts of a case that stay the same object from one check to the next (the rules of a payroll, a person while only the
 * hours are typed) are read once, as long as the object lives. What is read is never changed afterwards.
 */
export interface Kept<T> {
  readonly made: T;
  readonly issues: readonly Issue[];
}

export const RULES = new WeakMap<object, Kept<OwnRules | null>>();

export const PLACES = new WeakMap<object, Kept<OwnPlaces | null>>();

export function kept<T>(
  known: WeakMap<object, Kept<T>>,
  rows: unknown,
  issues: Issue[],
  read: (rows: unknown, found: Issue[]) => T,
): T {
  const key = typeof rows === 'object' && rows !== null ? rows : null;
  const before = key ? known.get(key) : undefined;
  if (before) {
    issues.push(...before.issues);
    return before.made;
  }
  const found: Issue[] = [];
  const made = read(rows, found);
  if (key) known.set(key, { made, issues: found });
  issues.push(...found);
  return made;
}
