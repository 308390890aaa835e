import { isLiability, type LedgerEntry } from '../ledger/entry.js';
import { cents, showDollars, sum, type Cents } from '../money/cents.js';
import { round, showExact, times } from '../money/exact.js';
import { showPercent, type Rate } from '../money/rate.js';
import type { TaxCode } from '../tax-registry/registry.js';
import type { TapeLine } from '../working/tape.js';

/** Which ledger lines make a line of a return: the taxes, and which of their amounts. */
export interface LineEntries {
  readonly taxes: readonly TaxCode[];
  readonly part: 'subject' | 'wages' | 'amount';
  readonly of: 'liabilities' | 'payments';
}
export interface ReturnLine {
  readonly id: string;
  readonly label: string;
  /** Cents, or a count. */
  readonly value: number;
  readonly kind: 'count' | 'amount';
  readonly entries: LineEntries | null;
  readonly working: readonly TapeLine[];
}

/** Lines of a return as they are filled in, top to bottom; each keeps its working. `Id` are the lines of the form. */
export class LineSheet<Id extends string> {
  private readonly filled = new Map<Id, ReturnLine>();
  readonly liabilities: readonly LedgerEntry[];

  /** `entries`: the ledger of the period, cut to the taxes of the form. */
  constructor(readonly entries: readonly LedgerEntry[]) {
    this.liabilities = entries.filter(isLiability);
  }

  get lines(): readonly ReturnLine[] {
    return [...this.filled.values()];
  }

  value(id: Id): Cents {
    const line = this.filled.get(id);
    if (!line) throw new RangeError(`line ${id} is not computed yet`);
    return cents(line.value);
  }

  total(taxes: readonly TaxCode[], part: LineEntries['part']): Cents {
    return sum(this.liabilities.filter((entry) => taxes.includes(entry.tax)).map((entry) => entry[part]));
  }

  put(id: Id, label: string, value: number, working: readonly TapeLine[], entries: LineEntries | null = null): void {
    this.set(id, label, value, 'amount', working, entries);
  }

  count(id: Id, label: string, value: number, working: readonly TapeLine[]): void {
    this.set(id, label, value, 'count', working, null);
  }

  fromLedger(id: Id, label: string, taxes: readonly TaxCode[], part: LineEntries['part']): void {
    const count = this.liabilities.filter((entry) => taxes.includes(entry.tax)).length;
    this.put(
      id,
      label,
      this.total(taxes, part),
      [
        {
          label: `${count} ledger lines of ${taxes.join(', ')}`,
          value: '',
          how: `added up: ${part === 'amount' ? 'tax' : 'wages'}`,
        },
      ],
      { taxes, part, of: 'liabilities' },
    );
  }

  /** Another line × a rate, half a cent up. */
  byRate(id: Id, from: Id, label: string, by: Rate): void {
    const unrounded = times(this.value(from), by);
    this.put(id, label, round(unrounded, 'half-up'), [
      {
        label: `Line ${from}`,
        value: showDollars(this.value(from)),
        how: `× ${showPercent(by)} = ${showExact(unrounded)}`,
        rounding: 'half a cent up',
      },
    ]);
  }

  addUp(id: Id, label: string, ids: readonly Id[]): void {
    this.put(
      id,
      label,
      sum(ids.map((part) => this.value(part))),
      ids.map((part) => ({ label: `Line ${part}`, value: showDollars(this.value(part)) })),
    );
  }

  private set(
    id: Id,
    label: string,
    value: number,
    kind: ReturnLine['kind'],
    working: readonly TapeLine[],
    entries: LineEntries | null,
  ): void {
    const shown = kind === 'count' ? String(value) : showDollars(cents(value));
    this.filled.set(id, {
      id,
      label,
      value,
      kind,
      entries,
      working: [...working, { label: `Line ${id}`, value: shown, isResult: true }],
    });
  }
}

/** The value of a line, in cents (or a count); zero for one that the return, made before it was prepared here, does not have. */
export const lineOf = (lines: readonly ReturnLine[], id: string): Cents =>
  cents(lines.find((line) => line.id === id)?.value ?? 0);
