import { NativeSelect } from '@mantine/core';
import { cents, showDollars, toDollars } from '@zakat/core/money/cents';
import type { ReducedLine } from '@zakat/core/casefile/within-net';
import { useState, type ReactNode } from 'react';
import type { SheetRow } from '../../calc/sheet-row.js';

interface Props {
  readonly rows: readonly SheetRow[];
  /** Which lines give way, in the order in which they do; null: none can. */
  readonly onAsk: (employeeId: string) => Promise<readonly ReducedLine[] | null>;
  readonly onTake: (employeeId: string, lines: readonly ReducedLine[]) => void;
}
const REST = [
  { value: 'owed', label: 'the rest is owed: next checks take it' },
  { value: 'dropped', label: 'the rest is not taken at all' },
];

function Person({ row, onAsk, onTake }: Omit<Props, 'rows'> & { readonly row: SheetRow }): ReactNode {
  const [lines, setLines] = useState<readonly ReducedLine[] | null>(null);
  const [isAsked, setAsked] = useState(false);
  const ask = (): void =>
    void onAsk(row.employeeId).then((found) => {
      setLines(found);
      setAsked(true);
    });
  const choose = (at: number, isOwed: boolean): void =>
    setLines((before) => (before ?? []).map((line, index) => (index === at ? { ...line, isOwed } : line)));
  return (
    <div>
      <p>
        The pay of <b>{row.name}</b> does not reach: net pay would be {showDollars(cents(row.check.net))}.{' '}
        {!isAsked && (
          <button type="button" className="plain" onClick={ask}>
            what gives way
          </button>
        )}
        {isAsked && lines === null && 'No deduction can make up for it: taxes and orders come first. Correct the pay.'}
      </p>
      {lines !== null && (
        <>
          <table className="ruled" style={{ maxWidth: 860 }} aria-label={`What gives way for ${row.name}`}>
            <thead>
              <tr>
                <th scope="col">Deduction, in the order in which it gives way</th>
                <th scope="col" className="num">
                  Comes to
                </th>
                <th scope="col" className="num">
                  Is taken
                </th>
                <th scope="col">And the rest</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line, index) => (
                <tr key={line.line}>
                  <td>{line.label}</td>
                  <td className="num">{line.computed}</td>
                  <td className="num">{line.amount}</td>
                  <td>
                    <NativeSelect
                      size="xs"
                      aria-label={`The rest of ${line.label}`}
                      value={line.isOwed ? 'owed' : 'dropped'}
                      onChange={(event) => choose(index, event.currentTarget.value === 'owed')}
                      data={REST}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <button
            type="button"
            className="plain"
            style={{ marginTop: 8 }}
            onClick={() => onTake(row.employeeId, lines)}
          >
            take it so
          </button>
        </>
      )}
    </div>
  );
}

/** Checks whose net pay would be below zero, with the deductions that give way: those nobody but the person wants first. */
export function NotEnough({ rows, ...acts }: Props): ReactNode {
  const short = rows.filter((row) => row.isPaid && row.check.net < 0);
  if (short.length === 0) return null;
  return (
    <section className="problem" data-severity="error" aria-label="Pay that does not reach">
      {short.map((row) => (
        <Person key={`${row.employeeId} ${toDollars(cents(row.check.net))}`} row={row} {...acts} />
      ))}
    </section>
  );
}
