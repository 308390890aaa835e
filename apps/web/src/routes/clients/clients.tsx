import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { clientsQuery } from '../../api/resources.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

export function ClientsPage(): ReactNode {
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const words = search.get('find') ?? '';
  const clients = useQuery(clientsQuery(words));
  return (
    <>
      <div className="lead">
        <h1>Clients</h1>
        <div className="actions" style={{ margin: 0 }}>
          <TextInput
            aria-label="Find a client"
            w={290}
            placeholder="name, code or last digits of the EIN"
            value={words}
            onChange={(event) =>
              setSearch(event.currentTarget.value ? { find: event.currentTarget.value } : {}, { replace: true })
            }
          />
          <Button onClick={() => void navigate('/clients/new')}>Add client</Button>
        </div>
      </div>
      <Waiting query={clients}>
        {({ rows, total }) =>
          rows.length === 0 ? (
            <p className="empty">{words ? 'No client matches.' : 'No client yet. Add the first.'}</p>
          ) : (
            <>
              <table className="ruled">
                <ListHead columns={['Client', 'Code', 'EIN', 'State', 'Federal depositor', { number: 'Employees' }]} />
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id} className="go" onClick={() => void navigate(`/clients/${row.id}`)}>
                      <td>
                        <Link to={`/clients/${row.id}`}>{row.legalName}</Link>
                        {row.tradeName === '' ? null : <span className="soft">, {row.tradeName}</span>}
                      </td>
                      <td>{row.key}</td>
                      <td>{row.einTail === '' ? 'applied for' : `ending ${row.einTail}`}</td>
                      <td>{row.state}</td>
                      <td>{row.depositSchedule}</td>
                      <td className="num">{row.people}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {total > rows.length && (
                <p className="note">
                  The first {rows.length} of {total}. Type a part of the name to find the others.
                </p>
              )}
            </>
          )
        }
      </Waiting>
    </>
  );
}
