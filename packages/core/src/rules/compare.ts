import type { LocalDate } from '../calendar/local-date.js';
import { inForce } from '../jurisdictions/dated.js';
import type { OwnRule } from './pack.js';
import { toJson } from './json.js';

/** One place where a rule of a pack differs from what held on its first day. */
export interface RuleChange {
  readonly parameter: string;
  readonly label: string;
  readonly from: LocalDate;
  readonly until: LocalDate | null;
  /** Path inside the value, blank for the value itself. */
  readonly path: string;
  readonly before: string;
  readonly after: string;
}

/** Leaves of a JSON value by path, as people read them. */
function leaves(value: unknown, path: string, into: Map<string, string>): void {
  if (typeof value !== 'object' || value === null) {
    into.set(path, String(value));
    return;
  }
  const entries = Object.entries(value);
  const only = entries[0];
  if (entries.length === 1 && only && (only[0] === 'dollars' || only[0] === 'rate') && typeof only[1] === 'string') {
    into.set(path, only[1]);
    return;
  }
  for (const [name, inner] of entries) leaves(inner, path === '' ? name : `${path}.${name}`, into);
}

/** What a pack changes, value by value, against the product's own row on the first day of each rule. */
export function changesOf(rules: readonly OwnRule[]): RuleChange[] {
  return rules.flatMap(({ parameter, row }) => {
    const current = inForce(parameter.rows, row.from) ?? parameter.rows.at(-1) ?? null;
    const before = new Map<string, string>();
    const after = new Map<string, string>();
    if (current) leaves(toJson(current.value), '', before);
    leaves(toJson(row.value), '', after);
    const paths = [...new Set([...before.keys(), ...after.keys()])].filter(
      (path) => before.get(path) !== after.get(path),
    );
    return paths.map((path) => ({
      parameter: parameter.code,
      label: parameter.label,
      from: row.from,
      until: row.until,
      path,
      before: before.get(path) ?? 'nothing',
      after: after.get(path) ?? 'nothing',
    }));
  });
}
