import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { checksQuery, imagePath, positivePayPath, useEndCheck, useSpoilStock } from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { DateField } from '../../kit/date-field.js';
import { ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from '../clients/client-frame.js';
import { BankStatement } from './bank-statement.js';

type Row = Schemas['CheckRow'];
const STATUSES: readonly Row['status'][] = ['printed', 'issued', 'cleared', 'stopped', 'voided', 'spoiled'];
/** Issued so long ago that a bank need not pay it. */
const STALE = 'stale';
const isStale = ({ staleFrom }: Row, today: string): boolean => staleFrom !== null && staleFrom <= today;

/** A check that is out comes back, or the bank is told not to pay it. */
function End({ row }: { readonly row: Row }): ReactNode {
  const end = useEndCheck();
  const [act, setAct] = useState<'void' | 'stop' | null>(null);
  const [reason, setReason] = useState('');
  if (row.status !== 'issued' && row.status !== 'printed') return null;
  if (act === null)
    return (
      <>
        <button type="button" className="plain" onClick={() => setAct('void')}>
          it came back
        </button>
        {row.status === 'issued' && (
          <>
            {' · '}
            <button type="button" className="plain" onClick={() => setAct('stop')}>
              stop payment
            </button>
          </>
        )}
      </>
    );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    end.mutate({ id: row.id, act, version: row.version, reason });
  };
  return (
    <form className="actions" style={{ margin: 0 }} onSubmit={submit}>
      <TextInput
        aria-label={
          act === 'stop' ? `Why payment of check ${row.number} is stopped` : `Why check ${row.number} is void`
        }
        placeholder={act === 'stop' ? 'why it is stopped' : 'why it is void'}
        size="xs"
        autoFocus
        maxLength={300}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <button type="submit" className="plain" disabled={reason.trim() === '' || end.isPending}>
        {act === 'stop' ? 'stopped at the bank' : 'mark it void'}
      </button>
      <button type="button" className="plain" onClick={() => setAct(null)}>
        not now
      </button>
      <RefusedNote error={end.error} />
    </form>
  );
}

function Waste({
  clientId,
  banks,
}: {
  readonly clientId: string;
  readonly banks: Schemas['ClientView']['bankAccounts'];
}) {
  const spoil = useSpoilStock(clientId);
  const [bankAccountId, setBank] = useState(banks[0]?.id ?? '');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [reason, setReason] = useState('');
  const whole = (text: string): number => (/^\d{1,9}$/.test(text.trim()) ? Number(text.trim()) : 0);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    spoil.mutate(
      { bankAccountId, from: whole(from), to: whole(to === '' ? from : to), reason },
      { onSuccess: () => [setFrom, setTo, setReason].forEach((set) => set('')) },
    );
  };
  return (
    <section className="section">
      <h2>
        Stock that is waste <small>numbers that no check will have</small>
      </h2>
      <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
        <NativeSelect
          label="Account"
          value={bankAccountId}
          onChange={(event) => setBank(event.currentTarget.value)}
          data={banks.map((bank) => ({ value: bank.id, label: `${bank.label}, ending ${bank.accountTail}` }))}
        />
        <TextInput label="From number" w={110} value={from} onChange={(event) => setFrom(event.currentTarget.value)} />
        <TextInput label="to" w={110} value={to} onChange={(event) => setTo(event.currentTarget.value)} />
        <TextInput
          label="Reason"
          w={240}
          maxLength={300}
          value={reason}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
        <Button
          type="submit"
          variant="outline"
          loading={spoil.isPending}
          disabled={whole(from) === 0 || reason.trim() === ''}
        >
          Record as waste
        </Button>
      </form>
      <RefusedNote error={spoil.error} />
    </section>
  );
}

