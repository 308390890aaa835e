import { NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { parseDate } from '@zakat/core/calendar/local-date';
import { Fragment, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { clientsQuery, trailQuery } from '../../api/resources.js';
import { verificationQuery } from '../../api/set-up.js';
import { DateField } from '../../kit/date-field.js';
import { sayDay, timeOf } from '../../kit/day.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

const FILTERS = ['client', 'employee', 'user', 'about', 'from', 'to', 'before'] as const;
const words = (about: string): string => about.charAt(0).toUpperCase() + about.slice(1).replaceAll('-', ' ');

/** Who did what, newest first, a day at a time; each entry is chained to the one before. */
export function TrailPage(): ReactNode {
  const [search, setSearch] = useSearchParams();
  const asked = Object.fromEntries(
    FILTERS.flatMap((name) => (search.get(name) ? [[name, search.get(name) ?? '']] : [])),
  );
  // A day that cannot be read yet asks for nothing; its field says so.
  const readable = Object.fromEntries(
    Object.entries(asked).filter(([name, value]) => (name !== 'from' && name !== 'to') || parseDate(value) !== null),
  );
  const trail = useQuery(trailQuery(readable));
  const verified = useQuery(verificationQuery);
  const { data: clients } = useQuery(clientsQuery(''));
  const set = (name: (typeof FILTERS)[number]) => (value: string) => {
    const next = new URLSearchParams(search);
    next.delete('before');
    if (value) next.set(name, value);
    else next.delete(name);
    setSearch(next, { replace: true });
  };
  const choose = (
    name: (typeof FILTERS)[number],
    label: string,
    data: { value: string; label: string }[],
  ): ReactNode => (
    <NativeSelect
      label={label}
      value={search.get(name) ?? ''}
      data={[{ value: '', label: 'all' }, ...data]}
      onChange={(event) => set(name)(event.currentTarget.value)}
    />
  );
  return (
    <>
      <div className="lead">
        <h1>Audit trail</h1>
        <p className="beside">
          who did what, newest first; each entry carries the hash of the one before
          <br />
          {verified.data &&
            (verified.data.brokenAt === null
              ? `all ${verified.data.entries} entries recomputed: the chain holds`
              : `the chain is broken at entry ${verified.data.brokenAt}`)}
        </p>
      </div>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        {choose(
          'client',
          'Client',
          (clients?.rows ?? []).map((client) => ({ value: client.id, label: client.legalName })),
        )}
        {choose(
          'user',
          'Who',
          (trail.data?.users ?? []).map((user) => ({ value: user.id, label: user.name })),
        )}
        {choose(
          'about',
          'About',
          (trail.data?.about ?? []).map((about) => ({ value: about, label: words(about) })),
        )}
        <DateField label="From" w={140} value={search.get('from') ?? ''} onChange={set('from')} />
        <DateField label="To" w={140} value={search.get('to') ?? ''} onChange={set('to')} />
        {Object.keys(asked).length > 0 && (
          <button type="button" className="plain" onClick={() => setSearch({}, { replace: true })}>
            show all
          </button>
        )}
      </div>
      <Waiting query={trail}>
        {({ rows, hasMore }) =>
          rows.length === 0 ? (
            <p className="empty">Nothing here by these choices. Every act of everybody is kept, and shows here.</p>
          ) : (
            <>
              <table className="ruled">
                <ListHead columns={[{ number: 'No.' }, 'Time', 'Who did what', 'Client']} />
                <tbody>
                  {rows.map((row, index) => (
                    <Fragment key={row.seq}>
                      {row.at.slice(0, 10) !== rows[index - 1]?.at.slice(0, 10) && (
                        <tr className="day-line">
                          <th scope="rowgroup" colSpan={4}>
                            {sayDay(row.at.slice(0, 10))}
                          </th>
                        </tr>
                      )}
                      <tr>
                        <td className="num soft">{row.seq}</td>
                        <td className="nowrap">{timeOf(row.at)}</td>
                        <td style={{ overflowWrap: 'anywhere' }}>
                          {row.by} {row.sentence}.
                        </td>
                        <td>{row.clientId && <Link to={`/clients/${row.clientId}`}>{row.client}</Link>}</td>
                      </tr>
                    </Fragment>
                  ))}
                </tbody>
              </table>
              {hasMore && (
                <button
                  type="button"
                  className="plain"
                  onClick={() =>
                    setSearch((now) => {
                      now.set('before', String(rows.at(-1)?.seq ?? ''));
                      return now;
                    })
                  }
                >
                  earlier entries
                </button>
              )}
            </>
          )
        }
      </Waiting>
    </>
  );
}
