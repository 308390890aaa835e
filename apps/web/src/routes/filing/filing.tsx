import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { filingQuery, filingSlipQuery, useFilingAct } from '../../api/resources.js';
import { Day } from '../../kit/day.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { correctionPath } from './fields.js';
import { ReturnLines } from './return-lines.js';
import { WageStatements } from './wage-statements.js';

type Filing = Schemas['FilingView'];
const titleOf = (filing: Filing): string =>
  filing.form === '941' ? `Form 941, Q${filing.quarter ?? ''} ${filing.year}` : `Forms W-2 and W-3, ${filing.year}`;

function Slip({ filing, onClose }: { readonly filing: Filing; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(filingSlipQuery(filing.id, filing.version));
  const act = useFilingAct(filing.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel={filing.form === '941' ? 'Release the return' : 'Release the wage file'}
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: filing.version })}
      onClose={onClose}
    />
  );
}

function Sign({ filing }: { readonly filing: Filing }): ReactNode {
  const act = useFilingAct(filing.id);
  const [pin, setPin] = useState('');
  if (filing.form !== '941' || filing.status !== 'checked' || filing.signedBy) return null;
  return (
    <form
      className="actions"
      style={{ alignItems: 'flex-end' }}
      onSubmit={(event) => {
        event.preventDefault();
        act.mutate({ act: 'sign', version: filing.version, pin });
      }}
    >
      <TextInput
        label="Signer’s PIN, from Form 8879-EMP"
        w={220}
        inputMode="numeric"
        maxLength={5}
        autoComplete="off"
        value={pin}
        onChange={(event) => setPin(event.currentTarget.value)}
      />
      <Button type="submit" loading={act.isPending}>
        Enter the signature
      </Button>
      <RefusedNote error={act.error} />
    </form>
  );
}

function Acts({ filing }: { readonly filing: Filing }): ReactNode {
  const act = useFilingAct(filing.id);
  const [isSlipOpen, setSlipOpen] = useState(false);
  const { status, version } = filing;
  const route = (field: string): string | null => correctionPath(field, filing.clientId, `/filings/${filing.id}`);
  if (!['draft', 'checked', 'rejected'].includes(status)) return null;
  return (
    <>
      <Sign filing={filing} />
      <div className="actions">
        {status === 'draft' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'check', version })}>
            Run the checks
          </Button>
        )}
        {status !== 'rejected' && !isSlipOpen && (
          <Button variant={status === 'checked' ? 'filled' : 'outline'} onClick={() => setSlipOpen(true)}>
            {status === 'checked' ? 'Fill the release slip' : 'Rehearse the release'}
          </Button>
        )}
        {status === 'rejected' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'reopen', version })}>
            Open it for another attempt
          </Button>
        )}
        {status === 'checked' && (
          <button type="button" className="plain" onClick={() => act.mutate({ act: 'reopen', version })}>
            back to draft
          </button>
        )}
      </div>
      <RefusedNote error={act.error} route={route} />
      {isSlipOpen && <Slip filing={filing} onClose={() => setSlipOpen(false)} />}
    </>
  );
}

function Events({ filing }: { readonly filing: Filing }): ReactNode {
  if (filing.events.length === 0) return null;
  return (
    <section className="section">
      <h2>On its way</h2>
      <table className="ruled">
        <tbody>
          {filing.events.map((event, index) => {
            const to = event.field ? correctionPath(event.field, filing.clientId, `/filings/${filing.id}`) : null;
            return (
              <tr key={index}>
                <td>{event.at.slice(0, 16).replace('T', ' ')}</td>
                <td>attempt {event.attempt}</td>
                <td>{event.stage === 'wage-file-identifier' ? 'identifier' : <Status word={event.stage} />}</td>
                <td>{event.code ?? ''}</td>
                <td>
                  {event.message} {to && <Link to={to}>Go to the field</Link>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

export function FilingPage(): ReactNode {
  const { filingId = '' } = useParams();
  const filing = useQuery(filingQuery(filingId));
  return (
    <Waiting query={filing}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/returns`}>{data.clientName}</Link>, EIN ending {data.einTail}
          </p>
          <div className="lead">
            <h1>{titleOf(data)}</h1>
            <p className="beside">
              <Status word={data.status} />
              <br />
              due <Day day={data.due} />, attempt {data.attempt}
            </p>
          </div>
          <p className="note">
            Prepared by {data.preparedBy}
            {data.signedBy ? `, signature entered by ${data.signedBy}` : ''}.{' '}
            {data.isSnapshot
              ? 'These are the figures as they were checked.'
              : 'These figures follow the ledger until they are checked.'}
            {data.submissionId ? ` Submission ${data.submissionId}.` : ''}
          </p>
          {data.delivery && (
            <p className="note" role="status">
              {data.delivery}
            </p>
          )}
          <Problems
            title={data.status === 'draft' ? 'The checks would say' : 'Since the check'}
            details={data.problems}
            route={(field) => correctionPath(field, data.clientId, `/filings/${data.id}`)}
          />
          <Acts filing={data} />
          <Events filing={data} />
          {data.form === '941' ? <ReturnLines filing={data} /> : <WageStatements filing={data} />}
          {data.documentId && (
            <p>
              <a href={`/api/filings/${data.id}/file`}>The file as it was sent</a>
            </p>
          )}
        </>
      )}
    </Waiting>
  );
}