/** Every check of a client on paper, by number, person and status. */
export function CheckRegisterPage(): ReactNode {
  const client = useClient();
  const [search, setSearch] = useSearchParams();
  const { data: session } = useQuery(sessionQuery);
  const year = (session?.today ?? '').slice(0, 4);
  const [words, status] = [search.get('words') ?? '', search.get('status') ?? ''];
  const [from, to] = [search.get('from') ?? '', search.get('to') ?? ''];
  const checks = useQuery(checksQuery(client.id, { words, status: status === STALE ? 'issued' : status, from, to }));
  const put = (name: string, value: string): void =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === '') next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>
          Check register{' '}
          <small>
            <a href={positivePayPath(client.id, year)}>issued checks of {year} for the bank (CSV)</a>
          </small>
        </h2>
        <div className="actions" style={{ alignItems: 'flex-end' }}>
          <TextInput
            label="Number, name or amount"
            w={220}
            value={words}
            onChange={(event) => put('words', event.currentTarget.value)}
          />
          <NativeSelect
            label="Status"
            value={status}
            onChange={(event) => put('status', event.currentTarget.value)}
            data={[{ value: '', label: 'any' }, ...[...STATUSES, STALE].map((one) => ({ value: one, label: one }))]}
          />
          <DateField label="Checks from" w={140} value={from} onChange={(day) => put('from', day)} />
          <DateField label="to" w={140} value={to} onChange={(day) => put('to', day)} />
        </div>
        <Waiting query={checks}>
          {(found) => {
            const today = session?.today ?? '';
            const rows = status === STALE ? found.filter((row) => isStale(row, today)) : found;
            return rows.length === 0 ? (
              <p className="empty">
                No check here. Checks are made out on the page of a posted payroll; each stands here with its number and
                what became of it.
              </p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col">Number</th>
                    <th scope="col">Check date</th>
                    <th scope="col">Pay to</th>
                    <th scope="col">Account</th>
                    <th scope="col">Status</th>
                    <th scope="col">
                      <span className="unseen">Act</span>
                    </th>
                    <th scope="col" className="num">
                      Amount
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id}>
                      <td>
                        {row.hasImage ? (
                          <a href={imagePath(row.id)} target="_blank" rel="noreferrer">
                            {row.number}
                          </a>
                        ) : (
                          row.number
                        )}
                      </td>
                      <td>
                        <ShortDay day={row.checkDate} />
                      </td>
                      <td>
                        {row.payrollId === null ? (
                          ''
                        ) : (
                          <Link to={`/payrolls/${row.payrollId}#checks`}>{row.payee}</Link>
                        )}
                        {row.isHandwritten && <small className="soft"> by hand</small>}
                      </td>
                      <td>{row.bankAccount}</td>
                      <td>
                        <Status word={row.status} />
                        {isStale(row, today) && (
                          <div className="tag-wait">
                            stale since <ShortDay day={row.staleFrom ?? ''} />: ask the payee, stop it and pay again, or
                            report it as unclaimed
                          </div>
                        )}
                        {row.reason !== null && <div className="sub">{row.reason}</div>}
                      </td>
                      <td>
                        <End key={row.version} row={row} />
                      </td>
                      <td className="num">{row.amount > 0 && <Figure amount={row.amount} />}</td>
                    </tr>
                  ))}
                </tbody>
                <tfoot>
                  <tr>
                    <td colSpan={6}>
                      {rows.length} {rows.length === 1 ? 'number' : 'numbers'}; issued and not cashed yet
                    </td>
                    <td className="num">
                      <Figure
                        amount={rows.reduce((total, row) => total + (row.status === 'issued' ? row.amount : 0), 0)}
                      />
                    </td>
                  </tr>
                </tfoot>
              </table>
            );
          }}
        </Waiting>
      </section>
      {client.bankAccounts.length > 0 && <BankStatement clientId={client.id} banks={client.bankAccounts} />}
      {client.bankAccounts.length > 0 && <Waste clientId={client.id} banks={client.bankAccounts} />}
    </>
  );
}
