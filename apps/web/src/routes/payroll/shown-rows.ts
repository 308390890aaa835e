import type { Schemas } from '../../api/client.js';
import { groupsOf } from '../../calc/for-many.js';
import type { SheetRow } from '../../calc/sheet-row.js';

type Persons = Schemas['PayrollView']['persons'];
export interface RowFilter {
  readonly value: string;
  readonly label: string;
}
const FIXED: readonly (RowFilter & { readonly test: (row: SheetRow) => boolean })[] = [
  { value: '', label: 'everybody', test: () => true },
  { value: 'paid', label: 'who is paid', test: (row) => row.isPaid },
  { value: 'unpaid', label: 'who is not paid', test: (row) => !row.isPaid },
  {
    value: 'waiting',
    label: 'who has no hours or pay yet',
    test: (row) => row.isPaid && row.check.gross === 0,
  },
  {
    value: 'warned',
    label: 'who has a warning',
    test: (row) => row.isPaid && (row.check.problems.length > 0 || row.unread !== null),
  },
];

/** Ways to look at part of a sheet: by department, location or cost center, or by what is to be done. */
export const rowFilters = (persons: Persons): RowFilter[] => [
  ...FIXED.map(({ value, label }) => ({ value, label })),
  ...groupsOf(persons).map(({ sort, word, name }) => ({ value: `${sort} ${name}`, label: `${word} ${name}` })),
];

/** The rows of a way to look at them. A filter that is not there (any more) shows everybody. */
export function shownRows(rows: readonly SheetRow[], persons: Persons, value: string): readonly SheetRow[] {
  const fixed = FIXED.find((one) => one.value === value);
  if (fixed) return fixed.value === '' ? rows : rows.filter(fixed.test);
  const group = groupsOf(persons).find(({ sort, name }) => `${sort} ${name}` === value);
  if (!group) return rows;
  const among = new Set(
    persons.filter((person) => person[group.sort] === group.name).map(({ employeeId }) => employeeId),
  );
  return rows.filter(({ employeeId }) => among.has(employeeId));
}
