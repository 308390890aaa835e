import type { StateCertificate } from '../jurisdictions/state.js';
import type { ByColumn, ColumnRule, Worksheet } from '../jurisdictions/worksheet.js';

/** The value of a column; a table that misses one is a fault of the rule data, found by its tests. */
export function at<T>(by: ByColumn<T>, column: string): T {
  const value = by[column] ?? by['*'];
  if (value === undefined) throw new RangeError(`a table has no column ${column}`);
  return value;
}

type Condition = (certificate: StateCertificate) => boolean;
const conditionOf = (field: string, wanted: ColumnRule['when'][string]): Condition => {
  if (typeof wanted === 'string') return (certificate) => certificate[field] === wanted;
  if (typeof wanted === 'boolean') return (certificate) => (certificate[field] === true) === wanted;
  if (isList(wanted)) return (certificate) => wanted.includes(String(certificate[field]));
  return (certificate) => Number(certificate[field] ?? 0) >= wanted.atLeast;
};
const isList = (wanted: readonly string[] | { readonly atLeast: number }): wanted is readonly string[] =>
  Array.isArray(wanted);

/** The conditions of a worksheet's columns, made ready once. */
const columnRules = new WeakMap<
  Worksheet,
  readonly { readonly column: string; readonly conditions: readonly Condition[] }[]
>();
function rulesOf(worksheet: Worksheet) {
  let rules = columnRules.get(worksheet);
  if (!rules) {
    rules = worksheet.columns.map(({ column, when }) => ({
      column,
      conditions: Object.entries(when).map(([field, wanted]) => conditionOf(field, wanted)),
    }));
    columnRules.set(worksheet, rules);
  }
  return rules;
}

/** The column of the tables that a certificate uses. */
export function columnOf(worksheet: Worksheet, certificate: StateCertificate): string {
  for (const { column, conditions } of rulesOf(worksheet)) {
    let holds = true;
    for (const condition of conditions) if (!condition(certificate)) holds = false;
    if (holds) return column;
  }
  throw new RangeError('a worksheet has no column for a certificate');
}
