import { NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useCreateUser, useSignOutEverywhere, useUpdateUser, usersQuery } from '../../api/set-up.js';
import { EntryForm } from '../../kit/entry-form.js';
import { RefusedNote } from '../../kit/problems.js';
import { AccountFields } from '../account-fields.js';
import { Waiting } from '../../kit/waiting.js';
import { ListHead } from '../../kit/list-head.js';

const ROLES = ['preparer', 'reviewer', 'administrator'] as const;
const BLANK: Schemas['CreateUser'] = { name: '', email: '', role: 'preparer', password: '' };

function NewUser({ onClose }: { readonly onClose: () => void }): ReactNode {
  const [draft, setDraft] = useState(BLANK);
  const create = useCreateUser();
  const put = (name: keyof typeof BLANK, value: string): void => setDraft({ ...draft, [name]: value });
  return (
    <EntryForm
      label="New user"
      act="Add"
      isBusy={create.isPending}
      error={create.error}
      onSave={() => create.mutate(draft, { onSuccess: onClose })}
      onClose={onClose}
    >
      <AccountFields draft={draft} onChange={put}>
        <NativeSelect
          label="Role"
          data={[...ROLES]}
          value={draft.role}
          onChange={(event) => put('role', event.currentTarget.value)}
        />
      </AccountFields>
    </EntryForm>
  );
}

/** Who works in the firm, in which role, and where they are signed in. */
export function Users({ isAdministrator }: { readonly isAdministrator: boolean }): ReactNode {
  const users = useQuery(usersQuery);
  const update = useUpdateUser();
  const signOut = useSignOutEverywhere();
  const [isOpen, setOpen] = useState(false);
  return (
    <section className="section">
      <h2>
        Users <small>preparers enter, reviewers release what others prepared, administrators keep this page</small>
      </h2>
      <Waiting query={users}>
        {(rows) => (
          <table className="ruled">
            <ListHead columns={['Name', 'E-mail', 'Role', 'Second factor', 'Signed in', 'Account']} />
            <tbody>
              {rows.map((user) => (
                <tr key={user.id} style={user.isActive ? {} : { color: 'var(--pencil)' }}>
                  <td>{user.name}</td>
                  <td>{user.email}</td>
                  <td>
                    {isAdministrator ? (
                      <NativeSelect
                        aria-label={`Role of ${user.name}`}
                        data={[...ROLES]}
                        value={user.role}
                        onChange={(event) =>
                          update.mutate({
                            id: user.id,
                            name: user.name,
                            isActive: user.isActive,
                            role: event.currentTarget.value as (typeof ROLES)[number],
                          })
                        }
                      />
                    ) : (
                      user.role
                    )}
                  </td>
                  <td>{user.hasSecondFactor ? 'in use' : 'none'}</td>
                  <td>{user.sessions === 0 ? '' : `${user.sessions} ${user.sessions === 1 ? 'place' : 'places'}`}</td>
                  <td>
                    {isAdministrator && (
                      <>
                        <button type="button" className="plain" onClick={() => signOut.mutate(user.id)}>
                          sign out everywhere
                        </button>{' '}
                        <button
                          type="button"
                          className="plain"
                          onClick={() =>
                            update.mutate({ id: user.id, name: user.name, role: user.role, isActive: !user.isActive })
                          }
                        >
                          {user.isActive ? 'close the account' : 'open it again'}
                        </button>
                      </>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Waiting>
      <RefusedNote error={update.error ?? signOut.error} />
      {isAdministrator &&
        (isOpen ? (
          <NewUser onClose={() => setOpen(false)} />
        ) : (
          <div className="actions">
            <button type="button" className="plain" onClick={() => setOpen(true)}>
              add a user
            </button>
          </div>
        ))}
    </section>
  );
}
