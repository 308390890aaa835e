import { Button, Checkbox } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, showDollars, sum, toDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import {
  reconciliationPath,
  reconciliationQuery,
  useFetchTrustStatement,
  useKeepReconciliation,
  useMatchLine,
  useTrustStatement,
} from '../../api/trust.js';
import { DateField } from '../../kit/date-field.js';
import { ShortDay, sayDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { FileChoice } from '../../kit/file-choice.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { RecordEntry } from './record-entry.js';

type View = Schemas['ReconciliationView'];
type Line = Schemas['TrustLineView'];

/** One line of the bank: written down as what it is, or put with entries that add up to it. */
function Unexplained({ line, view }: { readonly line: Line; readonly view: View }): ReactNode {
  const [open, setOpen] = useState<'record' | 'match' | null>(null);
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const match = useMatchLine(view.day);
  const chosen = view.outstanding.filter(({ id }) => ticked.includes(id));
  const total = sum(chosen.map(({ amount }) => cents(amount)));
  const size = toDollars(cents(Math.abs(line.amount)));
  return (
    <>
      <tr>
        <td>
          <ShortDay day={line.day} />
        </td>
        <td>
          {line.reference} {line.description}
        </td>
        <td>
          <button type="button" className="plain" onClick={() => setOpen(open === 'record' ? null : 'record')}>
            write it down
          </button>
          {view.outstanding.length > 0 && (
            <button
              type="button"
              className="plain"
              style={{ marginLeft: 14 }}
              onClick={() => setOpen(open === 'match' ? null : 'match')}
            >
              match it
            </button>
          )}
        </td>
        <td className="num">
          <Figure amount={line.amount} />
        </td>
      </tr>
      {open !== null && (
        <tr>
          <td colSpan={4}>
            {open === 'record' ? (
              <RecordEntry
                begun={{
                  kind: line.amount > 0 ? 'received' : 'bank-charge',
                  day: line.day,
                  amount: size,
                  reference: (line.reference || line.description).slice(0, 60),
                }}
                onClose={() => setOpen(null)}
              />
            ) : (
              <fieldset className="fact-form">
                <legend>Entries that are this line</legend>
                {view.outstanding.map(({ id, day, whose, label, reference, amount }) => (
                  <Checkbox
                    key={id}
                    className="check-field"
                    label={`${sayDay(day)}, ${label}, ${whose}, ${reference}: ${showDollars(cents(amount))}`}
                    checked={ticked.includes(id)}
                    onChange={(event) =>
                      setTicked(event.currentTarget.checked ? [...ticked, id] : ticked.filter((one) => one !== id))
                    }
                  />
                ))}
                <RefusedNote error={match.error} />
                <div className="actions">
                  <Button
                    loading={match.isPending}
                    disabled={total !== line.amount}
                    onClick={() => match.mutate({ lineId: line.id ?? '', entryIds: [...ticked] })}
                  >
                    Match {showDollars(total)} of {showDollars(cents(line.amount))}
                  </Button>
                  <button type="button" className="plain" onClick={() => setOpen(null)}>
                    leave it
                  </button>
                </div>
              </fieldset>
            )}
          </td>
        </tr>
      )}
    </>
  );
}

function Sum({ label, amount, isTotal }: { label: string; amount: number; isTotal?: boolean }): ReactNode {
  return (
    <tr>
      <td colSpan={3}>{isTotal ? <b>{label}</b> : label}</td>
      <td className="num">
        <Figure amount={amount} />
      </td>
    </tr>
  );
}

/** The account on one day: bank, what is outstanding, book, and whose money it is. */
function Proof({ view }: { readonly view: View }): ReactNode {
  const keep = useKeepReconciliation();
  return (
    <>
      <table className="ruled">
        <ListHead columns={['Day', 'What', '', { number: 'Amount' }]} />
        <tbody>
          <Sum label="Balance by the bank’s statement" amount={view.bank} isTotal />
          {view.outstanding.map(({ id, day, label, whose, reference, amount }) => (
            <tr key={id}>
              <td>
                <ShortDay day={day} />
              </td>
              <td>
                {label}, {whose}, {reference}
              </td>
              <td className="sub">not yet on the statement</td>
              <td className="num">
                <Figure amount={amount} />
              </td>
            </tr>
          ))}
          {view.unexplained.map((line) => (
            <Unexplained key={line.id} line={line} view={view} />
          ))}
          <Sum label="Balance of the bank as adjusted" amount={view.adjusted} isTotal />
          {view.balances.map(({ clientId, clientName, balance }) => (
            <Sum key={clientId} label={clientName} amount={balance} />
          ))}
          <Sum label="The firm’s own" amount={view.firm} />
          <Sum label="Balance by the books" amount={view.book} isTotal />
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={3}>Difference</td>
            <td className="num">
              <Figure amount={view.difference} />
            </td>
          </tr>
        </tfoot>
      </table>
      <RefusedNote error={keep.error} />
      <div className="actions">
        {view.keptBy === null ? (
          <Button
            loading={keep.isPending}
            variant={view.isReconciled ? 'filled' : 'outline'}
            onClick={() => keep.mutate(view.day)}
          >
            Keep the report of this day
          </Button>
        ) : (
          <span role="status">The report of this day was kept by {view.keptBy}.</span>
        )}
        <a href={reconciliationPath(view.day)} target="_blank" rel="noreferrer">
          the report (PDF)
        </a>
      </div>
    </>
  );
}

/** The bank's statement, fetched or from a file, and the proof of a day. */
export function Reconciliation({ lastDay }: { readonly lastDay: string | null }): ReactNode {
  const [asked, setAsked] = useState<string | null>(null);
  const fetched = useFetchTrustStatement();
  const read = useTrustStatement();
  const [file, setFile] = useState<{ readonly fileName: string; readonly content: string } | null>(null);
  const day = asked ?? lastDay;
  const view = useQuery({ ...reconciliationQuery(day ?? ''), enabled: day !== null });
  const look = async (next: { readonly fileName: string; readonly content: string }): Promise<void> => {
    await read.mutateAsync({ ...next, isTaken: false });
    setFile(next);
  };
  const told = fetched.data ?? (read.data?.isTaken ? read.data : undefined);
  return (
    <section className="section">
      <h2>
        Reconciliation <small>bank, books and the balances of the clients, to the cent</small>
      </h2>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        {day !== null && <DateField label="Day" w={140} value={day} onChange={setAsked} />}
        <Button variant="outline" loading={fetched.isPending} onClick={() => fetched.mutate(null)}>
          Fetch the statement from the bank
        </Button>
        <FileChoice
          label="Read one from a file"
          accept=".csv,.txt,.tsv,.xlsx,.bai,.bai2"
          isBusy={read.isPending}
          onFile={look}
        />
        {file && read.data && !read.data.isTaken && (
          <Button loading={read.isPending} onClick={() => read.mutate({ ...file, isTaken: true })}>
            Take {read.data.added === 1 ? 'one new line' : `${read.data.added} new lines`}
          </Button>
        )}
        {told && (
          <span role="status">
            {told.added === 0 ? 'Nothing new' : `${told.added} new ${told.added === 1 ? 'line' : 'lines'}`},{' '}
            {told.matched} matched.
          </span>
        )}
      </div>
      <RefusedNote error={fetched.error ?? read.error} />
      {read.data?.unread.map((sentence) => (
        <div key={sentence} className="problem" data-severity="error">
          {sentence}
        </div>
      ))}
      {day === null ? (
        <p className="empty">
          No statement has been read yet. The proof of each day stands here once the bank has spoken.
        </p>
      ) : (
        <Waiting query={view}>{(data) => <Proof view={data} />}</Waiting>
      )}
    </section>
  );
}
