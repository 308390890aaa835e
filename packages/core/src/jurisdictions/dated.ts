import { contains, type LocalDate, type Span } from '../calendar/local-date.js';
import type { SourceId } from './sources/register.js';

/** `verified`: compared with the print. `recalled`: written from memory and not yet compared. */
export type Standing = 'verified' | 'recalled';

export interface Provenance {
  readonly source: SourceId;
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

/** The row in force on `day`, or null: the caller must turn null into an issue, never into a zero. */
export function inForce<T>(rows: readonly Dated<T>[], day: LocalDate): Dated<T> | null {
  for (const row of rows) if (contains(row, day)) return row;
  return null;
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
