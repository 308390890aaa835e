import { ZERO, sum, type Cents } from '../money/cents.js';
import { lineOf, type ReturnLine } from './return-lines.js';

/** A client of an agent with the lines of its Form 941 of the quarter. */
export interface ClientOfAgent {
  readonly ein: string;
  readonly name: string;
  readonly lines: readonly ReturnLine[];
}
export interface AllocationRow {
  readonly ein: string;
  readonly name: string;
  readonly amounts: readonly Cents[];
}

/**
 * Columns of Schedule R (Form 941), Allocation Schedule for Aggregate Form 941 Filers, by the line of Form 941 that each
 * allocates: recalled, not compared with the print.
 */
export const ALLOCATED: readonly { readonly line: string; readonly label: string; readonly isCount?: true }[] = [
  { line: '1', label: 'Employees', isCount: true },
  { line: '2', label: 'Wages, tips and other compensation' },
  { line: '3', label: 'Federal income tax withheld' },
  { line: '5e', label: 'Social security and Medicare taxes' },
  { line: '5f', label: 'Section 3121(q) notice and demand' },
  { line: '11', label: 'Research credit' },
  { line: '12', label: 'Total taxes after adjustments and credits' },
  { line: '13', label: 'Deposits for the quarter' },
];

/** The rows of the clients in the order of their EINs, and what the aggregate Form 941 of the agent says: their sums. */
export function allocation(clients: readonly ClientOfAgent[]): {
  readonly rows: readonly AllocationRow[];
  readonly totals: readonly Cents[];
} {
  const rows = [...clients]
    .sort((a, b) => (a.ein < b.ein ? -1 : 1))
    .map(({ ein, name, lines }) => ({ ein, name, amounts: ALLOCATED.map(({ line }) => amountOf(lines, line)) }));
  return { rows, totals: ALLOCATED.map((_, index) => sum(rows.map(({ amounts }) => amounts[index] ?? ZERO))) };
}
/** A line that the return does not have is nothing. */
const amountOf = (lines: readonly ReturnLine[], id: string): Cents =>
  lines.some((line) => line.id === id) ? lineOf(lines, id) : ZERO;
