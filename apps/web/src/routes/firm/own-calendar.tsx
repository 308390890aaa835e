import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { calendarFeedsQuery, useEndCalendarFeed, useMakeCalendarFeed } from '../../api/calendar-feeds.js';
import { clientsQuery } from '../../api/resources.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';

/** Of one client or of all: somebody of a client has no choice. */
function Whose({ value, onChange }: { readonly value: string; readonly onChange: (value: string) => void }): ReactNode {
  const { data } = useQuery(clientsQuery(''));
  return (
    <NativeSelect
      label="Due dates of"
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
      data={[
        { value: '', label: 'every client' },
        ...(data?.rows ?? []).map(({ id, legalName }) => ({ value: id, label: legalName })),
      ]}
    />
  );
}

/** Due dates in one's own calendar, by an address with a secret. */
export function OwnCalendar({ isOfClient }: { readonly isOfClient: boolean }): ReactNode {
  const feeds = useQuery(calendarFeedsQuery);
  const make = useMakeCalendarFeed();
  const end = useEndCalendarFeed();
  const [clientId, setClientId] = useState('');
  return (
    <section className="section">
      <h2>
        Calendar <small>due dates in your own calendar program</small>
      </h2>
      <Waiting query={feeds}>
        {(rows) =>
          rows.length === 0 ? (
            <p className="empty">
              No address yet. Whoever knows one reads the due dates, without names of people and without amounts.
            </p>
          ) : (
            <table className="ruled" style={{ maxWidth: 560 }}>
              <ListHead columns={['Due dates of', '']} />
              <tbody>
                {rows.map((row) => (
                  <tr key={row.id}>
                    <td>{row.of === '' ? 'every client' : row.of}</td>
                    <td>
                      <button type="button" className="plain" onClick={() => end.mutate(row.id)}>
                        end the address
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Waiting>
      {make.data && (
        <TextInput
          label="The address; it is shown this once"
          readOnly
          value={make.data.address}
          onFocus={(event) => event.currentTarget.select()}
        />
      )}
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        {!isOfClient && <Whose value={clientId} onChange={setClientId} />}
        <Button
          variant="outline"
          loading={make.isPending}
          onClick={() => make.mutate(clientId === '' ? null : clientId)}
        >
          Make an address
        </Button>
      </div>
      <RefusedNote error={make.error ?? end.error} />
    </section>
  );
}
