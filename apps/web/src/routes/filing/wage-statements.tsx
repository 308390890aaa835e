import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { statementsQuery } from '../../api/wage-statements.js';
import { Figure } from '../../kit/figure.js';
import { W2Copies } from './w2-copies.js';

type Page = Schemas['W2Page'];
/** Boxes that most forms leave blank have a column only where somebody has them. */
const RARE: ReadonlySet<string> = new Set(['box7', 'box8', 'box10', 'box11', 'box18', 'box19']);
const BOXES: readonly (readonly [key: keyof Page['totals'], label: string])[] = [
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
const PAGE = 200;
const many = (count: number): string => count.toLocaleString('en-US');

/** The W-2s of the year, one on a line and the first page of them at once; their totals, the W-3, at the foot. */
export function WageStatements({
  filing,
  first,
}: {
  readonly filing: Schemas['FilingView'];
  readonly first: Page;
}): ReactNode {
  const [find, setFind] = useState('');
  const [count, setCount] = useState(PAGE);
  const words = useDeferredValue(find.trim());
  const isFirst = words === '' && count === PAGE;
  const asked = useQuery({ ...statementsQuery(filing.id, { find: words, count }), enabled: !isFirst });
  const page = isFirst ? first : (asked.data ?? first);
  const hasLeft = ['released', 'received', 'accepted'].includes(filing.status);
  if (first.total === 0) return <p className="empty">Nobody had wages in {filing.period}.</p>;
  const boxes = BOXES.filter(([key]) => !RARE.has(key) || first.totals[key] !== 0);
  return (
    <section className="section">
      <h2>
        Forms W-2{' '}
        <small>
          {many(first.total)} {first.total === 1 ? 'employee' : 'employees'}; the totals are Form W-3
        </small>
      </h2>
      {first.total > PAGE && (
        <p className="filters">
          <input
            type="search"
            aria-label="Find by name or the last four digits"
            placeholder="Name or last four of the SSN"
            value={find}
            onChange={(event) => setFind(event.target.value)}
          />
        </p>
      )}
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
              {first.hasLocals && <th scope="col">20 Locality</th>}
              <th scope="col">Box 12</th>
              {first.hasOthers && <th scope="col">Box 14</th>}
              <th scope="col">Form</th>
            </tr>
          </thead>
          <tbody>
            {page.rows.map((row) => (
              <tr key={row.employeeId}>
                <td>
                  {row.isHere ? (
                    <Link to={`/employees/${row.employeeId}?back=${encodeURIComponent(`/filings/${filing.id}`)}`}>
                      {row.name}
                    </Link>
                  ) : (
                    <>
                      {row.name} <small>not an employee here</small>
                    </>
                  )}
                </td>
                <td className="nowrap">{row.ssnTail === '' ? 'applied for' : `…${row.ssnTail}`}</td>
                {boxes.map(([key]) => (
                  <td key={key} className="num">
                    <Figure amount={row[key]} isPencil={!hasLeft} />
                  </td>
                ))}
                {first.hasLocals && <td>{row.box20}</td>}
                <td>{row.box12}</td>
                {first.hasOthers && <td>{row.box14}</td>}
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
                  {showDollars(cents(first.totals[key]))}
                </td>
              ))}
              <td colSpan={2 + Number(first.hasLocals) + Number(first.hasOthers)} />
            </tr>
          </tfoot>
        </table>
      </div>
      {page.found > page.rows.length && (
        <p className="note">
          {many(page.rows.length)} of {many(page.found)} shown{' '}
          <button type="button" className="plain" onClick={() => setCount(count + PAGE)}>
            show more
          </button>
        </p>
      )}
      {words !== '' && page.found === 0 && <p className="empty">Nobody here is called {words}.</p>}
      {hasLeft && !filing.isElsewhere && <W2Copies filingId={filing.id} />}
    </section>
  );
}
