import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export type Mood = 'normal' | 'down' | 'slow' | 'refuse';
export interface Submission {
  readonly reference: string;
  readonly key: string;
  readonly fileName: string;
  readonly content: string;
  readonly receivedOn: string;
  state: string;
  code: string | null;
  message: string | null;
  field: string | null;
  confirmation: string | null;
  settledOn: string | null;
  isFinal: boolean;
  /** Accepted, and sent back all the same until this day, when it turns out wrong. */
  refusableUntil?: string | null;
  /** What this party noted of the file: totals, dates. */
  notes: Record<string, string>;
}
export interface Records {
  today: string;
  moods: Record<Party, Mood>;
  counters: Record<string, number>;
  bank: Submission[];
  returns: Submission[];
  wages: Submission[];
  states: Submission[];
  debits: Submission[];
  /** Files that held several returns. */
  transmissions: Transmission[];
  /** Taxpayers whose accounts the agencies may debit. */
  enrollments: Enrollment[];
  /** Money that came to a company's account, or left it, by other ways than files. */
  transfers: Transfer[];
}
export interface Enrollment {
  /** As the agency knows the taxpayer: letters and digits of its account, or the EIN. */
  readonly taxpayer: string;
  readonly accountTail: string;
  readonly pin: string;
}
export interface Transmission {
  readonly reference: string;
  readonly key: string;
  readonly content: string;
  /** The returns by their names and by the references that they got. */
  readonly submissions: readonly { readonly id: string; readonly reference: string }[];
}
export interface Transfer {
  readonly company: string;
  readonly day: string;
  /** Cents; below zero where it left. */
  readonly amount: number;
  readonly reference: string;
}
export type Party = 'bank' | 'returns' | 'wages' | 'states' | 'debits';

/** The outside parties' own records, kept in a file of their own so that a restart forgets nothing. */
export class Store {
  readonly records: Records;
  private readonly path: string;

  constructor(folder: string, today: string) {
    mkdirSync(folder, { recursive: true });
    this.path = join(folder, 'records.json');
    const kept = existsSync(this.path) ? (JSON.parse(readFileSync(this.path, 'utf8')) as Partial<Records>) : {};
    // Records of before a party was there begin it empty.
    this.records = {
      today,
      counters: {},
      bank: [],
      returns: [],
      wages: [],
      states: [],
      debits: [],
      transmissions: [],
      enrollments: [],
      transfers: [],
      ...kept,
      moods: { bank: 'normal', returns: 'normal', wages: 'normal', states: 'normal', debits: 'normal', ...kept.moods },
    };
  }

  save(): void {
    writeFileSync(`${this.path}.new`, JSON.stringify(this.records));
    renameSync(`${this.path}.new`, this.path);
  }

  next(name: string): number {
    const value = (this.records.counters[name] ?? 0) + 1;
    this.records.counters[name] = value;
    return value;
  }
}
