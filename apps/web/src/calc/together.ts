import { isObject } from '@zakat/core/casefile/reader';
import type { Schemas } from '../api/client.js';
import { entryOf, rowOf, type SheetRow } from './sheet-row.js';

const inOrder = (_name: string, value: unknown): unknown =>
  isObject(value) ? Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1))) : value;
const written = (value: unknown): string => JSON.stringify(value, inOrder);
const sorted = (lines: readonly unknown[]): string[] => lines.map(written).sort();

/** What a row says, whatever the order its lines and their fields are kept in. */
export function keyOf(row: SheetRow): string {
  const { earnings, deductions, ...rest } = entryOf(row);
  return written({ ...rest, earnings: sorted(earnings), deductions: sorted(deductions) });
}

/** Somebody else saved other lines for a person whose lines are being typed here. */
export interface Clash {
  readonly employeeId: string;
  readonly name: string;
  readonly theirs: SheetRow;
}
/** The rows of this screen with what somebody else saved meanwhile. */
export interface Together {
  readonly rows: readonly SheetRow[];
  /** What the server has of each person, by `keyOf`. */
  readonly known: ReadonlyMap<string, string>;
  readonly clashes: readonly Clash[];
  /** Whose lines came from somebody else. */
  readonly taken: readonly Pick<SheetRow, 'employeeId' | 'name'>[];
  /** Who is not in this payroll any more although something was typed for them. */
  readonly gone: readonly string[];
}

/**
 * Lays the rows of this screen and what the server has now together: what was not touched here is taken from there, what
 * was typed here stays, and where both moved it is a clash.
 *
 * @param known What the server had of each person when it was last seen here.
 */
export function together(
  rows: readonly SheetRow[],
  known: ReadonlyMap<string, string>,
  persons: Schemas['PayrollView']['persons'],
): Together {
  const mine = new Map(rows.map((row) => [row.employeeId, row]));
  const next = new Map<string, string>();
  const clashes: Clash[] = [];
  const taken: SheetRow[] = [];
  const merged = persons.map((person): SheetRow => {
    const theirs = rowOf(person);
    const key = keyOf(theirs);
    next.set(person.employeeId, key);
    const own = mine.get(person.employeeId);
    if (!own) return theirs;
    const before = known.get(person.employeeId);
    const ownKey = keyOf(own);
    const records = { base: theirs.base, note: theirs.note, number: theirs.number, name: theirs.name };
    if (ownKey === key) return { ...own, ...records, check: theirs.check };
    if (ownKey === before) {
      taken.push(theirs);
      return theirs;
    }
    if (key !== before) clashes.push({ employeeId: person.employeeId, name: theirs.name, theirs });
    return { ...own, ...records };
  });
  const gone = rows.filter((row) => !next.has(row.employeeId) && keyOf(row) !== known.get(row.employeeId));
  return { rows: merged, known: next, clashes, taken, gone: gone.map(({ name }) => name) };
}

/** The lines of a row in a few words. */
export function linesInWords(row: SheetRow): string {
  if (!row.isPaid) return 'not paid';
  const { earnings, deductions } = entryOf(row);
  const said = [...earnings, ...deductions].map((line) => {
    const { item, amount } = line;
    const hours = 'hours' in line ? line.hours : undefined;
    const rate = 'rate' in line ? line.rate : undefined;
    const percent = 'percent' in line ? line.percent : undefined;
    if (hours !== undefined) return `${hours} ${item}${rate === undefined ? '' : ` at ${rate}`}`;
    if (percent !== undefined) return `${item} ${percent}%`;
    return amount === undefined ? item : `${item} ${amount}`;
  });
  return said.length === 0 ? 'nothing' : said.join(', ');
}
