import { TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { payeesQuery, useSavePayee } from '../../api/garnishments.js';
import { sessionQuery } from '../../api/resources.js';
import { EntryForm } from '../../kit/entry-form.js';
import { ListHead } from '../../kit/list-head.js';
import { Waiting } from '../../kit/waiting.js';

type Payee = Schemas['GarnishmentPayeeView'];

function PayeeForm({ payee, onClose }: { readonly payee: Payee; readonly onClose: () => void }): ReactNode {
  const save = useSavePayee();
  const [routing, setRouting] = useState('');
  const [account, setAccount] = useState('');
  return (
    <EntryForm
      label={`Where ${payee.name} is paid`}
      act="Save"
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate({ name: payee.name, routing, account }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextInput
        label="Routing number"
        maxLength={9}
        autoFocus
        value={routing}
        onChange={(event) => setRouting(event.currentTarget.value.trim())}
      />
      <TextInput
        label="Account number"
        description="Both from the payee’s own instructions for employers"
        maxLength={17}
        value={account}
        onChange={(event) => setAccount(event.currentTarget.value.trim())}
      />
    </EntryForm>
  );
}

/** Payees of garnishments, as orders name them, and where each takes support by ACH. */
export function PayeesPage(): ReactNode {
  const payees = useQuery(payeesQuery);
  const { data: session } = useQuery(sessionQuery);
  const [open, setOpen] = useState<string | null>(null);
  const isAdministrator = session?.user.role === 'administrator';
  return (
    <>
      <div className="lead">
        <h1>Payees of garnishments</h1>
        <p className="beside">as the orders of employees name them</p>
      </div>
      <Waiting query={payees}>
        {(rows) =>
          rows.length === 0 ? (
            <p className="empty">
              None yet. The payee of an order stands here once an employee’s garnishment names it.
            </p>
          ) : (
            <table className="ruled">
              <ListHead columns={['Payee', { number: 'Clients' }, 'Paid', '']} />
              <tbody>
                {rows.map((payee) => (
                  <tr key={payee.name}>
                    <td>
                      {payee.name}
                      {open === payee.name && <PayeeForm payee={payee} onClose={() => setOpen(null)} />}
                    </td>
                    <td className="num">{payee.clients}</td>
                    <td>{payee.tail === '' ? 'by check' : `support by ACH, account ending ${payee.tail}`}</td>
                    <td>
                      {isAdministrator && open !== payee.name && (
                        <button type="button" className="plain" onClick={() => setOpen(payee.name)}>
                          {payee.tail === '' ? 'say its account' : 'change its account'}
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Waiting>
    </>
  );
}
