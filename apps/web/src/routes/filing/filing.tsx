import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  filingQuery,
  filingSlipQuery,
  sessionQuery,
  useDiscardFiling,
  useFilingAct,
  useHandOver,
} from '../../api/resources.js';
import { DateField } from '../../kit/date-field.js';
import { EntryForm } from '../../kit/entry-form.js';
import { FetchedSlip } from '../../kit/fetched-slip.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { correctionPath } from './fields.js';
import { EnteredAmounts } from './entered-amounts.js';
import { TypedBoxes } from './typed-boxes.js';
import { PaymentsBeside } from './payments-beside.js';
import { Overlay } from './overlay.js';
import { Questions } from './questions.js';
import { ReturnLines } from './return-lines.js';
import { Signature } from './signature.js';
import { WageStatements } from './wage-statements.js';
import { Day, sayDay } from '../../kit/day.js';
import { shortMoment } from '../../kit/day.js';

type Filing = Schemas['FilingView'];

function Slip({ filing, onClose }: { readonly filing: Filing; readonly onClose: () => void }): ReactNode {
  const slip = useQuery(filingSlipQuery(filing.id, filing.version));
  const act = useFilingAct(filing.id);
  return (
    <FetchedSlip
      slip={slip}
      actLabel={`Release the ${filing.noun}`}
      act={act}
      onAct={() => act.mutateAsync({ act: 'release', version: filing.version })}
      onClose={onClose}
    />
  );
}

/** Takes a draft away again, of which nothing has left; asked twice. */
function Discard({ filing }: { readonly filing: Filing }): ReactNode {
  const discard = useDiscardFiling(filing.id);
  const navigate = useNavigate();
  const [isAsked, setAsked] = useState(false);
  const go = async (): Promise<void> => {
    await discard.mutateAsync({ version: filing.version });
    await navigate(`/clients/${filing.clientId}/returns`, { replace: true });
  };
  if (!isAsked)
    return (
      <button type="button" className="plain" onClick={() => setAsked(true)}>
        discard it
      </button>
    );
  return (
    <>
      <span>Discard this {filing.noun} and what was entered on it?</span>
      <button type="button" className="plain" onClick={() => void go().catch(() => undefined)}>
        yes, discard
      </button>
      <button type="button" className="plain" onClick={() => setAsked(false)}>
        keep it
      </button>
      <RefusedNote error={discard.error} />
    </>
  );
}

