import { TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { employeesQuery, sessionQuery } from '../../api/resources.js';
import { Waiting } from '../../kit/waiting.js';
import { ownItemChoices } from '../fact-forms/item-choices.js';
import { ChangeForManyForm } from './change-for-many.js';
import { useClient } from './client-frame.js';
import { PeopleFiles } from './people-files.js';
import { QuickEntry } from './quick-entry.js';
import { ListHead } from '../../kit/list-head.js';

const KINDS: Readonly<Record<string, string>> = {
  partner: 'A partner: a draw is not wages',
  contractor: 'A contractor: nothing is withheld',
};

export function PeoplePage(): ReactNode {
  const client = useClient();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const words = search.get('find') ?? '';
  const { data: session } = useQuery(sessionQuery);
  const [isManyOpen, setManyOpen] = useState(false);
  const people = useQuery(employeesQuery(client.id, words));
  return (
    <>
      <QuickEntry client={client} nextNumber={people.data?.nextNumber ?? ''} />
      <div className="actions">
        <TextInput
          aria-label="Find an employee"
          w={290}
          placeholder="name, number or last digits of the SSN"
          value={words}
          onChange={(event) =>
            setSearch(event.currentTarget.value ? { find: event.currentTarget.value } : {}, { replace: true })
          }
        />
        {(people.data?.total ?? 0) > 1 && (
          <button type="button" className="plain" aria-expanded={isManyOpen} onClick={() => setManyOpen(!isManyOpen)}>
            a change for many
          </button>
        )}
        <span className="soft">
          {people.data ? `${people.data.total} ${people.data.total === 1 ? 'employee' : 'employees'}` : ''}
        </span>
      </div>
      {isManyOpen && session && (
        <ChangeForManyForm
          clientId={client.id}
          own={ownItemChoices(client.facts)}
          today={session.today}
          onClose={() => setManyOpen(false)}
        />
      )}
      <Waiting query={people}>
        {({ rows, total }) =>
          rows.length === 0 ? (
            <p className="empty">
              {words === '' ? 'No employees yet. Add one above, or import a file.' : 'No employee matches.'}
            </p>
          ) : (
            <>
              <table className="ruled">
                <ListHead columns={['No.', 'Name', 'SSN', 'Work state', 'Pay']} />
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id} className="go" onClick={() => void navigate(`/employees/${row.id}`)}>
                      <td>{row.number}</td>
                      <td>
                        <Link to={`/employees/${row.id}`}>{row.name}</Link>
                      </td>
                      <td>{row.ssnTail === '' ? 'applied for' : `ending ${row.ssnTail}`}</td>
                      <td>{row.workState}</td>
                      <td>{KINDS[row.kind] ?? row.paySentence}</td>
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
      <PeopleFiles clientId={client.id} />
    </>
  );
}
