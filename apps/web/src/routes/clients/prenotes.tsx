import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { prenotesQuery, usePlanPrenotes } from '../../api/direct-deposits.js';
import { Waiting } from '../../kit/waiting.js';
import { DepositFile, PlanFile, standingWords } from '../direct-deposit/deposit-file.js';
import { Day } from '../../kit/day.js';
import { payingAccounts } from './paying-accounts.js';

/** The accounts of the client's people that receive pay, and the entries that try them out. */
export function Prenotes({ client }: { readonly client: Schemas['ClientView'] }): ReactNode {
  const prenotes = useQuery(prenotesQuery(client.id));
  const plan = usePlanPrenotes(client.id);
  return (
    <section className="section" id="prenotes">
      <h2>
        Prenotes <small>try out the accounts of people before money goes there</small>
      </h2>
      <Waiting query={prenotes}>
        {(data) => {
          const wanted = data.accounts.filter((account) => account.standing === 'wanted').length;
          const isPlanned = data.files.some((file) => file.status === 'planned');
          return (
            <>
              {data.accounts.length === 0 && <p className="note">Nobody here is paid into an account.</p>}
              {data.accounts.length > 0 && (
                <table className="ruled">
                  <tbody>
                    {data.accounts.map((account) => (
                      <tr key={`${account.employeeId} ${account.label}`}>
                        <td>
                          <Link to={`/employees/${account.employeeId}`}>{account.name}</Link>
                        </td>
                        <td>
                          {account.label}, ending {account.tail}
                        </td>
                        <td>
                          {standingWords(account.standing, account.cameBack)}
                          {account.confirmedOn && (
                            <>
                              , counts from <Day day={account.confirmedOn} /> on
                            </>
                          )}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {data.files.slice(0, 3).map((file) => (
                <DepositFile key={file.id} file={file} />
              ))}
              {wanted > 0 && !isPlanned && (
                <PlanFile
                  accounts={payingAccounts(client, 'people')}
                  label={wanted === 1 ? 'Schedule one prenote' : `Schedule ${wanted} prenotes`}
                  isBusy={plan.isPending}
                  error={plan.error}
                  onPlan={(bankAccountId) => plan.mutate(bankAccountId)}
                />
              )}
            </>
          );
        }}
      </Waiting>
    </section>
  );
}
