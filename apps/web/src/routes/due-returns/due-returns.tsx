import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { parseDate } from '@zakat/core/calendar/local-date';
import { quarterOf, type Quarter } from '@zakat/core/calendar/quarter';
import type { Schemas } from '../../api/client.js';
import {
  dueReturnsQuery,
  useBeginReturns,
  useCheckReturns,
  useReleaseReturns,
  useSlipOfReturns,
} from '../../api/due-returns.js';
import { sessionQuery } from '../../api/resources.js';
import { ShortDay } from '../../kit/day.js';
import { DoneOfMany } from '../../kit/done-of-many.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { ReleaseSlip } from '../../kit/release-slip.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type Row = Schemas['DueReturn'];
type Act = 'begin' | 'check' | 'release';
const ACTS: readonly Act[] = ['begin', 'check', 'release'];
const WORDS: Readonly<Record<Act, string>> = { begin: 'Begin', check: 'Check', release: 'Release' };
const DONE: Readonly<Record<Act, string>> = { begin: 'begun', check: 'checked', release: 'released' };
/** Which act a return waits for; null: for none of these. */
function actOf(row: Row): Act | null {
  if (row.status === 'not begun') return row.isOver ? 'begin' : null;
  if (row.status === 'draft' || row.status === 'differs') return row.isOver ? 'check' : null;
  return row.isReady ? 'release' : null;
}
/** It has left, so there is an answer or will be. */
const SENT: readonly string[] = ['released', 'received', 'accepted', 'rejected'];
const key = ({ year, quarter }: Quarter): string => `${year}-Q${quarter}`;
const before = ({ year, quarter }: Quarter): Quarter =>
  quarter === 1 ? { year: year - 1, quarter: 4 } : { year, quarter: (quarter - 1) as Quarter['quarter'] };
/** The quarter of today and the five before it. */
function quarters(today: Quarter): string[] {
  const found = [today];
  while (found.length < 6) found.push(before(found.at(-1) ?? today));
  return found.map(key);
}
const pathOf = (row: Row): string =>
  row.filingId === null
    ? `/clients/${row.clientId}/returns?kind=${row.kind}&period=${row.period}`
    : `/filings/${row.filingId}`;
const atVersion = (rows: readonly Row[]): Schemas['ReturnAtVersion'][] =>
  rows.flatMap(({ filingId, version }) => (filingId === null || version === null ? [] : [{ id: filingId, version }]));
const isNamed = (row: Row, find: string): boolean =>
  `${row.clientName} ${row.title} ${row.agency}`.toLowerCase().includes(find.trim().toLowerCase());
const labelOf = (quarter: string): string => `Q${quarter.slice(-1)} ${quarter.slice(0, 4)}`;

/** How many stand where, in the order of the work. */
function Counts({ rows }: { readonly rows: readonly Row[] }): ReactNode {
  const order = ['not begun', 'draft', 'differs', 'rejected', 'checked', 'released', 'received', 'accepted'] as const;
  const found = order.flatMap((status) => {
    const count = rows.filter((row) => row.status === status).length;
    return count === 0 ? [] : [`${count} ${status}`];
  });
  return <p className="beside">{found.join(', ')}</p>;
}

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
        {actOf(row) !== null && (
          <Checkbox
            aria-label={`${row.title} of ${row.clientName}`}
            checked={isTicked(row)}
            onChange={(event) => onTick([row], event.currentTarget.checked)}
          />
        )}
      </td>
      <td>
        <ShortDay day={row.due} />
        {row.isLate && <div className="tag-wrong">past its due date</div>}
      </td>
      <td>
        <Link to={pathOf(row)}>{row.title}</Link>
      </td>
      <td>{row.clientName}</td>
      <td>{row.agency}</td>
      <td>
        <Status word={row.status} />
      </td>
      <td>{row.isOver ? row.move : 'its period goes on'}</td>
      <td className="num">
        {row.amount !== null && <Figure amount={row.amount} isPencil={row.status !== 'accepted'} />}
      </td>
    </tr>
  ));
}

