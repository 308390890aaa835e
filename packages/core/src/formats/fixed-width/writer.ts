import { transliterate } from '../../identity/transliterate.js';
import { problem, type Issue } from '../../issues/issue.js';
import type { Field, RecordLayout } from './field.js';

export type FieldValues = Readonly<Record<string, string | number>>;

const PRINTABLE = /^[\x20-\x7e]*$/;

/** An issue of one field, at `path.<field name>`. */
const told = (
  code: Parameters<typeof problem>[0],
  path: string,
  { name }: Field,
  more: Readonly<Record<string, string>> = {},
): Issue => problem(code, `${path}.${name}`, { field: name, ...more });

function render(field: Field, value: string | number | undefined, path: string, issues: Issue[]): string {
  const width = field.to - field.from + 1;
  if (field.kind === 'fixed') return field.value;
  if (field.kind === 'blank') return ' '.repeat(width);
  const given = value === undefined ? '' : String(value);
  // The files carry ASCII: what has a plain form takes it here, whatever the record says on screen.
  const text = field.kind === 'text' ? transliterate(given) : given;
  if (text === '' && field.isRequired) issues.push(told('file.required', path, field));
  if (field.kind === 'amount' && text.startsWith('-')) {
    issues.push(told('file.negative', path, field));
    return '0'.repeat(width);
  }
  if (field.kind !== 'text' && !/^\d*$/.test(text)) {
    issues.push(told('file.not-digits', path, field));
    return '0'.repeat(width);
  }
  if (!PRINTABLE.test(text)) issues.push(told('file.character', path, field));
  // Nothing is ever cut: what does not fit is refused.
  if (text.length > width) issues.push(told('file.overflow', path, field, { width: String(width) }));
  if (field.kind === 'text') return text.toUpperCase().padEnd(width).slice(0, width);
  return text.padStart(width, '0').slice(-width);
}

/** Names of the fields of a layout: the same for each of its records. */
const NAMES = new WeakMap<RecordLayout, ReadonlySet<string>>();

/** Writes one record. Values that do not belong are issues at `path.<field name>`; the line is then not to be used. */
export function writeRecord(
  layout: RecordLayout,
  values: FieldValues,
  path: string,
): { line: string; issues: Issue[] } {
  const issues: Issue[] = [];
  let known = NAMES.get(layout);
  if (!known) NAMES.set(layout, (known = new Set(layout.fields.map((field) => field.name))));
  for (const name of Object.keys(values))
    if (!known.has(name)) throw new RangeError(`${layout.name} has no field ${name}`);
  const line = layout.fields.map((field) => render(field, values[field.name], path, issues)).join('');
  return { line, issues };
}

/** Reads a record back by the same table: trimmed text, numbers still as digits. */
export function readRecord(layout: RecordLayout, line: string): Record<string, string> {
  return Object.fromEntries(
    layout.fields
      .filter((field) => field.kind !== 'blank')
      .map((field) => [field.name, line.slice(field.from - 1, field.to).trimEnd()]),
  );
}
