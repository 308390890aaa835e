import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  garnishmentPaymentQuery,
  garnishmentSlipQuery,
  useGarnishmentAct,
  useRecordGarnishment,
} from '../../api/garnishments.js';
import { DateField } from '../../kit/date-field.js';
import { Day } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { GarnishedRows } from './garnished-rows.js';

type Payment = Schemas['GarnishmentPaymentView'];

function Slip({ payment, onClose }: { readonly payment: Payment; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(garnishmentSlipQuery(payment.id, payment.version));
  const act = useGarnishmentAct(payment.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel="Release the payment"
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: payment.version })}
      onClose={onClose}
    />
  );
}

function Record({ payment, onClose }: { readonly payment: Payment; readonly onClose: () => void }): ReactNode {
  const record = useRecordGarnishment(payment.id);
  const [paidOn, setPaidOn] = useState('');
  const [confirmation, setConfirmation] = useState('');
  return (
    <EntryForm
      label="Paid by check or elsewhere"
      act="Record it as paid"
      isBusy={record.isPending}
      error={record.error}
      onSave={() => record.mutate({ version: payment.version, paidOn, confirmation }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <DateField label="Paid on" value={paidOn} onChange={setPaidOn} />
      <TextInput
        label="Check or confirmation number"
        maxLength={60}
        value={confirmation}
        onChange={(event) => setConfirmation(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

function Acts({ payment }: { readonly payment: Payment }): ReactNode {
  const act = useGarnishmentAct(payment.id);
  const [open, setOpen] = useState<'slip' | 'record' | null>(null);
  if (payment.status !== 'planned') return null;
  if (open === 'slip') return <Slip payment={payment} onClose={() => setOpen(null)} />;
  if (open === 'record') return <Record payment={payment} onClose={() => setOpen(null)} />;
  return (
    <>
      <div className="actions">
        {payment.isAch && <Button onClick={() => setOpen('slip')}>Release…</Button>}
        <Button variant={payment.isAch ? 'outline' : 'filled'} onClick={() => setOpen('record')}>
          It was paid by check or elsewhere
        </Button>
        <button
          type="button"
          className="plain"
          onClick={() => act.mutate({ act: 'withdraw', version: payment.version })}
        >
          withdraw it
        </button>
      </div>
      <RefusedNote error={act.error} />
    </>
  );
}

/** A payment of what was withheld by order to one payee. */
export function GarnishmentPaymentPage(): ReactNode {
  const { paymentId = '' } = useParams();
  const payment = useQuery(garnishmentPaymentQuery(paymentId));
  return (
    <Waiting query={payment}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/deposits`}>{data.clientName}</Link>
          </p>
          <div className="lead">
            <h1>Garnishments to {data.payee}</h1>
            <p className="beside">
              <Status word={data.status} />
              <br />
              {data.reference}
            </p>
          </div>
          <p className="note">
            Prepared by {data.preparedBy}
            {data.releasedBy ? `, released by ${data.releasedBy}` : ''}. From {data.bankAccount}. Settles{' '}
            <Day day={data.settles} />, due <Day day={data.due} />.
          </p>
          {data.delivery && (
            <p className="note" role="status">
              {data.delivery}
            </p>
          )}
          {data.paidElsewhereOn ? (
            <p className="note">
              Paid by check or elsewhere on <Day day={data.paidElsewhereOn} />: {data.confirmation}.
            </p>
          ) : (
            data.confirmation && <p className="note">Settled; the bank’s confirmation is {data.confirmation}.</p>
          )}
          {data.returnedReason && (
            <div className="problem">Returned: {data.returnedReason}. What it paid is open again.</div>
          )}
          <Acts payment={data} />
          <section className="section">
            <h2>What it pays</h2>
            <GarnishedRows items={data.items} isPencil={data.status === 'planned'} />
          </section>
        </>
      )}
    </Waiting>
  );
}
