import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';

type Row = Schemas['W2Row'];
const BOXES: readonly (readonly [
  key: 'box1' | 'box2' | 'box3' | 'box4' | 'box5' | 'box6' | 'box7' | 'box16' | 'box17',
  label: string,
])[] = [
  ['box1', '1 Wages'],
  ['box2', '2 Federal tax'],
  ['box3', '3 OASDI wages'],
  ['box4', '4 OASDI tax'],
  ['box5', '5 Medicare wages'],
  ['box6', '6 Medicare tax'],
  ['box7', '7 Tips'],
  ['box16', '16 State wages'],
  ['box17', '17 State tax'],
];

/** Every W-2 of the year on a line, its totals the W-3 at the foot. */
export function WageStatements({ filing }: { readonly filing: Schemas['FilingView'] }): ReactNode {
  const isPencil = !['released', 'received', 'accepted'].includes(filing.status);
  const total = (key: (typeof BOXES)[number][0]): number =>
    filing.w2s.reduce((running: number, row: Row) => running + row[key], 0);
  if (filing.w2s.length === 0) return <p className="empty">Nobody had wages in {filing.year}.</p>;
  return (
    <section className="section">
      <h2>
        Forms W-2 <small>{filing.w2s.length} people; the totals are Form W-3</small>
      </h2>
      <div className="scroll">
        <table className="ruled">
          <thead>
            <tr>
              <th scope="col">Person</th>
              <th scope="col">SSN</th>
              {BOXES.map(([key, label]) => (
                <th key={key} scope="col" className="num">
                  {label}
                </th>
              ))}
              <th scope="col">Box 12</th>
              <th scope="col">Form</th>
            </tr>
          </thead>
          <tbody>
            {filing.w2s.map((row) => (
              <tr key={row.employeeId}>
                <td>
                  <Link to={`/employees/${row.employeeId}?back=${encodeURIComponent(`/filings/${filing.id}`)}`}>
                    {row.name}
                  </Link>
                </td>
                <td>…{row.ssnTail}</td>
                {BOXES.map(([key]) => (
                  <td key={key} className="num">
                    <Figure amount={row[key]} isPencil={isPencil} />
                  </td>
                ))}
                <td>{row.box12}</td>
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
              {BOXES.map(([key]) => (
                <td key={key} className="num">
                  {showDollars(cents(total(key)))}
                </td>
              ))}
              <td colSpan={2} />
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
  );
}
