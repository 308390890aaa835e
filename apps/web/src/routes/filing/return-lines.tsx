import type { ReactNode } from 'react';
import { quarterOf } from '@zakat/core/calendar/quarter';
import { yearOf } from '@zakat/core/calendar/local-date';
import { parsePeriod } from '@zakat/core/filings/period';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import type { Working } from '../../kit/working.js';
import { ShortDay } from '../../kit/day.js';

type Filing = Schemas['FilingView'];
type Line = Schemas['ReturnLineView'];
type Table = Schemas['FilingTableView'];

/** The ledger's filter for the entries behind a line. */
function entriesPath(filing: Filing, { taxes, of }: Line): string | null {
  const period = parsePeriod(filing.period);
  if (taxes === null || of === null || period === null) return null;
  const query = new URLSearchParams({
    year: String(yearOf(period.start)),
    quarter: period.kind === 'year' ? '' : String(quarterOf(period.start).quarter),
    group: taxes,
    of,
  });
  return `/clients/${filing.clientId}/ledger?${query.toString()}`;
}

function ScheduleTable({ table, isPencil }: { readonly table: Table; readonly isPencil: boolean }): ReactNode {
  const rows = table.rows as unknown as (string | number)[][];
  const totals = table.columns.map((column, index) =>
    column.kind === 'amount' ? rows.reduce((total, row) => total + Number(row[index] ?? 0), 0) : null,
  );
  return (
    <section className="section">
      <h2>{table.title}</h2>
      <table className="ruled">
        <thead>
          <tr>
            {table.columns.map((column) => (
              <th key={column.label} scope="col" className={column.kind === 'amount' ? 'num' : undefined}>
                {column.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={at}>
              {table.columns.map(({ label, kind }, index) => (
                <td key={label} className={kind === 'amount' ? 'num' : undefined}>
                  {kind === 'amount' ? (
                    <Figure amount={Number(row[index])} isPencil={isPencil} />
                  ) : kind === 'day' ? (
                    <ShortDay day={String(row[index])} />
                  ) : (
                    row[index]
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        {!table.isList && (
          <tfoot>
            <tr>
              {totals.map((total, index) => (
                <td key={index} className={total === null ? undefined : 'num'}>
                  {total === null ? index === 0 ? 'Total' : '' : <Figure amount={total} isPencil={isPencil} />}
                </td>
              ))}
            </tr>
          </tfoot>
        )}
      </table>
    </section>
  );
}

/** The return line by line, with its schedules; each amount writes out how it was made and leads to its entries. */
export function ReturnLines({ filing }: { readonly filing: Filing }): ReactNode {
  const isPencil = !['released', 'received', 'accepted'].includes(filing.status);
  const working = (line: Line): Working => {
    const to = entriesPath(filing, line);
    return {
      title: `${filing.title}, line ${line.id}`,
      lines: line.working,
      ...(to ? { link: { to, label: 'Open the entries that make it' } } : {}),
    };
  };
  return (
    <>
      <section className="section">
        <h2>Lines</h2>
        <table className="ruled">
          {filing.beforePeriod !== null && (
            <thead>
              <tr>
                <th scope="col">Line</th>
                <th scope="col">What it is</th>
                <th scope="col" className="num">
                  {filing.beforePeriod}
                </th>
                <th scope="col" className="num">
                  This one
                </th>
              </tr>
            </thead>
          )}
          <tbody>
            {filing.lines.map((line) => (
              <tr key={line.id}>
                <td style={{ width: 60 }}>{line.id}</td>
                <td>{line.label}</td>
                {filing.beforePeriod !== null && (
                  <td className="num sub">
                    {line.before === null ? '' : line.kind === 'count' ? line.before : <Figure amount={line.before} />}
                  </td>
                )}
                <td className="num">
                  {line.kind === 'count' ? (
                    line.value
                  ) : (
                    <Figure
                      amount={line.value}
                      isPencil={isPencil}
                      label={`Line ${line.id}`}
                      working={() => working(line)}
                    />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {filing.tables.map((table) => (
        <ScheduleTable key={table.title} table={table} isPencil={isPencil} />
      ))}
    </>
  );
}
