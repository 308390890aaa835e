import { TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useReverseTrustEntry } from '../../api/trust.js';
import { ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';

type Entry = Schemas['TrustEntryView'];

function Reverse({ entry, onClose }: { readonly entry: Entry; readonly onClose: () => void }): ReactNode {
  const reverse = useReverseTrustEntry(entry.id);
  const [reason, setReason] = useState('');
  return (
    <EntryForm
      label={`Reverse ${entry.label} ${entry.reference}`}
      act="Reverse it"
      isBusy={reverse.isPending}
      error={reverse.error}
      onSave={() => reverse.mutate(reason, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextInput
        label="Why it was wrong"
        maxLength={200}
        autoFocus
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

/** Entries of the trust ledger, newest first, each with the balance after it; of one client its name is left out. */
export function EntryRows({
  entries,
  isOfOne = false,
}: {
  readonly entries: readonly Entry[];
  readonly isOfOne?: boolean;
}): ReactNode {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <table className="ruled">
      <ListHead
        columns={[
          'Day',
          ...(isOfOne ? [] : ['Whose']),
          'What',
          'Reference',
          'On the statement',
          { number: 'Amount' },
          { number: 'Balance after' },
          '',
        ]}
      />
      <tbody>
        {entries.map((entry) => (
          <tr key={entry.id}>
            <td>
              <ShortDay day={entry.day} />
            </td>
            {!isOfOne && <td>{entry.whose}</td>}
            <td>
              {entry.label}
              {entry.memo !== '' && <div className="sub">{entry.memo}</div>}
              {open === entry.id && <Reverse entry={entry} onClose={() => setOpen(null)} />}
            </td>
            <td>{entry.reference}</td>
            <td>{entry.cleared === null ? '' : <ShortDay day={entry.cleared} />}</td>
            <td className="num">
              <Figure amount={entry.amount} />
            </td>
            <td className="num">
              <Figure amount={entry.balance} />
            </td>
            <td>
              {entry.mayReverse && open !== entry.id && (
                <button type="button" className="plain" onClick={() => setOpen(entry.id)}>
                  reverse
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
