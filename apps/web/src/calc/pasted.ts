import { findByName } from '@zakat/core/identity/found-by-name';
import type { SheetRow } from './sheet-row.js';

/** Cells of a paste: which person, which column (counted from the one that was pasted on), what was in it. */
export interface PastedCell {
  readonly employeeId: string;
  readonly across: number;
  readonly value: string;
}
export interface Pasted {
  readonly cells: readonly PastedCell[];
  /** Lines that are nobody's here, by the name they have or their place in the paste; nothing of them is taken. */
  readonly unmatched: readonly string[];
}

/**
 * Lines of a paste, by the name or number in front of them where most have one of a person here, and in their order
 * where they have none. A name that two people share names nobody.
 */
export function readPaste(lines: readonly (readonly string[])[], rows: readonly SheetRow[], from: number): Pasted {
  const personOf = findByName(rows);
  const withNames = lines.filter(([first = '', second]) => second !== undefined && personOf(first) !== null);
  const isNamed = withNames.length > 0 && withNames.length * 2 > lines.filter((line) => line.join('') !== '').length;
  if (!isNamed)
    return {
      cells: lines.flatMap((line, down) => {
        const row = rows[from + down];
        return row ? line.map((value, across) => ({ employeeId: row.employeeId, across, value })) : [];
      }),
      unmatched: lines.flatMap((line, down) =>
        rows[from + down] || line.join('').trim() === '' ? [] : [`line ${down + 1}`],
      ),
    };
  const named = lines
    .filter((line) => line.join('').trim() !== '')
    .map((line) => ({ row: personOf(line[0] ?? ''), line }));
  return {
    cells: named.flatMap(({ row, line }) =>
      row ? line.slice(1).map((value, across) => ({ employeeId: row.employeeId, across, value })) : [],
    ),
    unmatched: named.filter(({ row }) => row === null).map(({ line }) => (line[0] ?? '').trim()),
  };
}
