import { cents, showDollars } from '@zakat/core/money/cents';
import type { ReactNode } from 'react';
import { Figure } from '../../kit/figure.js';

interface Row {
  /** What the line is of. */
  readonly name: string;
  readonly people?: number | undefined;
  /** Amounts in cents, one a column. */
  readonly amounts: readonly number[];
}
interface Props {
  readonly heading: string;
  /** What the lines are of. */
  readonly of: string;
  readonly columns: readonly string[];
  readonly rows: readonly Row[];
  /** People in all, where they are counted: somebody may be in several lines. */
  readonly people?: number;
  readonly isPencil: boolean;
}

/** Amounts of a register by something, with their totals at the foot. */
export function TotalsTable({ heading, of, columns, rows, people, isPencil }: Props): ReactNode {
  const hasPeople = rows.some((row) => row.people !== undefined);
  return (
    <section className="section">
      <h2>{heading}</h2>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col">{of}</th>
            {hasPeople && (
              <th scope="col" className="num">
                Employees
              </th>
            )}
            {columns.map((column) => (
              <th key={column} scope="col" className="num">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, line) => (
            <tr key={`${line} ${row.name}`}>
              <td>{row.name}</td>
              {hasPeople && <td className="num">{row.people}</td>}
              {columns.map((column, index) => (
                <td key={column} className="num">
                  <Figure amount={row.amounts[index] ?? null} isPencil={isPencil} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td>Totals</td>
            {hasPeople && <td className="num">{people}</td>}
            {columns.map((column, index) => (
              <td key={column} className="num">
                {showDollars(cents(rows.reduce((total, row) => total + (row.amounts[index] ?? 0), 0)))}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </section>
  );
}
