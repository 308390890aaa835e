import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { cents, showDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { returnPaymentsQuery } from '../../api/filing-parts.js';
import { clientQuery, usePlanRemittance } from '../../api/resources.js';
import { ShortDay } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { payingAccounts } from '../clients/paying-accounts.js';

type Filing = Schemas['FilingView'];
type Part = Schemas['DepositView'];

const keyOf = ({ family, due }: Part): string => `${family} ${due ?? ''}`;
/** What of a deposit is not scheduled. */
const toPay = ({ liabilities }: Part) => liabilities.filter(({ underWay }) => underWay === 0);

/**
 * What a return that goes without a signature still owes, deposit by deposit: the ticked ones are scheduled beside it, the
 * others stay owed.
 */
export function PaymentsBeside({ filing }: { readonly filing: Filing }): ReactNode {
  const isAsked =
    filing.signedWith === null && !filing.handedTo && filing.lines.length > 0 && filing.correctsId === null;
  const { data } = useQuery({ ...returnPaymentsQuery(filing.id), enabled: isAsked });
  const client = useQuery(clientQuery(filing.clientId));
  const plan = usePlanRemittance(filing.clientId);
  const [left, setLeft] = useState<readonly string[]>([]);
  const [bank, setBank] = useState('');
  if (!isAsked || !data || data.length === 0) return null;
  const accounts = payingAccounts(client.data, 'taxes');
  const from = bank || (accounts[0]?.value ?? '');
  const open = data.filter((part) => toPay(part).length > 0 && part.question === null);
  const chosen = open.filter((part) => !left.includes(keyOf(part)));
  const schedule = async (): Promise<void> => {
    for (const part of chosen)
      await plan.mutateAsync({
        items: toPay(part).map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
        settles: part.settles,
        bankAccountId: from,
      });
  };
  const standing = (part: Part): ReactNode => {
    if (part.question) return part.question.sentence;
    if (toPay(part).length === 0) return 'scheduled';
    return part.due === null ? '' : <ShortDay day={part.due} />;
  };
  return (
    <section className="section">
      <h2>
        Payments with the return <small>what is not ticked stays owed</small>
      </h2>
      <table className="ruled" style={{ maxWidth: 760 }}>
        <ListHead columns={['Pay', 'Deposit', 'Due', 'Settles', { number: 'Owed' }]} />
        <tbody>
          {data.map((part) => {
            const isOpen = open.includes(part);
            return (
              <tr key={keyOf(part)}>
                <td>
                  <Checkbox
                    aria-label={`Pay ${part.familyLabel}`}
                    disabled={!isOpen}
                    checked={isOpen && !left.includes(keyOf(part))}
                    onChange={() =>
                      setLeft((before) =>
                        before.includes(keyOf(part))
                          ? before.filter((key) => key !== keyOf(part))
                          : [...before, keyOf(part)],
                      )
                    }
                  />
                </td>
                <td>{part.familyLabel}</td>
                <td>{standing(part)}</td>
                <td>{isOpen && <ShortDay day={part.settles} />}</td>
                <td className="num">{showDollars(cents(part.owed))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {open.length > 0 && (
        <div className="actions" style={{ alignItems: 'flex-end' }}>
          <NativeSelect
            label="From"
            value={from}
            onChange={(event) => setBank(event.currentTarget.value)}
            data={accounts}
          />
          <Button
            variant="outline"
            disabled={chosen.length === 0 || from === ''}
            loading={plan.isPending}
            onClick={() => void schedule().catch(() => undefined)}
          >
            Schedule {showDollars(cents(chosen.reduce((total, { owed, underWay }) => total + owed - underWay, 0)))}
          </Button>
        </div>
      )}
      <RefusedNote error={plan.error} />
      {data.some(({ underWay }) => underWay > 0) && (
        <p className="note">
          What is scheduled waits for the second person under{' '}
          <Link to={`/clients/${filing.clientId}/deposits`}>Deposits</Link>.
        </p>
      )}
    </section>
  );
}
