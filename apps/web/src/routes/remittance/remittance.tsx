import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { remittanceQuery, remittanceSlipQuery, useRemittanceAct } from '../../api/resources.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { Papers } from '../papers/papers.js';
import { CheckOut, PrintCheck } from './agency-check.js';
import { RecordPaid, UnrecordPaid } from './record-paid.js';
import { Day, ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

type Remittance = Schemas['RemittanceView'];

function Slip({ remittance, onClose }: { readonly remittance: Remittance; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(remittanceSlipQuery(remittance.id, remittance.version));
  const act = useRemittanceAct(remittance.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel="Release the payment"
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: remittance.version })}
      onClose={onClose}
    />
  );
}

function Acts({ remittance }: { readonly remittance: Remittance }): ReactNode {
  const act = useRemittanceAct(remittance.id);
  const [isSlipOpen, setSlipOpen] = useState(false);
  const [isRecording, setRecording] = useState(false);
  const [isPrinting, setPrinting] = useState(false);
  const { status, version } = remittance;
  if (status === 'settled' && remittance.paidElsewhereOn !== null) return <UnrecordPaid remittance={remittance} />;
  if (status !== 'planned' && status !== 'approved') return null;
  return (
    <>
      <div className="actions">
        {status === 'planned' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'approve', version })}>
            Approve
          </Button>
        )}
        {!isSlipOpen && remittance.method !== 'elsewhere' && remittance.check === null && (
          <Button variant={status === 'approved' ? 'filled' : 'outline'} onClick={() => setSlipOpen(true)}>
            {status === 'approved' ? 'Release…' : 'Rehearse the release'}
          </Button>
        )}
        {status === 'approved' && remittance.check === null && !isPrinting && (
          <button type="button" className="plain" onClick={() => setPrinting(true)}>
            print a check with its voucher
          </button>
        )}
        <a href={`/api/remittances/${remittance.id}/instructions.pdf`} target="_blank" rel="noreferrer">
          what to enter, for whoever pays it (PDF)
        </a>
        <button type="button" className="plain" onClick={() => setRecording(true)}>
          {remittance.check === null ? 'it was paid elsewhere' : 'the check was mailed'}
        </button>
        <button type="button" className="plain" onClick={() => act.mutate({ act: 'withdraw', version })}>
          withdraw it
        </button>
      </div>
      <RefusedNote error={act.error} />
      {remittance.check && <CheckOut remittance={remittance} check={remittance.check} />}
      {isPrinting && <PrintCheck remittance={remittance} onClose={() => setPrinting(false)} />}
      {isRecording && <RecordPaid remittance={remittance} onClose={() => setRecording(false)} />}
      {isSlipOpen && <Slip remittance={remittance} onClose={() => setSlipOpen(false)} />}
    </>
  );
}

export function RemittancePage(): ReactNode {
  const { remittanceId = '' } = useParams();
  const remittance = useQuery(remittanceQuery(remittanceId));
  return (
    <Waiting query={remittance}>
      {(data) => {
        const isPencil = data.status === 'planned' || data.status === 'approved';
        return (
          <>
            <p className="sub">
              <Link to={`/clients/${data.clientId}/deposits`}>{data.clientName}</Link>, EIN ending {data.einTail}
            </p>
            <div className="lead">
              <h1>
                {data.familyLabel} to {data.agencyName}
              </h1>
              <p className="beside">
                <Status word={data.status} />
                <br />
                {data.reference}
              </p>
            </div>
            <p className="note">
              Prepared by {data.preparedBy}
              {data.approvedBy ? `, approved by ${data.approvedBy}` : ''}
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
                Paid elsewhere on <Day day={data.paidElsewhereOn} />; confirmation {data.confirmation}.
              </p>
            ) : (
              data.confirmation && <p className="note">Settled; the bank’s confirmation is {data.confirmation}.</p>
            )}
            {data.returnedReason && (
              <div className="problem">
                Returned: {data.returnedReason}. The liabilities are open again; schedule them again from the deposits.{' '}
                <a href={`/api/remittances/${data.id}/returned.pdf`} target="_blank" rel="noreferrer">
                  letter to the client (PDF)
                </a>
              </div>
            )}
            {data.paidElsewhereOn !== null && <Papers subject="remittance" id={data.id} />}
            <Acts remittance={data} />
            <section className="section">
              <h2>Liabilities it pays</h2>
              <table className="ruled">
                <ListHead columns={['Tax', 'Check date', { number: 'Amount' }]} />
                <tbody>
                  {data.items.map((item) => (
                    <tr key={`${item.tax} ${item.liabilityDate}`}>
                      <td>{item.label}</td>
                      <td>
                        <ShortDay day={item.liabilityDate} />
                      </td>
                      <td className="num">
                        <Figure amount={item.amount} isPencil={isPencil} />
                      </td>
                    </tr>
                  ))}
                </tbody>
                <tfoot>
                  <tr>
                    <td colSpan={2}>Total</td>
                    <td className="num">
                      <Figure amount={data.amount} isPencil={isPencil} />
                    </td>
                  </tr>
                </tfoot>
              </table>
            </section>
          </>
        );
      }}
    </Waiting>
  );
}
