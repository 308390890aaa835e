import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { exportPath, journalQuery, useExportJournal } from '../../api/journal.js';
import { DateField } from '../../kit/date-field.js';
import { Day, ShortDay, shortMoment } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from '../clients/client-frame.js';
import { PeriodPicker, periodLabel, usePeriod, type Period } from '../clients/period.js';
import { ListHead } from '../../kit/list-head.js';

type Journal = Schemas['JournalView'];
type Unit = Schemas['ExportJournal']['unit'];
const UNITS = [
  { value: 'entry', label: 'entry by entry' },
  { value: 'month', label: 'a month in one' },
];

/** First and last day of a period of the address. */
function daysOf({ year, quarter }: Period): { from: string; to: string } {
  if (quarter === '') return { from: `${year}-01-01`, to: `${year}-12-31` };
  const last = Number(quarter) * 3;
  const pad = (month: number): string => String(month).padStart(2, '0');
  return { from: `${year}-${pad(last - 2)}-01`, to: `${year}-${pad(last)}-${last === 6 || last === 9 ? '30' : '31'}` };
}

function Export({ clientId, journal }: { readonly clientId: string; readonly journal: Journal }): ReactNode {
  const send = useExportJournal(clientId);
  const [upTo, setUpTo] = useState(journal.lastWaiting ?? '');
  const [unit, setUnit] = useState<Unit>('entry');
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    send.mutate({ upTo, unit });
  };
  return (
    <section className="section">
      <h2>
        Exports <small>each entry goes out once; a file can be had again as it was made</small>
      </h2>
      {journal.waiting === 0 ? (
        <p className="note">No entry waits to be exported.</p>
      ) : (
        <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
          <DateField label="Entries up to" w={140} value={upTo} onChange={setUpTo} />
          <NativeSelect
            label="Booked"
            value={unit}
            onChange={(event) => setUnit(event.currentTarget.value as Unit)}
            data={UNITS}
          />
          <Button type="submit" loading={send.isPending} disabled={upTo === ''}>
            Export
          </Button>
          <span className="note">
            {journal.waiting} {journal.waiting === 1 ? 'entry waits' : 'entries wait'}
          </span>
        </form>
      )}
      <RefusedNote error={send.error} />
      {journal.exports.length > 0 && (
        <table className="ruled">
          <ListHead columns={['Number', 'Entries up to', 'Booked', 'By', 'Files', { number: 'Entries' }]} />
          <tbody>
            {journal.exports.map((row) => (
              <tr key={row.id}>
                <td>{row.number}</td>
                <td>
                  <ShortDay day={row.upTo} />
                </td>
                <td>{UNITS.find(({ value }) => value === row.unit)?.label}</td>
                <td>
                  {row.by}, {shortMoment(row.at)}
                </td>
                <td>
                  <a href={exportPath(row.id, 'csv')}>CSV</a>,{' '}
                  <a href={exportPath(row.id, 'journal')}>plain-text journal</a>
                </td>
                <td className="num">{row.entries}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Entries({ journal }: { readonly journal: Journal }): ReactNode {
  if (journal.entries.length === 0)
    return <p className="empty">No entry in this period. A posted payroll and a settled tax payment each write one.</p>;
  const total = (of: (amount: number) => number): number =>
    journal.entries.reduce((sum, { lines }) => sum + lines.reduce((own, line) => own + of(line.amount), 0), 0);
  return (
    <table className="ruled">
      <ListHead columns={['Account', 'Department', 'For', { number: 'Debit' }, { number: 'Credit' }]} />
      {journal.entries.map((entry) => (
        <tbody key={entry.key}>
          <tr className="entry">
            <th scope="rowgroup" colSpan={5}>
              <Day day={entry.day} /> · {entry.path === '' ? entry.memo : <Link to={entry.path}>{entry.memo}</Link>}
              <small className="soft">
                {' '}
                {entry.exportNumber === null ? 'not exported yet' : `export ${entry.exportNumber}`}
              </small>
            </th>
          </tr>
          {entry.lines.map((line, index) => (
            <tr key={index}>
              <td className={line.isMapped ? undefined : 'soft'}>{line.account}</td>
              <td>{line.department}</td>
              <td>{line.detail}</td>
              <td className="num">{line.amount > 0 && <Figure amount={line.amount} />}</td>
              <td className="num">{line.amount < 0 && <Figure amount={-line.amount} />}</td>
            </tr>
          ))}
        </tbody>
      ))}
      <tfoot>
        <tr>
          <td colSpan={3}>Totals</td>
          <td className="num">
            <Figure amount={total((amount) => Math.max(amount, 0))} />
          </td>
          <td className="num">
            <Figure amount={total((amount) => Math.max(-amount, 0))} />
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

/** The journal on the client's own accounts, and what of it went to its books. */
export function JournalPage(): ReactNode {
  const client = useClient();
  const period = usePeriod();
  const { from, to } = daysOf(period ?? { year: 2000, quarter: '' });
  const journal = useQuery({ ...journalQuery(client.id, from, to), enabled: period !== null });
  if (!period) return null;
  return (
    <>
      <PeriodPicker period={period} />
      <Waiting query={journal}>
        {(data) => (
          <>
            <section className="section" style={{ marginTop: 0 }}>
              <h2>
                Journal, {periodLabel(period)}{' '}
                <small>
                  <Link to={`/clients/${client.id}/reports`}>reports</Link>
                </small>
              </h2>
              {data.unmapped.length > 0 && (
                <p className="note" style={{ maxWidth: 'none' }}>
                  The client has not said its account for {data.unmapped.join(', ')}:{' '}
                  <Link to={`/clients/${client.id}/facts#checks`}>say it</Link>, or for one item with{' '}
                  <Link to={`/clients/${client.id}/items`}>the item</Link>. Until then the name stands for it.
                </p>
              )}
              <Entries journal={data} />
            </section>
            <Export key={data.waiting} clientId={client.id} journal={data} />
          </>
        )}
      </Waiting>
    </>
  );
}
