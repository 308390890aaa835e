import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { paydaysQuery, useStartPayrolls } from '../../api/paydays.js';
import { Day, ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useSoon } from '../../kit/use-soon.js';

type Payday = Schemas['Payday'];
const STATUSES: readonly (readonly [value: string, label: string])[] = [
  ['', 'any'],
  ['due', 'due'],
  ['open', 'open'],
  ['reviewed', 'reviewed'],
  ['posted', 'posted'],
];
const KINDS: Readonly<Record<Payday['kind'], string>> = {
  regular: '',
  extra: 'off-cycle',
  recorded: 'paid elsewhere',
  'brought-in': 'prior payroll',
  void: 'reversal',
};
const pathOf = (row: Payday): string =>
  row.payrollId === null
    ? `/clients/${row.clientId}/payrolls${row.schedule === '' ? '' : `?schedule=${encodeURIComponent(row.schedule)}`}`
    : `/payrolls/${row.payrollId}`;
const isNamed = (row: Payday, find: string): boolean =>
  `${row.clientName} ${row.schedule}`.toLowerCase().includes(find.trim().toLowerCase());

/** What became of the payrolls that were started together. */
function Started({
  answers,
  names,
}: {
  readonly answers: readonly Schemas['StartedPayroll'][];
  readonly names: ReadonlyMap<string, string>;
}): ReactNode {
  const refused = answers.filter((one) => one.refused !== null);
  const started = answers.length - refused.length;
  return (
    <div {...(refused.length > 0 ? { className: 'problem' } : {})} role="status">
      {started === 1 ? 'One payroll is started' : `${started} payrolls are started`}, filled from what the people are
      usually paid.
      {refused.length > 0 && (
        <ul>
          {refused.map(({ asked, refused: why }) => (
            <li key={`${asked.clientId} ${asked.schedule}`}>
              <Link to={`/clients/${asked.clientId}/payrolls`}>{names.get(asked.clientId)}</Link>: {why}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Row({
  row,
  isChosen,
  onChoose,
}: {
  readonly row: Payday;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
}): ReactNode {
  const navigate = useNavigate();
  const path = pathOf(row);
  return (
    <tr className="go" data-late={row.isLate} onClick={() => void navigate(path)}>
      <td onClick={(event) => event.stopPropagation()}>
        {row.status === 'due' && (
          <Checkbox
            aria-label={`Start the payroll of ${row.clientName}`}
            checked={isChosen}
            onChange={(event) => onChoose(event.currentTarget.checked)}
          />
        )}
      </td>
      <td>
        {row.sendBy === null ? '' : <Day day={row.sendBy} />}
        {row.isLate && <div className="tag-wrong">past its send-by</div>}
      </td>
      <td>
        <ShortDay day={row.checkDate} />
      </td>
      <td>
        <Link to={path}>{row.clientName}</Link>
        {(row.schedule !== '' || row.part !== '' || KINDS[row.kind] !== '') && (
          <small className="soft">
            {' '}
            {[row.schedule, row.part, KINDS[row.kind]].filter((word) => word !== '').join(', ')}
          </small>
        )}
      </td>
      <td>
        to <ShortDay day={row.periodEnd} />
      </td>
      <td>
        <Status word={row.status} />
      </td>
      <td>
        {row.move}
        {row.waiting > 0 && (
          <div className="sub">
            {row.waiting} of {row.people} without hours or pay yet
          </div>
        )}
        {row.fromClient !== '' && (
          <div className="sub">
            {row.fromClient === 'hours' ? 'hours have come from the client' : 'approved by the client'}
          </div>
        )}
      </td>
      <td className="num">{row.people > 0 ? row.people : ''}</td>
      <td className="num">{row.net !== null && <Figure amount={row.net} />}</td>
    </tr>
  );
}

const payrollPage = () => import('../payroll/payroll.js');
/** The payrolls of every client: due, under way, just posted. The ones that are due are started here, one or all. */
export function PaydaysPage(): ReactNode {
  useSoon(payrollPage);
  const paydays = useQuery(paydaysQuery);
  const start = useStartPayrolls();
  const [search, setSearch] = useSearchParams();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [find, setFind] = useState(search.get('find') ?? '');
  const [status, setStatus] = useState(search.get('status') ?? '');
  const keep = (next: Readonly<Record<string, string>>): void =>
    setSearch(Object.fromEntries(Object.entries({ find, status, ...next }).filter(([, value]) => value !== '')), {
      replace: true,
    });
  return (
    <>
      <div className="lead">
        <h1>Payrolls</h1>
        <p className="beside">
          due, under way, and posted this week, by the last day to post and pay on the check date
        </p>
      </div>
      <Waiting query={paydays}>
        {({ rows, waiting }) => {
          const shown = rows.filter((row) => isNamed(row, find) && (status === '' || row.status === status));
          const due = shown.filter((row) => row.status === 'due');
          const chosen = due.filter((row) => !left.has(row.key));
          const names = new Map(rows.map((row) => [row.clientId, row.clientName]));
          return (
            <>
              <div className="actions" style={{ alignItems: 'flex-end' }}>
                <TextInput
                  label="Client or schedule"
                  w={240}
                  value={find}
                  onChange={(event) => {
                    setFind(event.currentTarget.value);
                    keep({ find: event.currentTarget.value });
                  }}
                />
                <NativeSelect
                  label="Status"
                  value={status}
                  onChange={(event) => {
                    setStatus(event.currentTarget.value);
                    keep({ status: event.currentTarget.value });
                  }}
                  data={STATUSES.map(([value, label]) => ({ value, label }))}
                />
                {due.length > 0 && (
                  <Button
                    disabled={chosen.length === 0}
                    loading={start.isPending}
                    onClick={() =>
                      start.mutate(
                        chosen.map(({ clientId, schedule, periodEnd }) => ({ clientId, schedule, periodEnd })),
                      )
                    }
                  >
                    Start {chosen.length === 1 ? 'one payroll' : `${chosen.length} payrolls`}
                  </Button>
                )}
                {waiting > 0 && (
                  <span className="note" role="status">
                    {waiting} more clients are being worked out
                  </span>
                )}
              </div>
              <RefusedNote error={start.error} />
              {start.data && <Started answers={start.data} names={names} />}
              {shown.length === 0 ? (
                <p className="empty">
                  {rows.length === 0
                    ? 'No payroll is due, under way or posted this week. Each client’s next one stands here two weeks before its check date.'
                    : 'No payroll is like that.'}
                </p>
              ) : (
                <table className="ruled">
                  <thead>
                    <tr>
                      <th scope="col" style={{ width: 34 }}>
                        {due.length > 0 && (
                          <Checkbox
                            aria-label="Every payroll that is due"
                            checked={chosen.length === due.length}
                            indeterminate={chosen.length > 0 && chosen.length < due.length}
                            onChange={(event) =>
                              setLeft(event.currentTarget.checked ? new Set() : new Set(due.map(({ key }) => key)))
                            }
                          />
                        )}
                      </th>
                      <th scope="col">Post by</th>
                      <th scope="col">Check date</th>
                      <th scope="col">Client</th>
                      <th scope="col">Period</th>
                      <th scope="col">Status</th>
                      <th scope="col">Next step</th>
                      <th scope="col" className="num">
                        Employees
                      </th>
                      <th scope="col" className="num">
                        Net
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {shown.map((row) => (
                      <Row
                        key={row.key}
                        row={row}
                        isChosen={!left.has(row.key)}
                        onChoose={(isChosen) => {
                          const next = new Set(left);
                          if (isChosen) next.delete(row.key);
                          else next.add(row.key);
                          setLeft(next);
                        }}
                      />
                    ))}
                  </tbody>
                </table>
              )}
            </>
          );
        }}
      </Waiting>
    </>
  );
}
