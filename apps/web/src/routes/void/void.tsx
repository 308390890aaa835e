import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, showDollars, subtract } from '@zakat/core/money/cents';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { employeesQuery, sessionQuery } from '../../api/resources.js';
import { usePayAgain, useVoidAct, voidQuery } from '../../api/voids.js';
import { DateField } from '../../kit/date-field.js';
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
        {!isSlipOpen && (
          <Button onClick={() => setSlipOpen(true)}>{data.repaid === null ? 'Void…' : 'Take it back…'}</Button>
        )}
        <button type="button" className="plain" onClick={() => act.mutate({ act: 'withdraw', version })}>
          withdraw it
        </button>
      </div>
      <RefusedNote error={act.error} />
      {isSlipOpen && (
        <ReleaseSlip
          slip={data.slip}
          actLabel={actLabel(data)}
          isBusy={act.isPending}
          onClose={() => setSlipOpen(false)}
          onAct={() => act.mutateAsync({ act: 'post', version })}
        />
      )}
    </>
  );
}

function actLabel({ repaid, checks }: Schemas['VoidView']): string {
  if (repaid !== null) return 'Take the taxes back';
  return checks.length === 1 ? 'Void the check' : `Void the ${checks.length} checks`;
}

/** The people of the void are paid again, with the lines they had, less what they kept. */
function PayAgain({ data, today }: { readonly data: Schemas['VoidView']; readonly today: string }): ReactNode {
  const again = usePayAgain(data.id);
  const navigate = useNavigate();
  const [day, setDay] = useState(data.checkDate);
  const [whose, setWhose] = useState('');
  const [only] = data.checks;
  const mayMove = data.checks.length === 1;
  const { data: people } = useQuery({ ...employeesQuery(data.clientId), enabled: mayMove });
  const kept = data.checks.some((check) => check.kept > 0);
  if (data.againPayrollId !== null)
    return (
      <p className="note">
        <Link to={`/payrolls/${data.againPayrollId}`}>The payroll in which they are paid again</Link>.
      </p>
    );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    again.mutate(
      { checkDate: day, ...(whose === '' ? {} : { employeeId: whose }) },
      { onSuccess: ({ id }) => void navigate(`/payrolls/${id}`) },
    );
  };
  return (
    <form onSubmit={submit} className="section" aria-label="Pay again">
      <h2>Pay again with the right amounts</h2>
      <p className="note">
        An off-cycle payroll with the lines they had, to be corrected there
        {kept ? ', less the pay they kept. What was kept was wages of its own check date' : ''}.
        {whose !== '' &&
          ' The hours and amounts go to whom you chose, at their own rate and with their own deductions; what was kept of the voided check is still owed by whoever has it.'}
      </p>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        <DateField label="Check date" value={day} onChange={setDay} />
        {mayMove && people && (
          <NativeSelect
            label="Whose pay it was"
            value={whose}
            onChange={(event) => setWhose(event.currentTarget.value)}
            data={[
              { value: '', label: only?.name ?? '' },
              ...people.rows
                .filter(({ id }) => id !== only?.employeeId)
                .map(({ id, number, name }) => ({ value: id, label: `${number} ${name}` })),
            ]}
          />
        )}
        <Button type="submit" variant="outline" loading={again.isPending}>
          Pay again
        </Button>
        {today !== data.checkDate && (
          <button type="button" className="plain" onClick={() => setDay(today)}>
            today
          </button>
        )}
      </div>
      <RefusedNote error={again.error} />
    </form>
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

/** Gross pay less the employee's own share of the taxes, which is theirs: what is to come back in all. */
function GivenBack({ data, today }: { readonly data: Schemas['VoidView']; readonly today: string }): ReactNode {
  const [check] = data.checks;
  if (!check || data.repaid === null) return null;
  const owed = subtract(cents(data.repaid), cents(data.refunded));
  return (
    <section className="section">
      <h2>Given back</h2>
      <p className="note">
        Gross pay {showDollars(cents(data.repaid))}, less {showDollars(cents(data.refunded))} social security and
        Medicare of the employee: {showDollars(owed)} comes back, at once or from later pay. The return and Form W-2 of
        the year now differ from what was filed: see <Link to={`/clients/${data.clientId}/returns`}>Returns</Link>.
      </p>
      <Recover employeeId={check.employeeId} name={check.name} amount={owed} from={today} />
    </section>
  );
}

/** A void of posted checks: proposed, posted or withdrawn. */
export function VoidPage(): ReactNode {
  const { voidId = '' } = useParams();
  const query = useQuery(voidQuery(voidId));
  const { data: session } = useQuery(sessionQuery);
  const today = session?.today ?? '';
  // What was cashed is owed back once the void is posted.
  const isCashed =
    query.data?.status === 'posted' && query.data.repaid === null && query.data.checks.some(({ cashed }) => cashed > 0);
  return (
    <Waiting query={query}>
      {(data) => (
        <>
          <p className="sub">
            <Link to={`/clients/${data.clientId}/payrolls`}>{data.clientName}</Link>, EIN ending {data.einTail}
          </p>
          <div className="lead">
            <h1>
              {data.repaid === null ? 'Void' : 'Wages paid back'}, checks of <Day day={data.checkDate} />
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
          {data.status === 'posted' && data.repaid === null && (
            <>
              <Reversal voidId={data.id} today={today} />
              {data.kind !== 'recorded' && <PayAgain key={today} data={data} today={today} />}
            </>
          )}
          {data.status === 'posted' && data.repaid !== null && <GivenBack data={data} today={today} />}
          <VoidEffectsView effects={data.effects} isPencil={data.status !== 'posted'} />
        </>
      )}
    </Waiting>
  );
}
