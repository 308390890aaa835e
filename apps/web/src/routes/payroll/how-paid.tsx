import { useQuery } from '@tanstack/react-query';
import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { payrollPayQuery, usePlanPay } from '../../api/direct-deposits.js';
import { clientQuery } from '../../api/resources.js';
import { Figure } from '../../kit/figure.js';
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
                  accounts={payingAccounts(client.data, 'people')}
                  label="Schedule the direct deposit"
                  isBusy={plan.isPending}
                  error={plan.error}
                  onPlan={(bankAccountId) => plan.mutate(bankAccountId)}
                />
              )}
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
