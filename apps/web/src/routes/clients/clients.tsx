import { useQuery } from '@tanstack/react-query';
import { TextInput } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { clientsQuery } from '../../api/resources.js';
import { Waiting } from '../../kit/waiting.js';

export function ClientsPage(): ReactNode {
  const clients = useQuery(clientsQuery);
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const words = (search.get('find') ?? '').toLowerCase();
  return (
    <>
      <div className="lead">
        <h1>Clients</h1>
        <TextInput
          aria-label="Find a client"
          placeholder="name, key or EIN tail"
          value={search.get('find') ?? ''}
          onChange={(event) =>
            setSearch(event.currentTarget.value ? { find: event.currentTarget.value } : {}, { replace: true })
          }
        />
      </div>
      <Waiting query={clients}>
        {(rows) => {
          const shown = rows.filter((row) =>
            `${row.legalName} ${row.tradeName} ${row.key} ${row.einTail}`.toLowerCase().includes(words),
          );
          return shown.length === 0 ? (
            <p className="empty">No client has these words.</p>
          ) : (
            <table className="ruled">
              <thead>
                <tr>
                  <th scope="col">Client</th>
                  <th scope="col">Key</th>
                  <th scope="col">EIN</th>
                  <th scope="col">State</th>
                  <th scope="col">Federal depositor</th>
                  <th scope="col" className="num">
                    People
                  </th>
                </tr>
              </thead>
              <tbody>
                {shown.map((row) => (
                  <tr key={row.id} className="go" onClick={() => void navigate(`/clients/${row.id}`)}>
                    <td>
                      <Link to={`/clients/${row.id}`}>{row.legalName}</Link>
                    </td>
                    <td>{row.key}</td>
                    <td>ending {row.einTail}</td>
                    <td>{row.state}</td>
                    <td>{row.depositSchedule}</td>
                    <td className="num">{row.people}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          );
        }}
      </Waiting>
    </>
  );
}
