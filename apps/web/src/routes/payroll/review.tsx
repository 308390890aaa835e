import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { reviewQuery } from '../../api/resources.js';
import { ShortDay, shortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

type Review = Schemas['ReviewView'];
type Row = Review['rows'][number];
const signed = (amount: number): string => `${amount > 0 ? '+' : ''}${showDollars(cents(amount))}`;

function Why({ row }: { readonly row: Row }): ReactNode {
  return (
    <>
      {row.causes.join('; ')}
      {row.unusual !== null && <div className="tag-wait">{row.unusual}</div>}
    </>
  );
}

/** Checks with supplemental pay, at the flat rate and together with regular wages: what each way leaves. */
function Supplemental({ rows }: { readonly rows: Review['supplemental'] }): ReactNode {
  if (rows.length === 0) return null;
  return (
    <section className="section">
      <h2>
        Supplemental pay both ways <small>chosen under Setup, Withholding</small>
      </h2>
      <table className="ruled">
        <ListHead
          columns={[
            'Employee',
            { number: 'Supplemental' },
            'Withheld',
            { number: 'Income tax' },
            { number: 'Net' },
            { number: 'Against the chosen' },
          ]}
        />
        <tbody>
          {rows.flatMap(({ employeeId, name, chosen, ways }) => {
            const own = ways.find(({ method }) => method === chosen);
            return ways.map((way, index) => (
              <tr key={`${employeeId} ${way.method}`}>
                <td>{index === 0 && <Link to={`/employees/${employeeId}`}>{name}</Link>}</td>
                <td className="num">{index === 0 && <Figure amount={way.amount} isPencil />}</td>
                <td>
                  {way.method === 'flat' ? 'at the flat rate' : 'together with regular wages'}
                  {way.method === chosen && <b> as chosen</b>}
                </td>
                {way.problem === '' ? (
                  <>
                    <td className="num">
                      <Figure amount={way.incomeTax} isPencil />
                    </td>
                    <td className="num">
                      <Figure amount={way.net} isPencil />
                    </td>
                    <td className="num">
                      {way.method === chosen || !own || own.problem !== '' ? '' : signed(way.net - own.net)}
                    </td>
                  </>
                ) : (
                  <td colSpan={3}>{way.problem}</td>
                )}
              </tr>
            ));
          })}
        </tbody>
      </table>
    </section>
  );
}

/** The checks against last time, by the money at stake, with what moved them; and the cash that the payroll asks for. */
export function Review({ payroll }: { readonly payroll: Schemas['PayrollView'] }): ReactNode {
  const review = useQuery(reviewQuery(payroll.id, payroll.version));
  const [isAll, setAll] = useState(false);
  const isPencil = payroll.status !== 'posted';
  return (
    <Waiting query={review}>
      {(data) => {
        const moved = data.rows.filter((row) => row.kind !== 'same');
        const shown = isAll ? data.rows : moved;
        const same = data.rows.length - moved.length;
        return (
          <>
            <section className="section">
              <h2>
                Change from last payroll{' '}
                <small>
                  {data.against === null ? 'the first of its kind' : `most against ${shortDay(data.against)}`}
                  {same > 0 && (
                    <>
                      {'; '}
                      <button type="button" className="plain" aria-pressed={isAll} onClick={() => setAll(!isAll)}>
                        {isAll ? 'only who moved' : `${same} as last time`}
                      </button>
                    </>
                  )}
                </small>
              </h2>
              {shown.length === 0 ? (
                <p className="empty">Everybody is paid as last time.</p>
              ) : (
                <table className="ruled">
                  <ListHead
                    columns={[
                      'Employee',
                      { number: 'Gross' },
                      { number: 'Change' },
                      { number: 'Net' },
                      { number: 'Change' },
                      'Why',
                    ]}
                  />
                  <tbody>
                    {shown.map((row) => (
                      <tr key={row.employeeId}>
                        <td>
                          <Link to={`/employees/${row.employeeId}`}>{row.name}</Link>
                        </td>
                        <td className="num">
                          <Figure amount={row.gross} isPencil={isPencil} />
                        </td>
                        <td className="num">{row.grossChange === 0 ? '–' : signed(row.grossChange)}</td>
                        <td className="num">
                          <Figure amount={row.net} isPencil={isPencil} />
                        </td>
                        <td className="num">{row.netChange === 0 ? '–' : signed(row.netChange)}</td>
                        <td>
                          <Why row={row} />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
            </section>
            <Supplemental rows={data.supplemental} />
            <section className="section">
              <h2>
                Cash needed <small>what the payroll costs in all: {showDollars(cents(data.cost))}</small>
              </h2>
              <table className="ruled" style={{ maxWidth: 620 }}>
                <tbody>
                  {data.cash.map((need) => (
                    <tr key={need.what}>
                      <td>{need.what}</td>
                      <td>
                        {need.day === null ? (
                          <span className="tag-wait">day not known</span>
                        ) : (
                          <ShortDay day={need.day} />
                        )}
                      </td>
                      <td className="num">
                        <Figure amount={need.amount} isPencil={isPencil} />
                      </td>
                    </tr>
                  ))}
                </tbody>
                <tfoot>
                  <tr>
                    <td colSpan={2}>Together</td>
                    <td className="num">
                      <Figure amount={data.cash.reduce((total, need) => total + need.amount, 0)} isPencil={isPencil} />
                    </td>
                  </tr>
                </tfoot>
              </table>
            </section>
          </>
        );
      }}
    </Waiting>
  );
}
