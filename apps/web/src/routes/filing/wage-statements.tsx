import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';

type Row = Schemas['W2Row'];
/** Boxes that most forms leave blank have a column only where somebody has them. */
const RARE: ReadonlySet<string> = new Set(['box7', 'box8', 'box10', 'box11', 'box18', 'box19']);
type Box = Extract<keyof Row, `box${number}`>;
const BOXES: readonly (readonly [key: Exclude<Box, 'box12' | 'box14' | 'box20'>, label: string])[] = [
  ['box1', '1 Wages'],
  ['box2', '2 Federal tax'],
  ['box3', '3 OASDI wages'],
  ['box4', '4 OASDI tax'],
  ['box5', '5 Medicare wages'],
  ['box6', '6 Medicare tax'],
  ['box7', '7 Tips'],
  ['box8', '8 Tips allocated'],
  ['box10', '10 Dependent care'],
  ['box11', '11 Nonqualified plans'],
  ['box16', '16 State wages'],
  ['box17', '17 State tax'],
  ['box18', '18 Local wages'],
  ['box19', '19 Local tax'],
];

/** Every W-2 of the year on a line, its totals the W-3 at the foot. */
export function WageStatements({
  filing,
  rows,
}: {
  readonly filing: Schemas['FilingView'];
  readonly rows: readonly Row[];
}): ReactNode {
  const isPencil = !['released', 'received', 'accepted'].includes(filing.status);
  const total = (key: (typeof BOXES)[number][0]): number =>
    rows.reduce((running: number, row: Row) => running + row[key], 0);
  const boxes = BOXES.filter(([key]) => !RARE.has(key) || rows.some((row: Row) => row[key] !== 0));
  const hasLocals = boxes.some(([key]) => key === 'box18');
  const hasOthers = rows.some((row: Row) => row.box14 !== '');
  if (rows.length === 0) return <p className="empty">Nobody had wages in {filing.period}.</p>;
  return (
    <section className="section">
      <h2>
        Forms W-2 <small>{rows.length} people; the totals are Form W-3</small>
      </h2>
      <div className="scroll">
        <table className="ruled many">
          <thead>
            <tr>
              <th scope="col">Employee</th>
              <th scope="col">SSN</th>
              {boxes.map(([key, label]) => (
                <th key={key} scope="col" className="num">
                  {label}
                </th>
              ))}
              {hasLocals && <th scope="col">20 Locality</th>}
              <th scope="col">Box 12</th>
              {hasOthers && <th scope="col">Box 14</th>}
              <th scope="col">Form</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.employeeId}>
                <td>
                  <Link to={`/employees/${row.employeeId}?back=${encodeURIComponent(`/filings/${filing.id}`)}`}>
                    {row.name}
                  </Link>
                </td>
                <td className="nowrap">{row.ssnTail === '' ? 'applied for' : `…${row.ssnTail}`}</td>
                {boxes.map(([key]) => (
                  <td key={key} className="num">
                    <Figure amount={row[key]} isPencil={isPencil} />
                  </td>
                ))}
                {hasLocals && <td>{row.box20}</td>}
                <td>{row.box12}</td>
                {hasOthers && <td>{row.box14}</td>}
                <td>
                  <a href={`/api/filings/${filing.id}/w2/${row.employeeId}`} target="_blank" rel="noreferrer">
                    PDF
                  </a>
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td colSpan={2}>Form W-3</td>
              {boxes.map(([key]) => (
                <td key={key} className="num">
                  {showDollars(cents(total(key)))}
                </td>
              ))}
              <td colSpan={2 + Number(hasLocals) + Number(hasOthers)} />
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
  );
}
