import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { trustEntriesQuery, trustQuery, useSaveTrustAccount } from '../../api/trust.js';
import { Day } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { Waiting } from '../../kit/waiting.js';
import { EntryRows } from './entry-rows.js';
import { Reconciliation } from './reconciliation.js';
import { RecordEntry } from './record-entry.js';

type View = Schemas['TrustView'];

function SetUp(): ReactNode {
  const save = useSaveTrustAccount();
  const [isOpen, setOpen] = useState(false);
  const [draft, setDraft] = useState({ label: 'Client trust', bankName: '', routing: '', account: '' });
  const { data: session } = useQuery(sessionQuery);
  const field = (name: keyof typeof draft, label: string, maxLength: number, isFirst = false): ReactNode => (
    <TextInput
      label={label}
      maxLength={maxLength}
      autoFocus={isFirst}
      value={draft[name]}
      onChange={(event) => setDraft({ ...draft, [name]: event.currentTarget.value })}
    />
  );
  return (
    <>
      <p className="empty">
        The account that holds what is collected from clients before it is paid stands here, client by client, and is
        proved against the bank day by day. It holds nothing of the firm but what the firm pays in.
      </p>
      {session?.user.role !== 'administrator' ? (
        <p className="note">An administrator says which account it is.</p>
      ) : isOpen ? (
        <EntryForm
          label="The trust account"
          act="Save the account"
          isBusy={save.isPending}
          error={save.error}
          onSave={() => save.mutate(draft)}
          onClose={() => setOpen(false)}
        >
          {field('label', 'Name', 40, true)}
          {field('bankName', 'Bank', 60)}
          {field('routing', 'Routing number', 9)}
          {field('account', 'Account number', 17)}
        </EntryForm>
      ) : (
        <div className="actions">
          <Button onClick={() => setOpen(true)}>Say which account it is</Button>
        </div>
      )}
    </>
  );
}

function Balances({ view }: { readonly view: View }): ReactNode {
  const navigate = useNavigate();
  if (view.clients.length === 0)
    return (
      <p className="empty">
        Nothing is held yet. What a client has agreed to is recorded in its setup; what is collected stands here.
      </p>
    );
  return (
    <table className="ruled">
      <ListHead
        columns={[
          'Client',
          { number: 'Coming' },
          { number: 'Advanced' },
          { number: 'May be paid out' },
          { number: 'Balance' },
        ]}
      />
      <tbody>
        {view.clients.map((row) => (
          <tr key={row.clientId} className="go" onClick={() => void navigate(`/clients/${row.clientId}/funds`)}>
            <td>
              <Link to={`/clients/${row.clientId}/funds`}>{row.clientName}</Link>
            </td>
            <td className="num">
              <Figure amount={row.coming} isPencil />
            </td>
            <td className="num">
              <Figure amount={row.advanced} />
            </td>
            <td className="num">
              <Figure amount={row.usable} />
            </td>
            <td className="num">
              <Figure amount={row.balance} />
            </td>
          </tr>
        ))}
        <tr>
          <td colSpan={4}>The firm’s own</td>
          <td className="num">
            <Figure amount={view.ofFirm} />
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={4}>In the account by the books</td>
          <td className="num">
            <Figure amount={view.book} />
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function Entries(): ReactNode {
  const entries = useQuery(trustEntriesQuery);
  const [isOpen, setOpen] = useState(false);
  return (
    <section className="section">
      <h2>Entries</h2>
      {isOpen ? (
        <RecordEntry onClose={() => setOpen(false)} />
      ) : (
        <div className="actions">
          <Button variant="outline" onClick={() => setOpen(true)}>
            Write down what moved it
          </Button>
        </div>
      )}
      <Waiting query={entries}>
        {(rows) =>
          rows.length === 0 ? (
            <p className="empty">No entry yet. What is collected and paid writes its own.</p>
          ) : (
            <EntryRows entries={rows} />
          )
        }
      </Waiting>
    </section>
  );
}

/** The firm's trust account: whose money is in it, the proof of each day, and what moved it. */
export function TrustPage(): ReactNode {
  const trust = useQuery(trustQuery);
  return (
    <Waiting query={trust}>
      {(view) => (
        <>
          <div className="lead">
            <h1>Trust account</h1>
            {view.account && (
              <p className="beside">
                {view.account.label}, {view.account.bankName}, ending {view.account.tail}
                <br />
                {view.reconciledDay === null ? (
                  'not reconciled yet'
                ) : (
                  <>
                    reconciled to <Day day={view.reconciledDay} />
                  </>
                )}
              </p>
            )}
          </div>
          {view.account === null ? (
            <SetUp />
          ) : (
            <>
              {view.ofFirm < 0 && (
                <div className="problem" role="alert">
                  The firm owes the account {showDollars(cents(-view.ofFirm))}: a collection came back after its money
                  was paid out. Pay it in today and write it down; until then it is other clients’ money.
                </div>
              )}
              {view.unexplained > 0 && (
                <div className="problem" data-severity="warning">
                  {view.unexplained === 1 ? 'One line' : `${view.unexplained} lines`} of the bank’s statement{' '}
                  {view.unexplained === 1 ? 'has' : 'have'} no entry.
                </div>
              )}
              <section className="section">
                <h2>Whose money it is</h2>
                <Balances view={view} />
              </section>
              <Reconciliation lastDay={view.statementDay} />
              <Entries />
            </>
          )}
        </>
      )}
    </Waiting>
  );
}
