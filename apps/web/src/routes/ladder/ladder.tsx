import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { ladderQuery, sessionQuery } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { Runway } from '../../kit/runway.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { Day, ShortDay, shortDay } from '../../kit/day.js';

type Rung = Schemas['Rung'];
const RUNWAY_DAYS = 42;
/** Rungs shown at first, and added by one press. */
const PAGE = 200;

function RungRow({ rung }: { readonly rung: Rung }): ReactNode {
  const navigate = useNavigate();
  return (
    <tr className="go" data-late={rung.isLate} onClick={() => void navigate(rung.path)}>
      <td className="rail" aria-hidden="true" />
      <td className="when">{rung.sendBy === null ? 'no date' : <Day day={rung.sendBy} />}</td>
      <td className="due">
        {rung.due === null ? null : rung.isLate ? (
          `past its send-by; due ${rung.due === null ? 'on no known date' : shortDay(rung.due)}`
        ) : rung.sendBy === rung.due ? (
          'the same day'
        ) : (
          <ShortDay day={rung.due} />
        )}
      </td>
      <td>
        <Link to={rung.path}>{rung.title}</Link>
      </td>
      <td>{rung.clientName}</td>
      <td>
        <Status word={rung.standing} />
      </td>
      <td>{rung.move}</td>
      <td className="num">
        {rung.amount === null ? null : <Figure amount={rung.amount} isPencil={rung.standing === 'open'} />}
      </td>
    </tr>
  );
}

/** The opening page: everything owed to anybody, in the order of its last safe moment. */
export function LadderPage(): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const [search, setSearch] = useSearchParams();
  const from = search.get('from');
  const to = search.get('to');
  const range = from && to ? ([from, to] as const) : null;
  const [count, setCount] = useState(PAGE);
  const ladder = useQuery(ladderQuery({ ...(range ? { from: range[0], to: range[1] } : {}), count: String(count) }));
  const today = parseDate(session?.today ?? '');
  return (
    <>
      <div className="lead">
        <h1>The ladder</h1>
        <p className="beside">by the last safe moment to send; drag across the runway to see only those days</p>
      </div>
      <Waiting query={ladder}>
        {({ rungs, days, ...all }) => (
          <>
            {today && (
              <Runway
                from={today}
                days={RUNWAY_DAYS}
                marks={days}
                range={range}
                onRange={(next) => setSearch(next ? { from: next[0], to: next[1] } : {}, { replace: true })}
              />
            )}
            {range && (
              <p className="note">
                Only <Day day={range[0]} /> to <Day day={range[1]} />.{' '}
                <button type="button" className="plain" onClick={() => setSearch({}, { replace: true })}>
                  show all
                </button>
              </p>
            )}
            {all.waiting > 0 && (
              <p className="note" role="status">
                {all.waiting === 1 ? 'One client is' : `${all.waiting} clients are`} still being worked out; what they
                owe comes to the ladder in a moment.
              </p>
            )}
            {rungs.length === 0 ? (
              <p className="empty">
                Nothing waits{range ? ' in these days' : ''}. Payrolls, deposits and returns of every client stand here
                by the last safe moment to act on them.
              </p>
            ) : (
              <table className="ruled ladder">
                <thead>
                  <tr>
                    <th aria-hidden="true" />
                    <th scope="col">Send by</th>
                    <th scope="col">Due</th>
                    <th scope="col">Obligation</th>
                    <th scope="col">Client</th>
                    <th scope="col">Status</th>
                    <th scope="col">Waiting on</th>
                    <th scope="col" className="num">
                      Amount
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rungs.map((rung) => (
                    <RungRow key={rung.key} rung={rung} />
                  ))}
                </tbody>
                <tfoot>
                  <tr>
                    <td />
                    <td colSpan={6}>
                      {all.count === 1 ? '1 obligation' : `${all.count.toLocaleString('en-US')} obligations`}
                      {all.count > rungs.length && (
                        <>
                          , the first {rungs.length.toLocaleString('en-US')} shown{' '}
                          <button type="button" className="plain" onClick={() => setCount(count + PAGE)}>
                            show more
                          </button>
                        </>
                      )}
                    </td>
                    <td className="num">{showDollars(cents(all.out))}</td>
                  </tr>
                </tfoot>
              </table>
            )}
          </>
        )}
      </Waiting>
    </>
  );
}
