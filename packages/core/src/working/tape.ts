import type { LocalDate } from '../calendar/local-date.js';
import type { Dated } from '../jurisdictions/dated.js';
import { sourceOf } from '../jurisdictions/sources/register.js';

/** A parameter as a working shows it. */
export interface ShownParameter {
  readonly name: string;
  readonly value: string;
  readonly from: LocalDate;
  readonly publication: string;
  readonly edition: string;
  readonly place: string;
  readonly verified: boolean;
  readonly doubt?: string;
}

/** One line of the tape: what it is, the figure it gives, how, and the parameter used. */
export interface TapeLine {
  readonly label: string;
  readonly value: string;
  readonly how?: string;
  readonly parameter?: ShownParameter;
  readonly rounding?: string;
  /** Marks the line that is the figure itself. */
  readonly isResult?: boolean;
}

/** Collects the working of each figure by its code. Computations take `Tape | undefined`; without one it costs nothing. */
export class Tape {
  readonly figures = new Map<string, TapeLine[]>();

  write(figure: string, line: TapeLine): void {
    const lines = this.figures.get(figure);
    if (lines) lines.push(line);
    else this.figures.set(figure, [line]);
  }
}

export function shownParameter(name: string, value: string, row: Dated<unknown>): ShownParameter {
  const source = sourceOf(row.source);
  return {
    name,
    value,
    from: row.from,
    publication: source.title,
    edition: source.edition,
    place: row.place,
    verified: row.standing === 'verified',
    ...(row.doubt === undefined ? {} : { doubt: row.doubt }),
  };
}
