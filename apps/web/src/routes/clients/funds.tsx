import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, parseDollars, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { fundsQuery, useAdvance, usePlanCollection, usePlanPrenote } from '../../api/trust.js';
import { DateField } from '../../kit/date-field.js';
import { Day, ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { Waiting } from '../../kit/waiting.js';
import { Papers } from '../papers/papers.js';
import { EntryRows } from '../trust/entry-rows.js';
import { NeedRows } from '../trust/need-rows.js';
import { useClient } from './client-frame.js';

type Funds = Schemas['FundsView'];
type Terms = Schemas['TermsView'];

const days = (count: number): string => (count === 1 ? 'one banking day' : `${count} banking days`);
const before = (count: number): string => (count === 0 ? 'on the check date' : `${days(count)} before the check date`);
const after = (count: number): string => (count === 0 ? 'as soon as' : `${days(count)} after`);

function TermsNote({ terms, debits, clientId }: { terms: Terms; debits: string | null; clientId: string }): ReactNode {
  return (
    <>
      <p className="note">
        {terms.what === 'taxes' ? 'Taxes are' : 'Taxes and direct deposits are'} collected by debit ({terms.entryClass}){' '}
        {before(terms.daysBefore)} and paid out {after(terms.holdDays)} the debit settles. Authorized{' '}
        <ShortDay day={terms.authorizedOn} /> by {terms.signedBy}
        {terms.most === null ? ', without a limit' : `, up to ${showDollars(cents(terms.most))} a debit`}.{' '}
        <Link to={`/clients/${clientId}/facts`}>change it in the setup</Link>
      </p>
      <Papers subject="client" id={clientId} />
      {debits === null && (
        <div className="problem">
          The client has no bank account ending {terms.accountTail}.{' '}
          <Link to={`/clients/${clientId}/facts`}>Add the account that it has authorized.</Link>
        </div>
      )}
    </>
  );
}

/** All that is open, as one debit. */
function ToCollect({ clientId, funds }: { readonly clientId: string; readonly funds: Funds }): ReactNode {
  const plan = usePlanCollection(clientId);
  const prenote = usePlanPrenote(clientId);
  const navigate = useNavigate();
  const { next } = funds;
  const [settles, setSettles] = useState<string | null>(null);
  const open = ({ id }: { id: string }): void => void navigate(`/collections/${id}`);
  if (!next || next.lines.length === 0)
    return (
      <>
        <p className="empty">
          Nothing is open. What posted payrolls need stands here, less what voids gave back, with the day by which it is
          collected.
        </p>
        {funds.collections.length === 0 && (
          <div className="actions">
            <button type="button" className="plain" onClick={() => prenote.mutate(null, { onSuccess: open })}>
              send a prenote of the debits first
            </button>
            <RefusedNote error={prenote.error} />
          </div>
        )}
      </>
    );
  const day = settles ?? next.settles;
  return (
    <>
      <NeedRows lines={next.lines} advance={next.advance} amount={next.amount} label="To collect" isPencil />
      {next.wanted !== null && next.wanted < next.settles && (
        <div className="problem" data-severity="warning">
          The debit should have settled <Day day={next.wanted} />; the earliest is <Day day={next.settles} />, and it
          may be paid out from <Day day={next.usable} />. What is due before is paid from the client’s own account, or
          advanced.
        </div>
      )}
      {next.problems.map((one) => (
        <div key={one.code} className="problem">
          {one.sentence} {one.fix}
        </div>
      ))}
      {next.amount > 0 && (
        <form
          className="actions"
          style={{ alignItems: 'flex-end' }}
          onSubmit={(event) => {
            event.preventDefault();
            plan.mutate({ amount: next.amount, settles: day }, { onSuccess: open });
          }}
        >
          <DateField label="Settles on" w={140} value={day} onChange={setSettles} />
          <Button type="submit" loading={plan.isPending}>
            Schedule the debit of {showDollars(cents(next.amount))}
          </Button>
        </form>
      )}
      <RefusedNote error={plan.error} />
    </>
  );
}

function Advance({ clientId, onClose }: { readonly clientId: string; readonly onClose: () => void }): ReactNode {
  const advance = useAdvance(clientId);
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  return (
    <EntryForm
      label="The firm’s own money for this client"
      act="Advance it"
      isBusy={advance.isPending}
      error={advance.error}
      onSave={() => advance.mutate({ amount: parseDollars(amount) ?? 0, reason }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TypedField label="Amount" typing={TYPINGS.amount} value={amount} onChange={setAmount} />
      <TextInput
        label="Why"
        maxLength={200}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

/** What the firm holds of this client's money, what it collects next, and every entry. */
export function FundsPage(): ReactNode {
  const client = useClient();
  const funds = useQuery(fundsQuery(client.id));
  const navigate = useNavigate();
  const [isAdvancing, setAdvancing] = useState(false);
  return (
    <Waiting query={funds}>
      {(data) => (
        <>
          {data.terms === null ? (
            <p className="empty">
              Nothing is collected from this client: it pays from its own account. Where the firm collects before it
              pays, what was agreed is recorded in the <Link to={`/clients/${client.id}/facts`}>setup</Link>, under
              “Funds collected before they are paid”.
            </p>
          ) : (
            <TermsNote terms={data.terms} debits={data.debits} clientId={client.id} />
          )}
          {data.trust === null && data.terms !== null && (
            <div className="problem">
              The firm has no trust account. <Link to="/trust">An administrator says which account it is.</Link>
            </div>
          )}
          {data.trust && (
            <>
              <div className="totals">
                <span>
                  Held <Figure amount={data.balance} />
                </span>
                <span>
                  May be paid out today <Figure amount={data.usable} />
                </span>
                {data.advanced > 0 && (
                  <span>
                    Advanced by the firm <Figure amount={data.advanced} />
                  </span>
                )}
                {!isAdvancing && (
                  <button type="button" className="plain" onClick={() => setAdvancing(true)}>
                    advance money of the firm
                  </button>
                )}
              </div>
              {isAdvancing && <Advance clientId={client.id} onClose={() => setAdvancing(false)} />}
              {data.terms && (
                <section className="section">
                  <h2>To collect</h2>
                  <ToCollect clientId={client.id} funds={data} />
                </section>
              )}
              {data.collections.length > 0 && (
                <section className="section">
                  <h2>Collections</h2>
                  <table className="ruled">
                    <ListHead columns={['Settles', 'Reference', 'Status', 'Confirmation', { number: 'Amount' }]} />
                    <tbody>
                      {data.collections.map((row) => (
                        <tr key={row.id} className="go" onClick={() => void navigate(`/collections/${row.id}`)}>
                          <td>
                            <Link to={`/collections/${row.id}`}>
                              <ShortDay day={row.settles} />
                            </Link>
                          </td>
                          <td>
                            {row.reference}
                            {row.kind === 'prenote' ? ', prenote' : row.retries > 0 ? ', sent again' : ''}
                          </td>
                          <td>
                            <Status word={row.status} />
                          </td>
                          <td>{row.returnedReason ?? row.confirmation ?? ''}</td>
                          <td className="num">
                            <Figure amount={row.amount} isPencil={row.status === 'planned'} />
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </section>
              )}
              {data.entries.length > 0 && (
                <section className="section">
                  <h2>Held for the client</h2>
                  <EntryRows entries={data.entries} isOfOne />
                </section>
              )}
            </>
          )}
        </>
      )}
    </Waiting>
  );
}
