import { Button, NativeSelect } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { useBankStatement } from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { ListHead } from '../../kit/list-head.js';

type View = Schemas['StatementView'];
interface File {
  readonly fileName: string;
  readonly content: string;
}

function Rows({ view }: { readonly view: View }): ReactNode {
  return (
    <table className="ruled">
      <ListHead columns={['Number', 'Paid', 'Pay to', 'Outcome', { number: 'Issued for' }, { number: 'Bank paid' }]} />
      <tbody>
        {view.rows.map((row) => (
          <tr key={row.row}>
            <td>{row.number}</td>
            <td>
              <ShortDay day={row.day} />
            </td>
            <td>{row.payee}</td>
            <td className={row.outcome === 'clears' || row.outcome === 'cleared before' ? undefined : 'tag-wrong'}>
              {row.outcome}
            </td>
            <td className="num">{row.ours !== null && <Figure amount={row.ours} />}</td>
            <td className="num">
              <Figure amount={row.amount} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A statement of the bank against the checks that are out: what agrees is cleared, everything else is to be looked at. */
export function BankStatement({
  clientId,
  banks,
}: {
  readonly clientId: string;
  readonly banks: Schemas['ClientView']['bankAccounts'];
}): ReactNode {
  const read = useBankStatement(clientId);
  const [bankAccountId, setBank] = useState(banks[0]?.id ?? '');
  const [file, setFile] = useState<File | null>(null);
  const view = read.data;
  const look = async (next: File): Promise<void> => {
    await read.mutateAsync({ ...next, bankAccountId, isTaken: false });
    setFile(next);
  };
  return (
    <section className="section">
      <h2>
        Bank statement <small>CSV, XLSX or BAI2; checks whose number and amount agree are cleared</small>
      </h2>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        <NativeSelect
          label="Of the account"
          value={bankAccountId}
          onChange={(event) => setBank(event.currentTarget.value)}
          data={banks.map((bank) => ({ value: bank.id, label: `${bank.label}, ending ${bank.accountTail}` }))}
        />
        <FileChoice label="Choose the statement" isBusy={read.isPending} onFile={look} />
        {file && view && !view.isTaken && (
          <Button
            loading={read.isPending}
            disabled={view.clears === 0}
            onClick={() => read.mutate({ ...file, bankAccountId, isTaken: true })}
          >
            Clear {view.clears === 1 ? 'one check' : `${view.clears} checks`}
          </Button>
        )}
        {view?.isTaken && <span role="status">Cleared: {view.clears}.</span>}
      </div>
      <RefusedNote error={read.error} />
      {view?.unread.map((sentence) => (
        <div key={sentence} className="problem" data-severity="error">
          {sentence}
        </div>
      ))}
      {view && view.rows.length > 0 && <Rows view={view} />}
    </section>
  );
}
