import { columnOfHeading } from './columns.js';

type Table = readonly (readonly string[])[];
const filled = (row: readonly string[]): string[] => row.map((cell) => cell.trim()).filter((cell) => cell !== '');

/** Rows above the headings that are looked at: a title, a date, a blank line. */
const MOST_ABOVE = 10;
/**
 * The row of the headings, counted from 1: of the first ten, the one with the most headings that are known. Exports write
 * the name of the report and its day above them. The first row when none has two.
 */
export function headingRowOf(table: Table): number {
  const known = table.slice(0, MOST_ABOVE).map((row) => row.filter((cell) => columnOfHeading(cell) !== null).length);
  const most = Math.max(0, ...known);
  return most < 2 ? 1 : known.indexOf(most) + 1;
}

const TOTAL = /^(grand\s+|sub\s*|report\s+)?(totals?|sums?|counts?|averages?)\b/i;
/** Nine digits: somebody's number, so the row is a person whatever it begins with. */
export const isSsnLike = (cell: string): boolean => /^\d{3}[- ]?\d{2}[- ]?\d{4}$/.test(cell.trim());
/** Rows below the headings, counted from 1, that add up the others: they begin with a word such as Total. */
export const totalRowsOf = (table: Table, headingRow: number): number[] =>
  table.flatMap((row, index) => {
    const cells = filled(row);
    const isTotal = index >= headingRow && TOTAL.test(cells[0] ?? '') && !cells.some(isSsnLike);
    return isTotal ? [index + 1] : [];
  });

/** Headings that speak of pay or of tax: a column that is ignored under one of them is said aloud. */
const WORTH_SAYING = /salar|pay|rate|wage|withh|w\/h|deduct|401|garnish|filing|depend/i;
export const ignoredOf = (headings: readonly string[], mapping: readonly string[]): string[] =>
  headings.filter((heading, index) => (mapping[index] ?? '') === '' && WORTH_SAYING.test(heading));
