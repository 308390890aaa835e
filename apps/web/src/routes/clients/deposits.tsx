import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { depositsQuery, remittancesQuery, usePlanRemittance } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { TaxLetter } from '../../kit/tax-letter.js';
import { Waiting } from '../../kit/waiting.js';
import type { Working } from '../../kit/working.js';
import { cents, showDollars } from '@zakat/core/money/cents';
import { agencyAccountPath } from './account-path.js';
import { useClient } from './client-frame.js';
import { GarnishmentsSection } from '../garnishments/garnishments-section.js';
import { payingAccounts } from './paying-accounts.js';
import { Day, ShortDay, sayDay, shortDay } from '../../kit/day.js';
import { DateField } from '../../kit/date-field.js';
import { ListHead } from '../../kit/list-head.js';

type Deposit = Schemas['DepositView'];

const working = (deposit: Deposit): Working => ({
  title: deposit.due ? `${deposit.familyLabel}, due ${sayDay(deposit.due)}` : deposit.familyLabel,
  lines: [
    ...deposit.liabilities.map((line) => ({
      label: line.label,
      value: showDollars(cents(line.owed)),
      how: `check date ${shortDay(line.liabilityDate)}${line.underWay ? `, ${showDollars(cents(line.underWay))} in process` : ''}`,
    })),
    { label: 'Owed', value: showDollars(cents(deposit.owed)), how: deposit.rule, isResult: true },
  ],
});

