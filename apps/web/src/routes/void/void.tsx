import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { useVoidAct, voidQuery } from '../../api/voids.js';
import { Day, shortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { ReleaseSlip } from '../../kit/release-slip.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { VoidEffectsView } from './effects.js';
import { Recover } from './recover.js';
import { Reversal } from './reversal.js';
import { ListHead } from '../../kit/list-head.js';

function Acts({ data }: { readonly data: Schemas['VoidView'] }): ReactNode {
  const act = useVoidAct(data.id);
  const [isSlipOpen, setSlipOpen] = useState(false);
  const { version } = data;
  if (data.status !== 'proposed') return null;
  return (
    <>
      <div className="actions">
        {!isSlipOpen && <Button onClick={() => setSlipOpen(true)}>Void…</Button>}
        <button type="button" className="plain" onClick={() => act.mutate({ act: 'withdraw', version })}>
          withdraw it
        </button>
      </div>
      <RefusedNote error={act.error} />
      {isSlipOpen && (
        <ReleaseSlip
          slip={data.slip}
          actLabel={data.checks.length === 1 ? 'Void the check' : `Void the ${data.checks.length} checks`}
          isBusy={act.isPending}
          onClose={() => setSlipOpen(false)}
          onAct={() => act.mutateAsync({ act: 'post', version })}
        />
      )}
    </>
  );
}

/** What is done once the reversal is posted. */
function Afterwards({ data }: { readonly data: Schemas['VoidView'] }): ReactNode {
  if (data.status !== 'posted') return null;
  return (
    <p className="note">
      {data.voidPayrollId !== null && (
        <>
          <Link to={`/payrolls/${data.voidPayrollId}`}>The reversal in the register and the journal</Link>.{' '}
        </>
      )}
      {data.effects.isWhole && (
        <>
          No check of the payroll stands:{' '}
          <Link to={`/clients/${data.clientId}/payrolls?again=${data.payrollId}`}>start it again</Link> with the same
          lines.
        </>
      )}
    </p>
  );
}

/** A void of posted checks: proposed, posted or withdrawn. */
export function VoidPage(): ReactNode {
  const { voidId = '' } = useParams();
  const query = useQuery(voidQuery(voidId));
  const { data: session } = useQuery(sessionQuery);
  const today = session?.today ?? '';
  // What was cashed is owed back once the void is posted.
  const isCashed = query.data?.status === 'posted' && query.data.checks.some(({ cashed }) => cashed > 0);
  return (
    <Waiting query={query}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/payrolls`}>{data.clientName}</Link>, EIN ending {data.einTail}
          </p>
          <div className="lead">
            <h1>
              Void, checks of <Day day={data.checkDate} />
            </h1>
            <p className="beside">
              <Status word={data.status} />
              <br />
              <Link to={`/payrolls/${data.payrollId}`}>payroll of {shortDay(data.checkDate)}</Link>
            </p>
          </div>
          <p className="note">
            {data.reason}. Proposed by {data.preparedBy}
            {data.postedBy === null ? '' : `, posted by ${data.postedBy}`}.
          </p>
          <Afterwards data={data} />
          <table className="ruled">
            <ListHead
              columns={['Employee', 'Paid', { number: 'Gross' }, { number: 'Net' }, ...(isCashed ? [''] : [])]}
            />
            <tbody>
              {data.checks.map((check) => (
                <tr key={check.paycheckId}>
                  <td>{check.name}</td>
                  <td>{check.paid}</td>
                  <td className="num">
                    <Figure amount={check.gross} />
                  </td>
                  <td className="num">
                    <Figure amount={check.net} />
                  </td>
                  {isCashed && (
                    <td>
                      {check.cashed > 0 && (
                        <Recover employeeId={check.employeeId} name={check.name} amount={check.cashed} from={today} />
                      )}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          <Acts data={data} />
          {data.status === 'posted' && <Reversal voidId={data.id} today={today} />}
          <VoidEffectsView effects={data.effects} isPencil={data.status !== 'posted'} />
        </>
      )}
    </Waiting>
  );
}
