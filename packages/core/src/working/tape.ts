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

/** Makes a line of the tape when somebody reads it. What it closes over does not change after it is given. */
export type WriteLine = () => TapeLine;

/**
 * Collects the working of each figure by its code. A computation notes what there is to say; the words are made only of
 * the figures that are read. Computations take `Tape | undefined`.
 */
export class Tape {
  private readonly noted = new Map<string, WriteLine[]>();

  write(figure: string, line: WriteLine): void {
    const lines = this.noted.get(figure);
    if (lines) lines.push(line);
    else this.noted.set(figure, [line]);
  }

  /** Notes the lines of other figures, in their order, under one more figure. */
  gather(figure: string, others: readonly string[]): void {
    for (const other of others) for (const line of this.noted.get(other) ?? []) this.write(figure, line);
  }

  /** The working of one figure; empty for a figure without one. */
  linesOf(figure: string): readonly TapeLine[] {
    return (this.noted.get(figure) ?? []).map((line) => line());
  }

  /** Every figure with its working. */
  figures(): Readonly<Record<string, readonly TapeLine[]>> {
    return Object.fromEntries([...this.noted.keys()].map((figure) => [figure, this.linesOf(figure)]));
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