/** What it costs to be late, which way is the cheapest, and what may take the penalty away again. */
function Late({ late, due }: { readonly late: Schemas['LateDeposit']; readonly due: string }): ReactNode {
  return (
    <section aria-label="What is left to do">
      <table className="ruled" style={{ maxWidth: 900 }}>
        <ListHead columns={['Way', 'Settles', 'Days late', { number: 'Penalty' }, 'How']} />
        <tbody>
          {late.ways.map(({ label, settles, daysLate, penalty, rule, how }, index) => (
            <tr key={label}>
              <td>
                {label}
                {index === 0 && <div className="sub">the cheapest</div>}
              </td>
              <td>
                <ShortDay day={settles} />
              </td>
              <td>{daysLate === 0 ? 'in time' : daysLate}</td>
              <td className="num">
                <Figure
                  amount={penalty}
                  label={`Penalty of ${label}`}
                  working={() => ({
                    title: `${label}: late deposit`,
                    lines: [
                      {
                        label: 'Days late',
                        value: String(daysLate),
                        how: `from ${shortDay(due)} to ${shortDay(settles)}`,
                      },
                      {
                        label: 'Penalty',
                        value: showDollars(cents(penalty)),
                        how: rule === '' ? 'in time' : rule,
                        isResult: true,
                      },
                    ],
                  })}
                />
              </td>
              <td className="sub">{how}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {late.withheld > 0 && (
        <p className="note">
          {showDollars(cents(late.withheld))} of it was withheld from people and is held in trust: whoever is
          responsible for paying it may answer for it in person
          {late.relief.length > 0 ? ' (26 U.S.C. § 6672; recalled)' : ' (by laws of the state, not verified here)'}.
        </p>
      )}
      {late.relief.length > 0 && <p className="note">What may take a penalty away again:</p>}
      <dl className="note">
        {late.relief.map(({ label, needs, source }) => (
          <div key={label}>
            <dt>
              <b>{label}</b>
            </dt>
            <dd>
              {needs} <span className="sub">{source}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function PlanForm({
  deposit,
  client,
}: {
  readonly deposit: Deposit;
  readonly client: Schemas['ClientView'];
}): ReactNode {
  const plan = usePlanRemittance(client.id);
  const navigate = useNavigate();
  const [settles, setSettles] = useState(deposit.settles);
  const accounts = payingAccounts(client, 'taxes');
  const [bankAccountId, setBank] = useState(accounts[0]?.value ?? '');
  if (accounts.length === 0) return <p className="note">This client has no bank account to pay from.</p>;
  const items = deposit.liabilities
    .filter((line) => line.owed > 0 || (line.owed < 0 && line.underWay === 0))
    .map(({ tax, liabilityDate }) => ({ tax, liabilityDate }));
  return (
    <form
      className="actions"
      style={{ alignItems: 'flex-end' }}
      onSubmit={(event) => {
        event.preventDefault();
        plan.mutate({ items, bankAccountId, settles }, { onSuccess: ({ id }) => void navigate(`/remittances/${id}`) });
      }}
    >
      <NativeSelect
        label="From"
        value={bankAccountId}
        onChange={(event) => setBank(event.currentTarget.value)}
        data={accounts}
      />
      <DateField label="Settles on" w={140} value={settles} onChange={setSettles} />
      <Button type="submit" loading={plan.isPending}>
        Schedule the payment of {showDollars(cents(deposit.owed))}
      </Button>
      <RefusedNote error={plan.error} />
    </form>
  );
}

function DepositRows({
  deposit,
  client,
}: {
  readonly deposit: Deposit;
  readonly client: Schemas['ClientView'];
}): ReactNode {
  const [isOpen, setOpen] = useState(false);
  const isUnderWay = !deposit.isCredit && deposit.underWay >= deposit.owed;
  return (
    <>
      <tr>
        <td>
          {deposit.sendBy ? <Day day={deposit.sendBy} /> : deposit.isCredit ? 'credit' : 'not known'}
          {deposit.isLate && <div className="tag-wrong">past its send-by</div>}
        </td>
        <td>{deposit.due ? <Day day={deposit.due} /> : deposit.isCredit ? '' : 'not known'}</td>
        <td>
          {deposit.familyLabel}
          <div className="sub">{deposit.rule}</div>
          {deposit.question && (
            <div className="tag-wrong">
              {deposit.question.sentence}{' '}
              <Link to={agencyAccountPath(client.id, deposit.agency, `/clients/${client.id}/deposits`)}>
                {deposit.question.fix}
              </Link>
            </div>
          )}
        </td>
        <td className="num">
          <Figure
            amount={deposit.owed}
            isPencil={!isUnderWay}
            label={`${deposit.familyLabel} owed`}
            working={() => working(deposit)}
          />
        </td>
        <td className="num">{deposit.underWay !== 0 && <Figure amount={deposit.underWay} />}</td>
        <td>
          {!isUnderWay && deposit.owed > 0 && !deposit.question && (
            <button type="button" className="plain" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              {isOpen ? 'close' : 'schedule'}
            </button>
          )}
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={6}>
            {deposit.late && deposit.due && <Late late={deposit.late} due={deposit.due} />}
            <PlanForm deposit={deposit} client={client} />
          </td>
        </tr>
      )}
    </>
  );
}

/** What is owed to whom and by when, and every payment made of it. */
export function DepositsPage(): ReactNode {
  const client = useClient();
  const navigate = useNavigate();
  const deposits = useQuery(depositsQuery(client.id));
  const remittances = useQuery(remittancesQuery(client.id));
  return (
    <>
      <p className="note">{client.depositScheduleWhy}</p>
      <section className="section">
        <h2>Owed</h2>
        <Waiting query={deposits}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">
                Nothing is owed. What posted payrolls owe stands here by agency, with its due date and its send-by.
              </p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col">Send by</th>
                    <th scope="col">Due</th>
                    <th scope="col">Deposit</th>
                    <th scope="col" className="num">
                      Owed
                    </th>
                    <th scope="col" className="num">
                      In process
                    </th>
                    <th scope="col">
                      <span style={{ position: 'absolute', clipPath: 'inset(50%)' }}>Act</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((deposit) => (
                    <DepositRows
                      key={`${deposit.family} ${deposit.due} ${deposit.liabilities[0]?.liabilityDate}`}
                      deposit={deposit}
                      client={client}
                    />
                  ))}
                </tbody>
              </table>
            )
          }
        </Waiting>
      </section>
      <section className="section">
        <h2>
          Tax payments <TaxLetter base={`/api/clients/${client.id}`} />
        </h2>
        <Waiting query={remittances}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">
                No tax payment yet. One that is scheduled from what is owed stands here until it is settled.
              </p>
            ) : (
              <table className="ruled">
                <ListHead
                  columns={['Settles', 'Deposit', 'Reference', 'Status', 'Confirmation', { number: 'Amount' }]}
                />
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id} className="go" onClick={() => void navigate(`/remittances/${row.id}`)}>
                      <td>
                        <Link to={`/remittances/${row.id}`}>
                          <ShortDay day={row.settles} />
                        </Link>
                      </td>
                      <td>{row.familyLabel}</td>
                      <td>{row.reference}</td>
                      <td>
                        <Status word={row.status} />
                      </td>
                      <td>{row.confirmation ?? row.returnedReason ?? ''}</td>
                      <td className="num">
                        <Figure amount={row.amount} isPencil={row.status === 'planned' || row.status === 'approved'} />
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )
          }
        </Waiting>
      </section>
      <GarnishmentsSection client={client} />
    </>
  );
}
