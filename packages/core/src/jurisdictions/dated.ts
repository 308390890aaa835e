import { contains, date, type LocalDate, type Span } from '../calendar/local-date.js';
import type { Source, SourceId } from './sources/register.js';

/** `verified`: compared with the print. `recalled`: written from memory and not yet compared. */
export type Standing = 'verified' | 'recalled';

export interface Provenance {
  readonly source: SourceId | Source;
  /** Table, line or page in the source. */
  readonly place: string;
  readonly standing: Standing;
  /** What is not sure about the value, in one sentence. */
  readonly doubt?: string;
}

/** A value that holds for the check dates in its span. Versions are appended, never edited. */
export interface Dated<T> extends Span, Provenance {
  readonly value: T;
}

/** The calendar years `first` to `last`, both whole. */
export const years = (first: number, last: number): Span => ({
  from: date(`${first}-01-01`),
  until: date(`${last + 1}-01-01`),
});
export const year = (value: number): Span => years(value, value);
/** From one day until the day before another. */
export const between = (from: string, until: string): Span => ({ from: date(from), until: date(until) });
/** Where a value comes from, when it was written from memory. */
export const recalled = (source: SourceId | Source, place: string, doubt?: string): Provenance =>
  doubt === undefined ? { source, place, standing: 'recalled' } : { source, place, standing: 'recalled', doubt };
export const dated = <T>(span: Span, provenance: Provenance, value: T): Dated<T> => ({ ...span, ...provenance, value });

/** Rows a firm put in front of a parameter's own, by the parameter's list of rows. The last one that holds counts. */
export type OwnRules = ReadonlyMap<readonly Dated<unknown>[], readonly Dated<unknown>[]>;

/** The row in force on `day`, or null: the caller must turn null into an issue, never into a zero. */
export function inForce<T>(rows: readonly Dated<T>[], day: LocalDate, own?: OwnRules | null): Dated<T> | null {
  const added = own?.get(rows);
  if (added) {
    for (let index = added.length - 1; index >= 0; index -= 1) {
      const row = added[index];
      // A rule pack is checked against the parameter it belongs to before it gets here.
      if (row && contains(row, day)) return row as Dated<T>;
    }
  }
  return rowOf(rows, day);
}

/** Rows of the product itself by the day asked for last: a payroll asks for the same ones again for every person. */
const ofDay: { day: LocalDate | null; readonly rows: Map<readonly Dated<unknown>[], Dated<unknown> | null> } = {
  day: null,
  rows: new Map(),
};
/** More lists than the product has: a firm's own places may bring theirs anew with every request. */
const MOST_KEPT = 10_000;
function rowOf<T>(rows: readonly Dated<T>[], day: LocalDate): Dated<T> | null {
  if (ofDay.day !== day || ofDay.rows.size > MOST_KEPT) {
    ofDay.day = day;
    ofDay.rows.clear();
  }
  let row = ofDay.rows.get(rows) as Dated<T> | null | undefined;
  if (row === undefined) {
    row = rows.find((candidate) => contains(candidate, day)) ?? null;
    ofDay.rows.set(rows, row);
  }
  return row;
}

/** Places where the spans of one parameter overlap or leave a hole; empty when there are none. */
export function spanFaults(rows: readonly Span[]): string[] {
  const ordered = [...rows].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
  return ordered.flatMap((row, index) => {
    const next = ordered[index + 1];
    if (row.until !== null && row.until <= row.from) return [`empty span at ${row.from}`];
    if (!next || row.until === next.from) return [];
    return [row.until === null || row.until > next.from ? `overlap at ${next.from}` : `hole at ${row.until}`];
  });
}
