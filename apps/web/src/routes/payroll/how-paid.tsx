import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { payrollPayQuery, usePlanAgain, usePlanPay } from '../../api/direct-deposits.js';
import { clientQuery } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { DepositFile, PlanFile, standingWords } from '../direct-deposit/deposit-file.js';
import { ListHead } from '../../kit/list-head.js';
import { payingAccounts } from '../clients/paying-accounts.js';

type Pay = Schemas['PayrollPay'];
const LIVE: readonly string[] = ['planned', 'released', 'settled'];

function People({ pay, isPencil }: { readonly pay: Pay; readonly isPencil: boolean }): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['Employee', 'Paid to', { number: 'Account' }, { number: 'Check' }]} />
      <tbody>
        {pay.people.map((person) => (
          <Fragment key={person.employeeId}>
            {person.deposits.map((part, index) => (
              <tr key={part.label}>
                <td>{index === 0 ? person.name : ''}</td>
                <td>
                  {part.label}, ending {part.tail}
                  {!part.isReady && (
                    <small className="soft"> {standingWords(part.standing, part.cameBack)}, paid by check</small>
                  )}
                </td>
                <td className="num">{part.isReady && <Figure amount={part.amount} isPencil={isPencil} />}</td>
                <td className="num">{!part.isReady && <Figure amount={part.amount} isPencil={isPencil} />}</td>
              </tr>
            ))}
            {restByCheck(person) > 0 && (
              <tr>
                <td>{person.deposits.length === 0 ? person.name : ''}</td>
                <td>check</td>
                <td />
                <td className="num">
                  <Figure amount={restByCheck(person)} isPencil={isPencil} />
                </td>
              </tr>
            )}
          </Fragment>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2}>Totals</td>
          <td className="num">
            <Figure amount={pay.deposits} isPencil={isPencil} />
          </td>
          <td className="num">
            <Figure amount={pay.checks} isPencil={isPencil} />
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

/** What of the check stands on no line of an account. */
const restByCheck = (person: Pay['people'][number]): number =>
  person.check - person.deposits.reduce((total, part) => total + (part.isReady ? 0 : part.amount), 0);

/** Pay that came back from an account: a check is made out for it below, or it is sent again to the account of now. */
function CameBack({ pay, payroll }: { readonly pay: Pay; readonly payroll: Schemas['PayrollView'] }): ReactNode {
  const again = usePlanAgain(payroll.id);
  const isWaiting = pay.again.some(({ status }) => status === 'planned');
  const ready = pay.cameBack.filter((one) => one.ready > 0);
  if (pay.cameBack.length === 0 && pay.again.length === 0) return null;
  return (
    <section className="section" aria-label="Came back">
      <h2>
        Came back <small>a check is made out for it below, or it is sent again</small>
      </h2>
      {pay.cameBack.length > 0 && (
        <table className="ruled">
          <ListHead columns={['Employee', 'Account that would receive it now', { number: 'Came back' }]} />
          <tbody>
            {pay.cameBack.map((one) => (
              <tr key={one.employeeId}>
                <td>
                  <Link to={`/employees/${one.employeeId}`}>{one.name}</Link>
                </td>
                <td>
                  {one.to === ''
                    ? 'none: enter the account that the person has now, with its prenote sent or waived'
                    : `${one.to}${one.ready < one.amount ? ', part of it' : ''}`}
                </td>
                <td className="num">
                  <Figure amount={one.amount} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {pay.again.map((file) => (
        <DepositFile key={file.id} file={file} />
      ))}
      {ready.length > 0 && !isWaiting && (
        <div className="actions">
          <Button variant="outline" loading={again.isPending} onClick={() => again.mutate(undefined)}>
            {ready.length === 1 ? 'Send it again' : `Send ${ready.length} again`}
          </Button>
          <span className="note">from the account to which it came back</span>
        </div>
      )}
      <RefusedNote error={again.error} />
    </section>
  );
}

/** How the net pay of a posted payroll reaches its people, and the file that carries it. */
export function HowPaid({ payroll }: { readonly payroll: Schemas['PayrollView'] }): ReactNode {
  const pay = useQuery(payrollPayQuery(payroll.id));
  const client = useQuery(clientQuery(payroll.clientId));
  const plan = usePlanPay(payroll.id);
  return (
    <section className="section" id="paid">
      <h2>
        Payment method <small>to accounts whose prenote is through; everybody else by check</small>
      </h2>
      <Waiting query={pay}>
        {(data) => {
          const isLive = data.file !== null && LIVE.includes(data.file.status);
          const waits = data.people.some((person) => person.deposits.some((part) => part.standing === 'wanted'));
          return (
            <>
              <People pay={data} isPencil={!isLive || data.file?.status === 'planned'} />
              {data.file && <DepositFile key={data.file.id} file={data.file} />}
              {!isLive && data.deposits > 0 && client.data && (
                <PlanFile
                  accounts={payingAccounts(client.data, 'people', data.payFrom)}
                  label="Schedule the direct deposit"
                  isBusy={plan.isPending}
                  error={plan.error}
                  onPlan={(bankAccountId) => plan.mutate(bankAccountId)}
                />
              )}
              <CameBack pay={data} payroll={payroll} />
              {waits && (
                <p className="note">
                  Some accounts wait for their prenote:{' '}
                  <Link to={`/clients/${payroll.clientId}/facts#prenotes`}>send the prenotes</Link>.
                </p>
              )}
            </>
          );
        }}
      </Waiting>
    </section>
  );
}
