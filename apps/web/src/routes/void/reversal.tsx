import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { usePlanReversal, voidReversalQuery } from '../../api/direct-deposits.js';
import { Day } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { DepositFile } from '../direct-deposit/deposit-file.js';
import { Recover } from './recover.js';

/** The bank has it, or is to have it: nobody is asked besides. */
const isLive = (file: Schemas['VoidReversal']['file']): boolean =>
  file !== null && file.status !== 'returned' && file.status !== 'withdrawn';

/** What the voided checks paid into accounts, and the file that asks it back within the days of the banks. */
export function Reversal({ voidId, today }: { readonly voidId: string; readonly today: string }): ReactNode {
  const query = useQuery(voidReversalQuery(voidId));
  const plan = usePlanReversal(voidId);
  return (
    <Waiting query={query}>
      {({ entries, amount, until, mayPlan, file }) =>
        entries.length > 0 && (
          <section className="section">
            <h2>
              Paid into accounts
              {until !== null && (
                <small>
                  {' '}
                  the bank takes a reversal until <Day day={until} />
                </small>
              )}
            </h2>
            <table className="ruled">
              <ListHead columns={['Employee', 'Account', { number: 'Amount' }, 'Not given back']} />
              <tbody>
                {entries.map((entry) => (
                  <tr key={`${entry.employeeId} ${entry.label}`}>
                    <td>{entry.name}</td>
                    <td>
                      {entry.label}, ending {entry.tail}
                    </td>
                    <td className="num">
                      <Figure amount={entry.amount} isPencil={file?.status !== 'settled'} />
                    </td>
                    <td>
                      {entry.cameBack !== null && `${entry.cameBack}: the person owes it. `}
                      {(entry.cameBack !== null || (!mayPlan && !isLive(file))) && (
                        <Recover employeeId={entry.employeeId} name={entry.name} amount={entry.amount} from={today} />
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
              <tfoot>
                <tr>
                  <td colSpan={2}>Total</td>
                  <td className="num">
                    <Figure amount={amount} isPencil={file?.status !== 'settled'} />
                  </td>
                  <td />
                </tr>
              </tfoot>
            </table>
            {file && <DepositFile key={file.id} file={file} />}
            {mayPlan && (
              <>
                <p className="note">
                  A reversal asks each account for the whole amount that was paid, and brings it back to the account
                  that paid it. Tell the person before it settles; from an account without the money it comes back
                  unpaid.
                </p>
                <Button variant="outline" loading={plan.isPending} onClick={() => plan.mutate()}>
                  Schedule the reversal
                </Button>
              </>
            )}
            {!mayPlan && !isLive(file) && (
              <p className="note">The banks take no reversal any more: agree with the person how it is paid back.</p>
            )}
            <RefusedNote error={plan.error} />
          </section>
        )
      }
    </Waiting>
  );
}
