import type { Schemas } from '../api/client.js';
import { VALUE_COLUMNS, alsoOf, typed, type SheetRow } from './sheet-row.js';

/** Who is meant: everybody paid, or those of one department, location or cost center. */
export interface Chosen {
  readonly sort: '' | 'department' | 'location' | 'costCentre';
  readonly name: string;
}
/** What a line would do to one person's entry, before it counts. */
export interface Foreseen {
  readonly employeeId: string;
  readonly name: string;
  /** `regular 80 to 72`, `also 8 holiday`; empty where nothing would change. */
  readonly changes: readonly string[];
  readonly problem: string | null;
}

type Person = Schemas['PayrollPerson'];

export const chosenRows = (
  rows: readonly SheetRow[],
  persons: readonly Person[],
  { sort, name }: Chosen,
): readonly SheetRow[] => {
  const among = new Set(
    persons.filter((person) => sort === '' || person[sort] === name).map(({ employeeId }) => employeeId),
  );
  return rows.filter((row) => row.isPaid && among.has(row.employeeId));
};

/** What typing one short line for each of these people would change. */
export const foreseen = (rows: readonly SheetRow[], line: string): Foreseen[] =>
  rows.map((row) => {
    const { row: next, problem } = typed(row, 'line', line);
    const changes = VALUE_COLUMNS.flatMap((column) => {
      const [before, after] = [row.values[column] ?? '', next.values[column] ?? ''];
      return before === after
        ? []
        : [`${column} ${before === '' ? 'none' : before} to ${after === '' ? 'none' : after}`];
    });
    const also = alsoOf(next) === alsoOf(row) ? [] : [`other pay: ${alsoOf(next) === '' ? 'none' : alsoOf(next)}`];
    return {
      employeeId: row.employeeId,
      name: row.name,
      changes: problem === null ? [...changes, ...also] : [],
      problem,
    };
  });

const WORDS = { department: 'department', location: 'location', costCentre: 'cost center' } as const;
export interface Group {
  readonly sort: keyof typeof WORDS;
  readonly word: string;
  readonly name: string;
  readonly people: number;
}
/** Departments, locations and cost centers of people, with how many of them are in each. */
export function groupsOf(persons: readonly Readonly<Record<keyof typeof WORDS, string>>[]): Group[] {
  return (Object.keys(WORDS) as (keyof typeof WORDS)[]).flatMap((sort) =>
    [...new Set(persons.map((person) => person[sort]).filter((name) => name !== ''))]
      .sort((a, b) => a.localeCompare(b))
      .map((name) => ({
        sort,
        word: WORDS[sort],
        name,
        people: persons.filter((person) => person[sort] === name).length,
      })),
  );
}
