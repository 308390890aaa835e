import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { employeesQuery } from '../../api/resources.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';

export function PeoplePage(): ReactNode {
  const client = useClient();
  const navigate = useNavigate();
  const people = useQuery(employeesQuery(client.id));
  return (
    <Waiting query={people}>
      {(rows) =>
        rows.length === 0 ? (
          <p className="empty">Nobody works here yet.</p>
        ) : (
          <table className="ruled">
            <thead>
              <tr>
                <th scope="col">Number</th>
                <th scope="col">Name</th>
                <th scope="col">SSN</th>
                <th scope="col">Works in</th>
                <th scope="col">Pay</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="go" onClick={() => void navigate(`/employees/${row.id}`)}>
                  <td>{row.number}</td>
                  <td>
                    <Link to={`/employees/${row.id}`}>{row.name}</Link>
                  </td>
                  <td>ending {row.ssnTail}</td>
                  <td>{row.workState}</td>
                  <td>{row.kind === 'partner' ? 'A partner: a draw is not wages' : row.paySentence}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )
      }
    </Waiting>
  );
}
