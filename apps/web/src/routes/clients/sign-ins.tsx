import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { contactsQuery, useCreateContact, useOpenContact } from '../../api/contacts.js';
import { EntryForm } from '../../kit/entry-form.js';
import { RefusedNote } from '../../kit/problems.js';
import { AccountFields } from '../account-fields.js';

const BLANK: Schemas['CreateContact'] = { name: '', email: '', password: '' };

function NewSignIn({ clientId, onClose }: { readonly clientId: string; readonly onClose: () => void }): ReactNode {
  const [draft, setDraft] = useState(BLANK);
  const create = useCreateContact(clientId);
  const put = (name: keyof typeof BLANK, value: string): void => setDraft({ ...draft, [name]: value });
  return (
    <EntryForm
      label="New sign-in of the client"
      act="Let them sign in"
      isBusy={create.isPending}
      error={create.error}
      onSave={() => create.mutate(draft, { onSuccess: onClose })}
      onClose={onClose}
    >
      <AccountFields draft={draft} onChange={put} />
    </EntryForm>
  );
}

/** Who of the client signs in to answer, and sees what is filed and paid. An administrator opens and closes accounts. */
export function SignIns({
  clientId,
  isAdministrator,
}: {
  readonly clientId: string;
  readonly isAdministrator: boolean;
}): ReactNode {
  const contacts = useQuery(contactsQuery(clientId));
  const open = useOpenContact(clientId);
  const [isAdding, setAdding] = useState(false);
  const rows = contacts.data ?? [];
  if (rows.length === 0 && !isAdministrator) return null;
  return (
    <section className="section">
      <h2>
        Who answers by signing in
        <small>sees this client’s questions, and what is filed and paid; nothing else</small>
      </h2>
      <table className="ruled">
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} style={row.isActive ? {} : { color: 'var(--pencil)' }}>
              <td>{row.name}</td>
              <td>{row.email}</td>
              <td>{row.hasSecondFactor ? 'second factor in use' : ''}</td>
              <td>
                {isAdministrator && (
                  <button
                    type="button"
                    className="plain"
                    aria-label={`${row.isActive ? 'close' : 'open'} the account of ${row.name}`}
                    onClick={() => open.mutate({ id: row.id, isActive: !row.isActive })}
                  >
                    {row.isActive ? 'close the account' : 'open it again'}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <RefusedNote error={open.error} />
      {isAdministrator &&
        (isAdding ? (
          <NewSignIn clientId={clientId} onClose={() => setAdding(false)} />
        ) : (
          <div className="actions">
            <button type="button" className="plain" onClick={() => setAdding(true)}>
              let somebody sign in
            </button>
          </div>
        ))}
    </section>
  );
}