/** A page of somebody else's return: when it was filed there. */
function HandOver({ filing }: { readonly filing: Filing }): ReactNode {
  const save = useHandOver(filing.id);
  const { data: session } = useQuery(sessionQuery);
  const [isOpen, setOpen] = useState(false);
  const [on, setOn] = useState('');
  const found = save.error?.problem.problems.find(({ field }) => field === 'on');
  if (!session) return null;
  if (!isOpen) return <Button onClick={() => setOpen(true)}>It was filed with {filing.handedTo}…</Button>;
  return (
    <EntryForm
      label={`Filed with ${filing.handedTo ?? ''}`}
      act="Record that it was filed"
      isBusy={save.isPending}
      error={save.error}
      onSave={() => save.mutate({ version: filing.version, on: on || session.today })}
      onClose={() => setOpen(false)}
    >
      <DateField
        label="Filed on"
        value={on || session.today}
        error={found ? `${found.sentence} ${found.fix}` : undefined}
        onChange={setOn}
      />
    </EntryForm>
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
      <Signature filing={filing} />
      <div className="actions">
        {status === 'draft' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'check', version })}>
            Run the checks
          </Button>
        )}
        {status === 'checked' && filing.handedTo && <HandOver filing={filing} />}
        {status !== 'rejected' && !filing.handedTo && !isSlipOpen && (
          <Button variant={status === 'checked' ? 'filled' : 'outline'} onClick={() => setSlipOpen(true)}>
            {status === 'checked' ? 'Release…' : 'Rehearse the release'}
          </Button>
        )}
        {status === 'rejected' && (
          <Button loading={act.isPending} onClick={() => act.mutate({ act: 'reopen', version })}>
            Open it for another attempt
          </Button>
        )}
        {status === 'draft' && filing.events.length === 0 && <Discard filing={filing} />}
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
      <h2>Status history</h2>
      <table className="ruled">
        <tbody>
          {filing.events.map((event, index) => {
            const to = event.field ? correctionPath(event.field, filing.clientId, `/filings/${filing.id}`) : null;
            return (
              <tr key={index}>
                <td>{shortMoment(event.at)}</td>
                <td>attempt {event.attempt}</td>
                <td>{event.stage.endsWith('file-identifier') ? 'identifier' : <Status word={event.stage} />}</td>
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
            <h1>{data.title}</h1>
            <p className="beside">
              <Status word={data.status} />
              <br />
              due <Day day={data.due} />, attempt {data.attempt}
              {data.refusableUntil && (
                <>
                  <br />
                  the agency may return it until <Day day={data.refusableUntil} />
                </>
              )}
              {data.lines.length > 0 && (
                <>
                  <br />
                  <Link to={`/filings/${data.id}/working-papers`}>working papers</Link>
                </>
              )}
            </p>
          </div>
          <p className="note">
            {data.isElsewhere ? 'Filed by somebody else; taken in by ' : 'Prepared by '}
            {data.preparedBy}
            {data.signedBy ? `, signature entered by ${data.signedBy}` : ''}.{' '}
            {data.isSnapshot
              ? data.isElsewhere
                ? 'These are the figures of what it was taken from.'
                : 'These are the figures as they were checked.'
              : 'These figures follow the ledger until they are checked.'}
            {data.handedTo ? ` It is filed with ${data.handedTo}: nothing is sent from here.` : ''}
            {data.correctsId && (
              <>
                {' '}
                It corrects <Link to={`/filings/${data.correctsId}`}>what was accepted</Link>.
              </>
            )}
            {data.submissionId ? ` Submission ${data.submissionId}.` : ''}
            {data.balance?.on
              ? ` Its balance is paid from ${data.balance.from ?? ''}, on ${sayDay(data.balance.on)}.`
              : ''}
            {data.laterDue ? ' Everything was deposited on time, so it may be filed until ' : ''}
            {data.laterDue && <Day day={data.laterDue} />}
            {data.laterDue ? '.' : ''}
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
          {data.isElsewhere && data.correction?.corrections.length === 0 && (
            <p className="actions">
              <Discard filing={data} />
            </p>
          )}
          <Events filing={data} />
          <Overlay filing={data} />
          <Questions filing={data} />
          <TypedBoxes filing={data} />
          <EnteredAmounts filing={data} />
          {data.lines.length > 0 && <ReturnLines filing={data} />}
          <PaymentsBeside filing={data} />
          {data.w2s && <WageStatements filing={data} first={data.w2s} />}
          {data.copies.length > 0 && (
            <p>
              Copies:{' '}
              {data.copies.map(({ employeeId, name }, index) => (
                <span key={employeeId}>
                  {index > 0 && '; '}
                  <a href={`/api/filings/${data.id}/w2c/${employeeId}`} target="_blank" rel="noreferrer">
                    W-2c of {name}
                  </a>
                </span>
              ))}
            </p>
          )}
          <p>
            {data.lines.length > 0 && (
              <a href={`/api/filings/${data.id}/paper`} target="_blank" rel="noreferrer">
                The {data.noun} as PDF
              </a>
            )}
            {data.lines.length > 0 && data.documentId && ', '}
            {data.documentId && (
              <a href={`/api/filings/${data.id}/file`}>
                {data.isElsewhere ? 'what it was taken from' : 'the file as it was sent'}
              </a>
            )}
          </p>
        </>
      )}
    </Waiting>
  );
}
