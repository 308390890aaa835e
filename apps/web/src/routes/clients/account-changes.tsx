import { TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Fragment, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { accountChangesQuery, useDecideAccountChange } from '../../api/direct-deposits.js';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';

type Change = Schemas['AccountChangeView'];

function Decline({ change, onClose }: { readonly change: Change; readonly onClose: () => void }): ReactNode {
  const save = useDecideAccountChange(change.id);
  const [reason, setReason] = useState('');
  return (
    <EntryForm
      label={`Decline the correction for ${change.name}`}
      act="Decline it"
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate({ act: 'decline', version: change.version, reason }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextInput
        label="Reason"
        autoFocus
        maxLength={200}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

function Acts({ change, onDecline }: { readonly change: Change; readonly onDecline: () => void }): ReactNode {
  const save = useDecideAccountChange(change.id);
  return (
    <>
      <div className="actions" style={{ margin: 0 }}>
        {change.correction && (
          <button
            type="button"
            className="plain"
            aria-label={`apply it from today, for ${change.name}`}
            onClick={() => save.mutate({ act: 'apply', version: change.version, reason: '' })}
          >
            apply it from today
          </button>
        )}
        <button type="button" className="plain" aria-label={`decline it, for ${change.name}`} onClick={onDecline}>
          decline it
        </button>
      </div>
      <RefusedNote error={save.error} />
    </>
  );
}

/** What banks say of people's accounts: the entries arrived, the next ones are to name them rightly. */
export function AccountChanges({ client }: { readonly client: Schemas['ClientView'] }): ReactNode {
  const { data } = useQuery(accountChangesQuery(client.id));
  const { data: session } = useQuery(sessionQuery);
  const [declined, setDeclined] = useState<string | null>(null);
  if (!data || !session || data.length === 0) return null;
  const mayDecide = session.user.role !== 'preparer';
  return (
    <section className="section" id="account-changes">
      <h2>
        Notifications of change <small>the pay arrived; the next entry is to name the account as the bank says</small>
      </h2>
      <table className="ruled">
        <ListHead columns={['Employee', 'Account', 'The bank says', 'Correct by', 'Status', '']} />
        <tbody>
          {data.map((change) => (
            <Fragment key={change.id}>
              <tr>
                <td>
                  <Link to={`/employees/${change.employeeId}`}>{change.name}</Link>
                </td>
                <td>{change.account}</td>
                <td>
                  {change.correction ?? 'Not understood here: ask the employee'}
                  <div className="sub">{change.says}</div>
                </td>
                <td>
                  <ShortDay day={change.correctBy} />
                </td>
                <td>
                  <Status word={change.status} />
                  {change.reason && <div className="sub">{change.reason}</div>}
                </td>
                <td>
                  {change.status === 'open' &&
                    (mayDecide ? (
                      <Acts change={change} onDecline={() => setDeclined(change.id)} />
                    ) : (
                      <span className="soft">for a reviewer</span>
                    ))}
                </td>
              </tr>
              {declined === change.id && change.status === 'open' && (
                <tr>
                  <td colSpan={6}>
                    <Decline change={change} onClose={() => setDeclined(null)} />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
    </section>
  );
}
