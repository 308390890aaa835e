import { parseDate, type LocalDate } from '../calendar/local-date.js';
import { problem, type Issue } from '../issues/issue.js';
import { parseDollars, ZERO, type Cents } from '../money/cents.js';
import { parsePercent, parseRate, type Rate } from '../money/rate.js';

export type JsonObject = Readonly<Record<string, unknown>>;
export const isObject = (value: unknown): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A hundred billion dollars: a slip of the decimal point, and too much for what a year makes of it. */
const TOO_LARGE = 10_000_000_000_000;

/**
 * Reads fields of untrusted JSON by path, collecting an issue for each that is missing or malformed. A field that is null
 * is one that is not given.
 */
export class Reader {
  /** `where` is the path, or the reader and the field (and place in a list) it was read from: most are never told. */
  constructor(
    private readonly source: JsonObject,
    private readonly where: string | { readonly from: Reader; readonly field: string; readonly index: number | null },
    readonly issues: Issue[],
  ) {}

  get path(): string {
    const { where } = this;
    if (typeof where === 'string') return where;
    const path = where.from.at(where.field);
    return where.index === null ? path : `${path}[${where.index}]`;
  }
  private at(field: string): string {
    const { path } = this;
    return path === '' ? field : `${path}.${field}`;
  }
  private fail(issue: Issue): null {
    this.issues.push(issue);
    return null;
  }
  has(field: string): boolean {
    const value = this.source[field];
    return value !== undefined && value !== null;
  }
  raw(field: string): unknown {
    return this.source[field];
  }
  /** Names every field that is not in the list: a misspelt field must not be silently ignored. */
  only(fields: readonly string[]): void {
    for (const name in this.source)
      if (!fields.includes(name) && Object.hasOwn(this.source, name))
        this.issues.push(problem('input.unknown-field', this.at(name), { name }));
  }

  object(field: string): Reader | null {
    const value = this.source[field];
    if (isObject(value)) return new Reader(value, { from: this, field, index: null }, this.issues);
    return this.fail(problem('input.missing', this.at(field), { what: field }));
  }
  list(field: string, isRequired: boolean): Reader[] {
    const value = this.source[field];
    if ((value === undefined || value === null) && !isRequired) return [];
    if (!Array.isArray(value)) {
      this.fail(problem('input.missing', this.at(field), { what: `the list ${field}` }));
      return [];
    }
    const readers: Reader[] = [];
    const entries = value as readonly unknown[];
    for (let index = 0; index < entries.length; index += 1) {
      const entry = entries[index];
      if (isObject(entry)) readers.push(new Reader(entry, { from: this, field, index }, this.issues));
      else this.fail(problem('input.missing', `${this.at(field)}[${index}]`, { what: 'an object' }));
    }
    return readers;
  }
  text(field: string): string | null {
    const value = this.source[field];
    return typeof value === 'string' && value !== ''
      ? value
      : this.fail(problem('input.missing', this.at(field), { what: field }));
  }
  date(field: string): LocalDate | null {
    const value = this.text(field);
    if (value === null) return null;
    return parseDate(value) ?? this.fail(problem('input.not-an-iso-date', this.at(field), { value }));
  }
  oneOf<T extends string>(field: string, choices: readonly T[], otherwise?: T): T | null {
    const value = this.source[field];
    if ((value === undefined || value === null) && otherwise !== undefined) return otherwise;
    if (typeof value === 'string' && (choices as readonly string[]).includes(value)) return value as T;
    if (value === undefined || value === null)
      return this.fail(problem('input.missing', this.at(field), { what: field }));
    return this.fail(
      problem('input.not-one-of', this.at(field), { value: String(value), choices: choices.join(', ') }),
    );
  }
  flag(field: string): boolean {
    const value = this.source[field];
    if (value === undefined || value === null || typeof value === 'boolean') return value === true;
    this.fail(problem('input.not-one-of', this.at(field), { value: String(value), choices: 'true, false' }));
    return false;
  }
  whole(field: string): number {
    const value = this.source[field];
    if (value === undefined || value === null) return 0;
    if (typeof value === 'number' && Number.isSafeInteger(value) && value >= 0) return value;
    this.fail(problem('input.not-whole', this.at(field), { value: String(value) }));
    return 0;
  }
  /** An amount in dollars as text. Not given: zero where the form itself says that blank is zero. */
  amount(field: string): Cents {
    const value = this.source[field];
    if (value === undefined || value === null) return ZERO;
    const parsed = typeof value === 'string' ? parseDollars(value) : null;
    if (parsed === null) {
      this.fail(problem('input.not-an-amount', this.at(field), { value: String(value) }));
      return ZERO;
    }
    if (parsed < 0) this.fail(problem('input.negative', this.at(field), { what: field }));
    if (parsed >= TOO_LARGE) {
      this.fail(problem('input.too-large', this.at(field)));
      return ZERO;
    }
    return parsed;
  }
  decimal(field: string): Rate | null {
    const value = this.source[field];
    if (value === undefined || value === null) return null;
    const parsed = typeof value === 'string' ? parseRate(value) : null;
    if (!parsed) return this.fail(problem('input.not-a-decimal', this.at(field), { value: String(value) }));
    return parsed.n < 0 ? this.fail(problem('input.negative', this.at(field), { what: field })) : parsed;
  }
  percent(field: string): Rate | null {
    const value = this.source[field];
    const parsed = typeof value === 'string' ? parsePercent(value) : null;
    if (!parsed) return this.fail(problem('input.not-a-decimal', this.at(field), { value: String(value) }));
    return parsed.n < 0 ? this.fail(problem('input.negative', this.at(field), { what: field })) : parsed;
  }
  names(): string[] {
    return Object.keys(this.source);
  }
}
