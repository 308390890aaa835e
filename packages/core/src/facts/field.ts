import { Reader } from '../casefile/reader.js';
import { problem, type Issue } from '../issues/issue.js';
import { findItem, type PayItem } from '../items/registry.js';
import { findState } from '../jurisdictions/states.js';
import { checkRouting } from '../identity/numbers.js';
import { isTaxCode } from '../tax-registry/registry.js';

export type FactFieldKind =
  | 'text'
  | 'amount'
  | 'decimal'
  | 'percent'
  | 'whole'
  | 'flag'
  | 'date'
  | 'month-day'
  | 'choice'
  | 'state'
  | 'tax'
  | 'item'
  | 'routing'
  | 'secret'
  | 'rows';

/** One field of a fact: what a form asks and what may be stored. Amounts, decimals and percentages are decimal text. */
export interface FactField {
  readonly name: string;
  readonly label: string;
  readonly kind: FactFieldKind;
  readonly help?: string;
  readonly isRequired?: true;
  /** What a new entry begins with, where it is nearly always so. */
  readonly preset?: string;
  /** Value and word of each choice. */
  readonly choices?: readonly (readonly [value: string, word: string])[];
  /** Lists of pay items that may be chosen. */
  readonly lists?: readonly PayItem['list'][];
  /** Asked (and required, if at all) only when another field has one of these values. */
  readonly when?: { readonly field: string; readonly is: readonly string[] };
  /** Fields of each row. */
  readonly of?: readonly FactField[];
  readonly most?: number;
  /** The field with the state whose localities are proposed here. */
  readonly placeOf?: string;
}

/** Whether a field is asked for, given the others. */
export function isAsked(field: FactField, value: Readonly<Record<string, unknown>>): boolean {
  if (!field.when) return true;
  const other = value[field.when.field];
  return typeof other === 'string' && field.when.is.includes(other);
}

const MONTH_DAY = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** Reads one field that is there, for its issues. */
function readField(reader: Reader, field: FactField, issues: Issue[]): void {
  const { name } = field;
  const path = `${reader.path}.${name}`;
  switch (field.kind) {
    case 'text': {
      const text = reader.text(name) ?? '';
      const most = field.most ?? 200;
      if (text.length > most) issues.push(problem('input.too-long', path, { most: String(most) }));
      return;
    }
    case 'amount':
      reader.amount(name);
      return;
    case 'decimal':
      reader.decimal(name);
      return;
    case 'percent':
      reader.percent(name);
      return;
    case 'whole':
      reader.whole(name);
      return;
    case 'flag':
      reader.flag(name);
      return;
    case 'date':
      reader.date(name);
      return;
    case 'month-day': {
      const text = reader.text(name);
      if (text !== null && !MONTH_DAY.test(text)) issues.push(problem('input.not-a-month-day', path, { value: text }));
      return;
    }
    case 'choice':
      reader.oneOf(
        name,
        (field.choices ?? []).map(([value]) => value),
      );
      return;
    case 'state': {
      const state = reader.text(name);
      if (state !== null && !findState(state)) issues.push(problem('rule.state-unknown', path, { state }));
      return;
    }
    case 'tax': {
      const tax = reader.text(name);
      if (tax !== null && !isTaxCode(tax))
        issues.push(
          problem('input.not-one-of', path, { value: tax, choices: 'the tax codes of docs/jurisdictions.md' }),
        );
      return;
    }
    case 'item': {
      const code = reader.text(name);
      const item = code === null ? null : findItem(code);
      if (code !== null && (!item || (field.lists && !field.lists.includes(item.list))))
        issues.push(
          problem('item.unknown', path, { item: code, choices: `a pay item (${(field.lists ?? []).join(', ')})` }),
        );
      return;
    }
    case 'routing':
      issues.push(...checkRouting(reader.text(name) ?? '', path));
      return;
    case 'secret': {
      const text = reader.text(name);
      if (text !== null && !/^[0-9A-Za-z-]{4,17}$/.test(text)) issues.push(problem('bank.account-shape', path));
      return;
    }
    case 'rows':
      for (const row of reader.list(name, false)) readFields(row, field.of ?? [], issues);
  }
}

const isBlank = (value: unknown): boolean => value === undefined || value === null || value === '';

/** Issues of a value against its table of fields: unknown, missing, malformed. A field that is not asked for must be blank. */
export function readFields(reader: Reader, fields: readonly FactField[], issues: Issue[]): void {
  const value = Object.fromEntries(reader.names().map((name) => [name, reader.raw(name)]));
  const asked = fields.filter((field) => isAsked(field, value));
  reader.only(asked.map((field) => field.name));
  for (const field of asked) {
    if (!isBlank(value[field.name])) readField(reader, field, issues);
    else if (field.isRequired)
      issues.push(problem('input.missing', `${reader.path}.${field.name}`, { what: field.label }));
  }
}
