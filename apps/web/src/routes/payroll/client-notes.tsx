import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { clientQuery } from '../../api/resources.js';
import { shortDay } from '../../kit/day.js';

/** What was noted about the client, in view while its people are paid: dated and signed. */
export function ClientNotes({ clientId }: { readonly clientId: string }): ReactNode {
  const { data: client } = useQuery(clientQuery(clientId));
  const notes = (client?.facts ?? []).filter((fact) => fact.kind === 'note' && fact.isInForce);
  if (notes.length === 0) return null;
  return (
    <ul className="notes" aria-label="Notes about the client">
      {notes.map((note) => (
        <li key={`${note.from} ${note.sentence}`}>
          {note.sentence}{' '}
          <span className="soft">
            {note.recordedBy}, {shortDay(note.from)}
          </span>
        </li>
      ))}
    </ul>
  );
}
