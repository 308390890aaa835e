import { NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { showLeaveHours } from '@zakat/core/leave/accrual';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { reportFilePath, reportQuery, reportTotalsQuery, reportsQuery, type AskedReport } from '../../api/reports.js';
import { employeesQuery, sessionQuery } from '../../api/resources.js';
import { DateField } from '../../kit/date-field.js';
import { shortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from '../clients/client-frame.js';

type Column = Schemas['ReportColumn'];
type Cell = string | number | null | undefined;

const GROUP_WORDS: Readonly<Record<string, string>> = {
  '': 'every check',
  employee: 'employee',
  department: 'department',
  location: 'location',
  'cost-center': 'cost center',
  payroll: 'payroll',
  month: 'month',
  quarter: 'quarter',
};
const isFigure = ({ cell }: Column): boolean => cell === 'amount' || cell === 'hours' || cell === 'count';

function Shown({ column, value }: { readonly column: Column; readonly value: Cell }): ReactNode {
  if (value === null || value === undefined || value === '') return null;
  if (column.cell === 'amount') return <Figure amount={Number(value)} />;
  if (column.cell === 'hours') return Number(value) === 0 ? '–' : showLeaveHours(Number(value));
  if (column.cell === 'day') return shortDay(String(value));
  return value;
}

type Totals = Schemas['ReportTotals'] | undefined;

function Table({
  report,
  totals,
  onOpen,
}: {
  readonly report: Schemas['ReportView'];
  /** Opens what a row that adds up is made of. */
  readonly onOpen: (value: string) => string;
  /** They come after the page: adding up a whole year takes longer. */
  readonly totals: Totals;
}): ReactNode {
  return (
    <div className="report-box" tabIndex={0} role="region" aria-label={report.label}>
      <table className="ruled many report">
        <thead>
          <tr>
            {report.columns.map((column) => (
              <th key={column.key} scope="col" className={isFigure(column) ? 'num' : undefined}>
                {column.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {report.rows.map((row, index) => (
            <tr key={index}>
              {report.columns.map((column, at) => {
                const value = row.cells[column.key] as Cell;
                const cell = <Shown column={column} value={value} />;
                return (
                  <td key={column.key} className={isFigure(column) ? 'num' : undefined}>
                    {at === 0 && report.by !== '' ? (
                      <Link to={onOpen(String(value ?? ''))}>{cell}</Link>
                    ) : at === 0 && row.path !== '' ? (
                      <Link to={row.path}>{cell}</Link>
                    ) : (
                      cell
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            {report.columns.map((column, at) => (
              <td key={column.key} className={isFigure(column) ? 'num' : undefined}>
                {totals === undefined ? (
                  at === 0 && 'adding up'
                ) : at === 0 ? (
                  `Total of ${totals.count} ${totals.count === 1 ? 'row' : 'rows'}`
                ) : column.key in totals.totals ? (
                  <Shown column={column} value={totals.totals[column.key] as Cell} />
                ) : null}
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

/** The span of the address; at first the year so far. */
function useAsked(): { asked: AskedReport | null; put: (next: Readonly<Record<string, string>>) => void } {
  const { data: session } = useQuery(sessionQuery);
  const [search, setSearch] = useSearchParams();
  const put = (next: Readonly<Record<string, string>>): void =>
    setSearch(
      (before) => {
        const merged = new URLSearchParams(before);
        merged.delete('page');
        for (const [name, value] of Object.entries(next))
          if (value === '') merged.delete(name);
          else merged.set(name, value);
        return merged;
      },
      { replace: true },
    );
  if (!session) return { asked: null, put };
  const year = session.today.slice(0, 4);
  return {
    asked: {
      code: search.get('report') ?? 'payroll-register',
      from: search.get('from') ?? `${year}-01-01`,
      to: search.get('to') ?? `${year}-12-31`,
      by: search.get('by') ?? '',
      employee: search.get('employee') ?? '',
      in: search.get('in') ?? '',
      of: search.get('of') ?? '',
      page: Number(search.get('page') ?? '0'),
    },
    put,
  };
}

function Pages({
  report,
  totals,
  put,
}: {
  readonly report: Schemas['ReportView'];
  readonly totals: Totals;
  readonly put: (next: Readonly<Record<string, string>>) => void;
}): ReactNode {
  if (report.page === 0 && !report.hasMore) return null;
  return (
    <div className="actions">
      <span className="note">
        Rows {report.page * 200 + 1} to {report.page * 200 + report.rows.length}
        {totals && ` of ${totals.count}`}
      </span>
      {report.page > 0 && (
        <button type="button" className="plain" onClick={() => put({ page: String(report.page - 1) })}>
          back
        </button>
      )}
      {report.hasMore && (
        <button type="button" className="plain" onClick={() => put({ page: String(report.page + 1) })}>
          on
        </button>
      )}
    </div>
  );
}

/** Reports over a client's posted checks: any span of days, added up, on the screen and as files. */
export function ReportsPage(): ReactNode {
  const client = useClient();
  const { asked, put } = useAsked();
  const kinds = useQuery(reportsQuery);
  const people = useQuery(employeesQuery(client.id));
  if (!asked) return null;
  return (
    <Waiting query={kinds}>
      {(all) => {
        const kind = all.find((one) => one.code === asked.code) ?? all[0];
        if (!kind) return null;
        const by = kind.groups.includes(asked.by) ? asked.by : '';
        return (
          <section className="section" style={{ marginTop: 0 }}>
            <h2>
              {kind.label}{' '}
              <small>
                {kind.says} <Link to={`/clients/${client.id}/journal`}>journal</Link>,{' '}
                <Link to={`/clients/${client.id}/checks`}>check register</Link>
              </small>
            </h2>
            <div className="actions" style={{ alignItems: 'flex-end' }}>
              <NativeSelect
                label="Report"
                value={kind.code}
                onChange={(event) => put({ report: event.currentTarget.value })}
                data={all.map(({ code, label }) => ({ value: code, label }))}
              />
              <DateField label="Checks from" w={140} value={asked.from} onChange={(from) => put({ from })} />
              <DateField label="to" w={140} value={asked.to} onChange={(to) => put({ to })} />
              {kind.groups.length > 0 && (
                <NativeSelect
                  label="By"
                  value={by}
                  onChange={(event) => put({ by: event.currentTarget.value })}
                  data={['', ...kind.groups].map((group) => ({ value: group, label: GROUP_WORDS[group] ?? group }))}
                />
              )}
              <NativeSelect
                label="Of"
                value={asked.employee}
                onChange={(event) => put({ employee: event.currentTarget.value })}
                data={[
                  { value: '', label: 'everybody' },
                  ...(people.data?.rows ?? []).map(({ id, number, name }) => ({
                    value: id,
                    label: `${number} ${name}`,
                  })),
                ]}
              />
              <span className="note">
                {['csv', 'xlsx', 'pdf'].map((format) => (
                  <a
                    key={format}
                    href={reportFilePath(client.id, { ...asked, by }, format)}
                    style={{ marginRight: 10 }}
                  >
                    {format.toUpperCase()}
                  </a>
                ))}
              </span>
            </div>
            {asked.in !== '' && (
              <p className="note">
                Only {GROUP_WORDS[asked.in] ?? asked.in} <b>{asked.of}</b>:{' '}
                <button type="button" className="plain" onClick={() => put({ in: '', of: '', by: asked.in })}>
                  added up again
                </button>{' '}
                ·{' '}
                <button type="button" className="plain" onClick={() => put({ in: '', of: '' })}>
                  everything
                </button>
              </p>
            )}
            <Report clientId={client.id} asked={{ ...asked, code: kind.code, by }} put={put} />
          </section>
        );
      }}
    </Waiting>
  );
}

/** The same report of what one row of it is made of. */
function pathInto({ code, from, to, by, employee }: AskedReport, value: string): string {
  const query = { report: code, from, to, in: by, of: value, ...(employee === '' ? {} : { employee }) };
  return `?${new URLSearchParams(query).toString()}`;
}

function Report({
  clientId,
  asked,
  put,
}: {
  readonly clientId: string;
  readonly asked: AskedReport;
  readonly put: (next: Readonly<Record<string, string>>) => void;
}): ReactNode {
  const isWhole = /^\d{4}-\d{2}-\d{2}$/.test(asked.from) && /^\d{4}-\d{2}-\d{2}$/.test(asked.to);
  const report = useQuery({ ...reportQuery(clientId, asked), enabled: isWhole });
  const { data: totals } = useQuery({ ...reportTotalsQuery(clientId, asked), enabled: isWhole });
  if (!isWhole) return <p className="empty">Give the first and the last check date.</p>;
  return (
    <Waiting query={report}>
      {(data) =>
        data.rows.length === 0 ? (
          <p className="empty">
            Nothing of this in these days. What posted payrolls have stands here; a row opens its payroll, or the checks
            that it adds up.
          </p>
        ) : (
          <>
            <Table report={data} totals={totals} onOpen={(value) => pathInto(asked, value)} />
            <Pages report={data} totals={totals} put={put} />
          </>
        )
      }
    </Waiting>
  );
}
