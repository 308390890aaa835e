import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { addMonths, parseDate } from '@zakat/core/calendar/local-date';
import { useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { invoicePath, invoicesQuery, useIssueInvoices, useMoveInvoice, usePayInvoice } from '../../api/invoices.js';
import { sessionQuery } from '../../api/resources.js';
import { cents, showDollars } from '@zakat/core/money/cents';
import { DateField } from '../../kit/date-field.js';
import { ShortDay } from '../../kit/day.js';
import { DoneOfMany } from '../../kit/done-of-many.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';

type Row = Schemas['FeesOfMonth'];
type Invoice = Schemas['InvoiceView'];
const MONTHS_BACK = 12;

/** The months up to today's, newest first: `2026-09` and `September 2026`. */
export function monthsBefore(today: string): { value: string; label: string }[] {
  const first = parseDate(`${today.slice(0, 7)}-01`);
  if (!first) return [];
  return Array.from({ length: MONTHS_BACK }, (_, back) => {
    const month = addMonths(first, -back);
    const label = new Intl.DateTimeFormat('en-US', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
      new Date(`${month}T00:00:00Z`),
    );
    return { value: month.slice(0, 7), label };
  });
}

function Pay({ invoice, today, onClose }: { invoice: Invoice; today: string; onClose: () => void }): ReactNode {
  const pay = usePayInvoice(invoice.id);
  const [paidOn, setPaidOn] = useState(today);
  const [reference, setReference] = useState('');
  return (
    <EntryForm
      label={`Payment of ${invoice.number}`}
      act="Record the payment"
      isBusy={pay.isPending}
      error={pay.error}
      onSave={() => pay.mutate({ version: invoice.version, paidOn, reference }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <DateField label="Paid on" value={paidOn} onChange={setPaidOn} />
      <TextInput
        label="Check number or reference"
        maxLength={60}
        autoFocus
        value={reference}
        onChange={(event) => setReference(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

function Move({
  invoice,
  act,
  onClose,
}: {
  readonly invoice: Invoice;
  readonly act: 'unpay' | 'void';
  readonly onClose: () => void;
}): ReactNode {
  const move = useMoveInvoice(invoice.id);
  const [reason, setReason] = useState('');
  return (
    <EntryForm
      label={`${act === 'void' ? 'Void' : 'Take back the payment of'} ${invoice.number}`}
      act={act === 'void' ? 'Void the invoice' : 'Take the payment back'}
      isBusy={move.isPending}
      error={move.error}
      onSave={() => move.mutate({ act, version: invoice.version, reason }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextInput
        label="Why"
        maxLength={200}
        autoFocus
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

function InvoiceRow({
  row,
  today,
  isTicked,
  onTick,
}: {
  readonly row: Row;
  readonly today: string;
  readonly isTicked: boolean;
  readonly onTick: ((isTicked: boolean) => void) | null;
}): ReactNode {
  const [open, setOpen] = useState<'pay' | 'unpay' | 'void' | null>(null);
  const { invoice } = row;
  const close = (): void => setOpen(null);
  const isLate = invoice?.status === 'issued' && !invoice.isCollected && invoice.due < today;
  return (
    <>
      <tr>
        <td>
          {onTick && row.total > 0 && (
            <Checkbox
              aria-label={`Invoice ${row.clientName}`}
              checked={isTicked}
              onChange={(event) => onTick(event.currentTarget.checked)}
            />
          )}
        </td>
        <td>
          <Link to={`/clients/${row.clientId}`}>{row.clientName}</Link>
          <div className="sub">
            {row.lines.map(({ label, count, price }) => `${label} ${count} × ${showDollars(cents(price))}`).join(', ')}
          </div>
        </td>
        <td>
          {invoice && (
            <a href={invoicePath(invoice.id)} target="_blank" rel="noreferrer">
              {invoice.number}
            </a>
          )}
        </td>
        <td>
          {invoice && <Status word={invoice.status} />}
          {invoice?.isCollected && <div className="sub">with the funds collected</div>}
          {invoice?.reference && <div className="sub">{invoice.reference}</div>}
        </td>
        <td>
          {invoice && <ShortDay day={invoice.paidOn ?? invoice.due} />}
          {isLate && <div className="tag-wrong">past due</div>}
        </td>
        <td>
          {invoice?.status === 'issued' && (
            <>
              <button type="button" className="plain" onClick={() => setOpen('pay')}>
                it is paid
              </button>
              <button type="button" className="plain" style={{ marginLeft: 14 }} onClick={() => setOpen('void')}>
                void
              </button>
            </>
          )}
          {invoice?.status === 'paid' && (
            <button type="button" className="plain" onClick={() => setOpen('unpay')}>
              take back
            </button>
          )}
        </td>
        <td className="num">
          <Figure amount={row.total} isPencil={invoice === null} />
        </td>
      </tr>
      {open !== null && invoice && (
        <tr>
          <td colSpan={7}>
            {open === 'pay' ? (
              <Pay invoice={invoice} today={today} onClose={close} />
            ) : (
              <Move invoice={invoice} act={open} onClose={close} />
            )}
          </td>
        </tr>
      )}
    </>
  );
}

/** The firm's fees of a month: what each client's work comes to, invoiced together, each by itself. */
export function InvoicesPage(): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const [asked, setAsked] = useSearchParams();
  const today = session?.today ?? '';
  const months = monthsBefore(today);
  const month = asked.get('month') ?? months[1]?.value ?? '';
  const invoices = useQuery({ ...invoicesQuery(month), enabled: month !== '' });
  const issue = useIssueInvoices();
  const [left, setLeft] = useState<readonly string[]>([]);
  return (
    <>
      <div className="lead">
        <h1>Invoices</h1>
        <NativeSelect
          label="Month"
          value={month}
          onChange={(event) => setAsked({ month: event.currentTarget.value })}
          data={months}
        />
      </div>
      <Waiting query={invoices}>
        {(view) => {
          const open = view.rows.filter(({ invoice, total }) => invoice === null && total > 0);
          const chosen = open.filter(({ clientId }) => !left.includes(clientId));
          if (view.rows.length === 0)
            return (
              <p className="empty">
                No client has agreed to fees. They are recorded in a client’s setup, under “Fees of the firm”; what its
                month comes to stands here.
              </p>
            );
          return (
            <>
              {!view.isOver && <p className="note">This month is not over: it is invoiced when it is.</p>}
              <table className="ruled">
                <ListHead columns={['', 'Client', 'Invoice', 'Status', 'Due or paid', '', { number: 'Total' }]} />
                <tbody>
                  {view.rows.map((row) => (
                    <InvoiceRow
                      key={row.clientId}
                      row={row}
                      today={today}
                      isTicked={!left.includes(row.clientId)}
                      onTick={
                        row.invoice === null && view.isOver
                          ? (isTicked) =>
                              setLeft(isTicked ? left.filter((id) => id !== row.clientId) : [...left, row.clientId])
                          : null
                      }
                    />
                  ))}
                </tbody>
              </table>
              {view.without > 0 && (
                <p className="note">
                  {view.without === 1 ? 'One client has' : `${view.without} clients have`} agreed to no fees.
                </p>
              )}
              {view.isOver && open.length > 0 && (
                <div className="actions">
                  <Button
                    loading={issue.isPending}
                    disabled={chosen.length === 0}
                    onClick={() => issue.mutate({ month, clientIds: chosen.map(({ clientId }) => clientId) })}
                  >
                    Issue {chosen.length === 1 ? 'one invoice' : `${chosen.length} invoices`}
                  </Button>
                </div>
              )}
              <RefusedNote error={issue.error} />
              {issue.data && <DoneOfMany answers={issue.data} noun="invoice" word="issued" />}
            </>
          );
        }}
      </Waiting>
    </>
  );
}
