import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { garnishmentsQuery, usePlanGarnishments } from '../../api/garnishments.js';
import { DateField } from '../../kit/date-field.js';
import { Day, ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { GarnishedRows } from './garnished-rows.js';

type Owed = Schemas['OwedToPayee'];

function PlanForm({
  owed,
  client,
}: {
  readonly owed: Owed;
  readonly client: Pick<Schemas['ClientView'], 'id' | 'bankAccounts'>;
}): ReactNode {
  const plan = usePlanGarnishments(client.id);
  const navigate = useNavigate();
  const [settles, setSettles] = useState(owed.settles);
  const [bankAccountId, setBank] = useState(client.bankAccounts[0]?.id ?? '');
  return (
    <>
      <GarnishedRows items={owed.items} isPencil />
      {client.bankAccounts.length === 0 ? (
        <p className="note">This client has no bank account to pay from.</p>
      ) : (
        <form
          className="actions"
          style={{ alignItems: 'flex-end' }}
          onSubmit={(event) => {
            event.preventDefault();
            plan.mutate(
              { payee: owed.payee, amount: owed.amount, bankAccountId, settles },
              { onSuccess: ({ id }) => void navigate(`/garnishment-payments/${id}`) },
            );
          }}
        >
          <NativeSelect
            label="From"
            value={bankAccountId}
            onChange={(event) => setBank(event.currentTarget.value)}
            data={client.bankAccounts.map((bank) => ({
              value: bank.id,
              label: `${bank.label}, ending ${bank.accountTail}`,
            }))}
          />
          <DateField
            label={owed.isAch ? 'Settles on' : 'To be paid on'}
            w={140}
            value={settles}
            onChange={setSettles}
          />
          <Button type="submit" loading={plan.isPending}>
            Schedule the payment of {showDollars(cents(owed.amount))}
          </Button>
        </form>
      )}
      <RefusedNote error={plan.error} />
    </>
  );
}

function OwedRows({ owed, client }: { readonly owed: Owed; readonly client: Schemas['ClientView'] }): ReactNode {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <tr>
        <td>{owed.isSupport ? <Day day={owed.due} /> : ''}</td>
        <td>
          {owed.payee}
          <div className="sub">
            {owed.isAch ? 'by ACH, a line for each case' : 'by check, or on the payee’s own site'}
          </div>
        </td>
        <td>{owed.items.length}</td>
        <td className="num">
          <Figure amount={owed.amount} isPencil />
        </td>
        <td>
          <button type="button" className="plain" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'close' : 'schedule'}
          </button>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={5}>
            <PlanForm owed={owed} client={client} />
          </td>
        </tr>
      )}
    </>
  );
}

/** What was withheld by order: owed to its payees, and every payment made of it. Nothing where nobody is garnished. */
export function GarnishmentsSection({ client }: { readonly client: Schemas['ClientView'] }): ReactNode {
  const { data } = useQuery(garnishmentsQuery(client.id));
  const navigate = useNavigate();
  if (!data || data.owed.length + data.payments.length + data.withoutPayee.length === 0) return null;
  return (
    <section className="section" id="garnishments">
      <h2>
        Garnishments <small>what was withheld by order, to its payees</small>
      </h2>
      {data.withoutPayee.length > 0 && (
        <div className="problem" data-severity="warning">
          {[...new Set(data.withoutPayee.map(({ employee, label }) => `${label} of ${employee}`))].join(', ')} names no
          payee. Enter it on the employee’s page; nothing is paid for it until then.
        </div>
      )}
      {data.owed.length > 0 && (
        <table className="ruled">
          <ListHead columns={['Due', 'Payee', 'Checks', { number: 'Owed' }, '']} />
          <tbody>
            {data.owed.map((owed) => (
              <OwedRows key={`${owed.payee} ${owed.amount}`} owed={owed} client={client} />
            ))}
          </tbody>
        </table>
      )}
      {data.payments.length > 0 && (
        <table className="ruled">
          <ListHead columns={['Settles', 'Payee', 'Reference', 'Status', 'Confirmation', { number: 'Amount' }]} />
          <tbody>
            {data.payments.map((row) => (
              <tr key={row.id} className="go" onClick={() => void navigate(`/garnishment-payments/${row.id}`)}>
                <td>
                  <Link to={`/garnishment-payments/${row.id}`}>
                    <ShortDay day={row.settles} />
                  </Link>
                </td>
                <td>{row.payee}</td>
                <td>{row.reference}</td>
                <td>
                  <Status word={row.status} />
                </td>
                <td>{row.confirmation ?? row.returnedReason ?? ''}</td>
                <td className="num">
                  <Figure amount={row.amount} isPencil={row.status === 'planned'} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
