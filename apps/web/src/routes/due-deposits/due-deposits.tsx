import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  dueDepositsQuery,
  useApproveMany,
  useReleaseMany,
  useScheduleDeposits,
  useSlipOfMany,
} from '../../api/due-deposits.js';
import { addDays, parseDate } from '@zakat/core/calendar/local-date';
import { cents, showDollars } from '@zakat/core/money/cents';
import { sessionQuery } from '../../api/resources.js';
import { Day, ShortDay, shortDay } from '../../kit/day.js';
import { DoneOfMany } from '../../kit/done-of-many.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { ReleaseSlip } from '../../kit/release-slip.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type Row = Schemas['DueDeposit'];
type Act = 'schedule' | 'approve' | 'release';
const STATUS_OF: Readonly<Record<Act, Row['status']>> = { schedule: 'open', approve: 'planned', release: 'approved' };
const WORDS: Readonly<Record<Act, string>> = { schedule: 'Schedule', approve: 'Approve', release: 'Release' };
const ACTS: readonly Act[] = ['schedule', 'approve', 'release'];

/** What is to be sent so soon is ticked at first. */
const DAYS_AHEAD = 7;

const pathOf = (row: Row): string =>
  row.remittanceId === null ? `/clients/${row.clientId}/deposits` : `/remittances/${row.remittanceId}`;
const atVersion = (rows: readonly Row[]): Schemas['PaymentAtVersion'][] =>
  rows.flatMap(({ remittanceId, version }) =>
    remittanceId === null || version === null ? [] : [{ id: remittanceId, version }],
  );
const isNamed = (row: Row, find: string): boolean =>
  `${row.clientName} ${row.title}`.toLowerCase().includes(find.trim().toLowerCase());

function Rows({
  rows,
  isTicked,
  onTick,
}: {
  readonly rows: readonly Row[];
  readonly isTicked: (row: Row) => boolean;
  readonly onTick: (rows: readonly Row[], isTicked: boolean) => void;
}): ReactNode {
  const navigate = useNavigate();
  return rows.map((row) => (
    <tr key={row.key} className="go" data-late={row.isLate} onClick={() => void navigate(pathOf(row))}>
      <td onClick={(event) => event.stopPropagation()}>
        {row.status !== 'no date' && (
          <Checkbox
            aria-label={`${row.title} of ${row.clientName}${row.due === null ? '' : `, due ${row.due}`}`}
            checked={isTicked(row)}
            onChange={(event) => onTick([row], event.currentTarget.checked)}
          />
        )}
      </td>
      <td>
        {row.sendBy === null ? 'no date' : <Day day={row.sendBy} />}
        {row.isLate && (
          <div className="tag-wrong">
            past its send-by
            {row.penalty !== null && `; a penalty of ${showDollars(cents(row.penalty))} if it is sent today`}
          </div>
        )}
      </td>
      <td>{row.due !== null && <ShortDay day={row.due} />}</td>
      <td>
        <Link to={pathOf(row)}>{row.title}</Link>
      </td>
      <td>{row.clientName}</td>
      <td>
        <Status word={row.status} />
        {row.settles !== null && (
          <div className="sub">
            settles <ShortDay day={row.settles} /> from {row.bankAccount}
          </div>
        )}
      </td>
      <td>{row.move}</td>
      <td className="num">
        <Figure amount={row.amount} isPencil />
      </td>
    </tr>
  ));
}