/** The returns of a quarter of every client: begun, checked and released together, each with its own verdict. */
export function DueReturnsPage(): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const [search, setSearch] = useSearchParams();
  const today = parseDate(session?.today ?? '');
  const now = today === null ? null : quarterOf(today);
  // The quarter that is over is the one to file.
  const quarter = search.get('quarter') ?? (now === null ? '' : key(before(now)));
  const due = useQuery({ ...dueReturnsQuery(quarter), enabled: quarter !== '' });
  const begin = useBeginReturns();
  const check = useCheckReturns();
  const release = useReleaseReturns();
  const slip = useSlipOfReturns();
  const [find, setFind] = useState(search.get('find') ?? '');
  const status = search.get('status') ?? '';
  const [ticks, setTicks] = useState<ReadonlyMap<string, boolean>>(new Map());
  const isTicked = (row: Row): boolean => actOf(row) !== null && (ticks.get(row.key) ?? true);
  const keep = (next: Readonly<Record<string, string>>): void =>
    setSearch(
      Object.fromEntries(Object.entries({ quarter, status, find, ...next }).filter(([, value]) => value !== '')),
      { replace: true },
    );
  const tick = (some: readonly Row[], isOn: boolean): void =>
    setTicks(new Map([...ticks, ...some.map((row): [string, boolean] => [row.key, isOn])]));
  const last = ACTS.flatMap((act) => {
    const { data } = { begin, check, release }[act];
    return data ? [{ act, data }] : [];
  }).at(-1);
  if (now === null) return null;
  return (
    <Waiting query={due}>
      {({ rows, more, aggregated }) => {
        const shown = rows.filter((row) => isNamed(row, find) && (status === '' || row.status === status));
        const chosen = shown.filter(isTicked);
        const all = shown.filter((row) => actOf(row) !== null);
        const of = (act: Act): Row[] => chosen.filter((row) => actOf(row) === act);
        const start = (act: Act): void => {
          for (const one of [begin, check, release]) one.reset();
          if (act === 'begin') begin.mutate(of(act).map(({ clientId, kind, period }) => ({ clientId, kind, period })));
          else if (act === 'check') check.mutate(atVersion(of(act)));
          else slip.mutate(atVersion(of(act)));
        };
        return (
          <>
            <div className="lead">
              <h1>Returns</h1>
              <Counts rows={rows} />
            </div>
            <div className="actions" style={{ alignItems: 'flex-end' }}>
              <NativeSelect
                label="Quarter"
                value={quarter}
                onChange={(event) => keep({ quarter: event.currentTarget.value })}
                data={[...new Set([quarter, ...quarters(now)])].map((value) => ({ value, label: labelOf(value) }))}
              />
              <TextInput
                label="Client, return or agency"
                w={220}
                value={find}
                onChange={(event) => {
                  setFind(event.currentTarget.value);
                  keep({ find: event.currentTarget.value });
                }}
              />
              <NativeSelect
                label="Status"
                value={status}
                onChange={(event) => keep({ status: event.currentTarget.value })}
                data={[
                  { value: '', label: 'any' },
                  ...[...new Set(rows.map((row) => row.status))].map((value) => ({ value, label: value })),
                ]}
              />
              {rows.some(({ status: one }) => SENT.includes(one)) && (
                <>
                  <Link to="/returns/transmissions">Transmissions</Link>
                  <a href={`/api/due-returns/acknowledgements.csv?quarter=${quarter}`}>Acknowledgements (CSV)</a>
                </>
              )}
              {aggregated > 0 && (
                <a href={`/api/due-returns/schedule-r.csv?quarter=${quarter}`}>
                  Schedule R of {aggregated === 1 ? 'one client' : `${aggregated} clients`} (CSV)
                </a>
              )}
              {ACTS.filter((act) => of(act).length > 0).map((act) => (
                <Button
                  key={act}
                  variant={act === 'release' ? 'filled' : 'outline'}
                  loading={begin.isPending || check.isPending || slip.isPending}
                  onClick={() => start(act)}
                >
                  {WORDS[act]} {of(act).length}
                  {act === 'release' ? '…' : ''}
                </Button>
              ))}
            </div>
            <RefusedNote error={begin.error ?? check.error ?? release.error ?? slip.error} />
            {last && <DoneOfMany noun="return" word={DONE[last.act]} answers={last.data} />}
            {slip.data && (
              <ReleaseSlip
                slip={slip.data}
                actLabel={`Release ${slip.data.title.toLowerCase()}`}
                isBusy={release.isPending}
                onClose={() => slip.reset()}
                onAct={() => release.mutateAsync(slip.variables ?? []).then(() => slip.reset())}
              />
            )}
            {shown.length === 0 ? (
              <p className="empty">
                {rows.length === 0
                  ? `No client paid anything in ${labelOf(quarter)}. What was paid brings its returns here.`
                  : 'No return is like that.'}
              </p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col" style={{ width: 34 }}>
                      <Checkbox
                        aria-label="Every return"
                        checked={chosen.length > 0 && chosen.length === all.length}
                        indeterminate={chosen.length > 0 && chosen.length < all.length}
                        disabled={all.length === 0}
                        onChange={(event) => tick(all, event.currentTarget.checked)}
                      />
                    </th>
                    <th scope="col">Due</th>
                    <th scope="col">Return</th>
                    <th scope="col">Client</th>
                    <th scope="col">Agency</th>
                    <th scope="col">Status</th>
                    <th scope="col">Next step</th>
                    <th scope="col" className="num">
                      Total
                    </th>
                  </tr>
                </thead>
                <tbody>
                  <Rows rows={shown} isTicked={isTicked} onTick={tick} />
                </tbody>
              </table>
            )}
            {more > 0 && <p className="note">{more} more are due later: they come up as these are done.</p>}
          </>
        );
      }}
    </Waiting>
  );
}
