import { NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { correctionCasesQuery, useOpenCase } from '../../api/correction-cases.js';
import { DateField } from '../../kit/date-field.js';
import { ShortDay } from '../../kit/day.js';
import { EntryForm } from '../../kit/entry-form.js';
import { ListHead } from '../../kit/list-head.js';
import { Status } from '../../kit/status.js';

export const FOUND_BY: Readonly<Record<Schemas['OpenCase']['foundBy'], string>> = {
  'tie-out': 'the tie-out',
  notice: 'a notice',
  returned: 'a return that was refused',
  client: 'the client',
  employee: 'an employee',
  rate: 'a rate that changed',
  review: 'a review here',
};

function OpenForm({ clientId, onClose }: { readonly clientId: string; readonly onClose: () => void }): ReactNode {
  const open = useOpenCase(clientId);
  const navigate = useNavigate();
  const [draft, setDraft] = useState({ what: '', since: '', foundBy: 'review', evidence: '' });
  const set = (name: keyof typeof draft) => (value: string) => setDraft({ ...draft, [name]: value });
  return (
    <EntryForm
      label="Something was wrong"
      act="Open the correction"
      isBusy={open.isPending}
      error={open.error}
      onSave={() =>
        open.mutate(
          { ...draft, foundBy: draft.foundBy as Schemas['OpenCase']['foundBy'] },
          { onSuccess: ({ id }) => void navigate(`/corrections/${id}`) },
        )
      }
      onClose={onClose}
    >
      <TextInput
        label="What was wrong"
        maxLength={300}
        autoFocus
        value={draft.what}
        onChange={(event) => set('what')(event.currentTarget.value)}
      />
      <DateField label="Since" value={draft.since} onChange={set('since')} />
      <NativeSelect
        label="Found by"
        value={draft.foundBy}
        onChange={(event) => set('foundBy')(event.currentTarget.value)}
        data={Object.entries(FOUND_BY).map(([value, label]) => ({ value, label }))}
      />
      <TextInput
        label="Evidence"
        maxLength={1000}
        value={draft.evidence}
        onChange={(event) => set('evidence')(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

/** Mistakes that were filed, each followed until everything that comes of it is done. */
export function CorrectionCases({ clientId }: { readonly clientId: string }): ReactNode {
  const { data: rows = [] } = useQuery(correctionCasesQuery(clientId));
  const [isOpening, setOpening] = useState(false);
  return (
    <section className="section">
      <h2>
        Corrections <small>what was wrong, and everything that follows from it</small>
      </h2>
      {rows.length > 0 && (
        <table className="ruled">
          <ListHead columns={['What was wrong', 'Since', 'Found', 'Status', { number: 'Left to do' }]} />
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <td>
                  <Link to={`/corrections/${row.id}`}>{row.what}</Link>
                </td>
                <td>
                  <ShortDay day={row.since} />
                </td>
                <td>
                  <ShortDay day={row.foundOn} />
                </td>
                <td>
                  <Status word={row.status} />
                </td>
                <td className="num">{row.left}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isOpening ? (
        <OpenForm clientId={clientId} onClose={() => setOpening(false)} />
      ) : (
        <p>
          <button type="button" className="plain" onClick={() => setOpening(true)}>
            open a correction
          </button>
        </p>
      )}
    </section>
  );
}