function Cash({ cash }: { readonly cash: Schemas['DueDepositView']['cash'] }): ReactNode {
  if (cash.length === 0) return null;
  return (
    <section className="section">
      <h2>
        Cash needed <small>of what is scheduled, by account and day</small>
      </h2>
      <table className="ruled" style={{ maxWidth: 760 }}>
        <tbody>
          {cash.map((line) => (
            <tr key={`${line.settles} ${line.clientName} ${line.bankAccount}`}>
              <td>
                <ShortDay day={line.settles} />
              </td>
              <td>{line.clientName}</td>
              <td>{line.bankAccount}</td>
              <td className="num">
                <Figure amount={line.amount} isPencil />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={3}>Together</td>
            <td className="num">
              <Figure amount={cash.reduce((total, { amount }) => total + amount, 0)} isPencil />
            </td>
          </tr>
        </tfoot>
      </table>
    </section>
  );
}

/** The deposits of every client that have not left: gathered, scheduled, approved and released together. */
export function DueDepositsPage(): ReactNode {
  const due = useQuery(dueDepositsQuery);
  const schedule = useScheduleDeposits();
  const approve = useApproveMany();
  const release = useReleaseMany();
  const slip = useSlipOfMany();
  const [search, setSearch] = useSearchParams();
  const [find, setFind] = useState(search.get('find') ?? '');
  const [until, setUntil] = useState(search.get('until') ?? '');
  const { data: session } = useQuery(sessionQuery);
  /** What was ticked or not by hand; without that, what is to be sent within a week. */
  const [ticks, setTicks] = useState<ReadonlyMap<string, boolean>>(new Map());
  const today = parseDate(session?.today ?? '');
  const soon = today === null ? '' : addDays(today, DAYS_AHEAD);
  const isTicked = (row: Row): boolean =>
    row.status !== 'no date' && (ticks.get(row.key) ?? (row.sendBy !== null && row.sendBy <= soon));
  const keep = (next: Readonly<Record<string, string>>): void =>
    setSearch(Object.fromEntries(Object.entries({ find, until, ...next }).filter(([, value]) => value !== '')), {
      replace: true,
    });
  const tick = (some: readonly Row[], isOn: boolean): void =>
    setTicks(new Map([...ticks, ...some.map((row): [string, boolean] => [row.key, isOn])]));
  const last = release.data
    ? (['released', release.data] as const)
    : approve.data
      ? (['approved', approve.data] as const)
      : schedule.data
        ? (['scheduled', schedule.data] as const)
        : null;
  return (
    <>
      <div className="lead">
        <h1>Deposits</h1>
        <p className="beside">what every client owes and has not sent, by its send-by</p>
      </div>
      <Waiting query={due}>
        {({ rows, cash, waiting }) => {
          const days = [...new Set(rows.flatMap((row) => row.sendBy ?? []))].sort();
          const shown = rows.filter((row) => isNamed(row, find) && (until === '' || (row.sendBy ?? '') <= until));
          const chosen = shown.filter(isTicked);
          const of = (act: Act): Row[] => chosen.filter((row) => row.status === STATUS_OF[act]);
          const total = (some: readonly Row[]): string =>
            showDollars(cents(some.reduce((sum, row) => sum + row.amount, 0)));
          const start = (act: Act): void => {
            for (const one of [schedule, approve, release]) one.reset();
            if (act === 'schedule')
              schedule.mutate(
                of(act).flatMap(({ clientId, family, due: day, amount }) =>
                  day === null ? [] : [{ clientId, family, due: day, amount }],
                ),
              );
            else if (act === 'approve') approve.mutate(atVersion(of(act)));
            else slip.mutate(atVersion(of(act)));
          };
          const all = shown.filter((row) => row.status !== 'no date');
          return (
            <>
              <div className="actions" style={{ alignItems: 'flex-end' }}>
                <TextInput
                  label="Client or deposit"
                  w={220}
                  value={find}
                  onChange={(event) => {
                    setFind(event.currentTarget.value);
                    keep({ find: event.currentTarget.value });
                  }}
                />
                <NativeSelect
                  label="To send by"
                  value={until}
                  onChange={(event) => {
                    setUntil(event.currentTarget.value);
                    keep({ until: event.currentTarget.value });
                  }}
                  data={[
                    { value: '', label: 'any day' },
                    ...days.map((day) => ({
                      value: day,
                      label: shortDay(day),
                    })),
                  ]}
                />
                {ACTS.filter((act) => of(act).length > 0).map((act) => (
                  <Button
                    key={act}
                    variant={act === 'release' ? 'filled' : 'outline'}
                    loading={schedule.isPending || approve.isPending || slip.isPending}
                    onClick={() => start(act)}
                  >
                    {WORDS[act]} {of(act).length}, {total(of(act))}
                    {act === 'release' ? '…' : ''}
                  </Button>
                ))}
                {waiting > 0 && (
                  <span className="note" role="status">
                    {waiting} more clients are being worked out
                  </span>
                )}
              </div>
              <RefusedNote error={schedule.error ?? approve.error ?? release.error ?? slip.error} />
              {last && <DoneOfMany noun="payment" word={last[0]} answers={last[1]} />}
              {slip.data && (
                <ReleaseSlip
                  slip={slip.data}
                  actLabel={`Release ${slip.data.title.replace(/ of .*/, '').toLowerCase()}`}
                  isBusy={release.isPending}
                  onClose={() => slip.reset()}
                  onAct={() => release.mutateAsync(slip.variables ?? []).then(() => slip.reset())}
                />
              )}
              {shown.length === 0 ? (
                <p className="empty">
                  {rows.length === 0
                    ? 'Nothing is owed that has not left. What posted payrolls owe stands here until it is released.'
                    : 'No deposit is like that.'}
                </p>
              ) : (
                <table className="ruled">
                  <thead>
                    <tr>
                      <th scope="col" style={{ width: 34 }}>
                        <Checkbox
                          aria-label="Every deposit"
                          checked={chosen.length > 0 && chosen.length === all.length}
                          indeterminate={chosen.length > 0 && chosen.length < all.length}
                          onChange={(event) => tick(all, event.currentTarget.checked)}
                        />
                      </th>
                      <th scope="col">Send by</th>
                      <th scope="col">Due</th>
                      <th scope="col">Deposit</th>
                      <th scope="col">Client</th>
                      <th scope="col">Status</th>
                      <th scope="col">Next step</th>
                      <th scope="col" className="num">
                        Amount
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    <Rows rows={shown} isTicked={isTicked} onTick={tick} />
                  </tbody>
                  <tfoot>
                    <tr>
                      <td colSpan={7}>
                        {chosen.length} of {shown.length} ticked
                      </td>
                      <td className="num">{total(chosen)}</td>
                    </tr>
                  </tfoot>
                </table>
              )}
              <Cash cash={cash} />
            </>
          );
        }}
      </Waiting>
    </>
  );
}
