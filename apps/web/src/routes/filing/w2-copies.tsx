import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { copiesQuery, useMakeCopies } from '../../api/wage-statements.js';
import { RefusedNote } from '../../kit/problems.js';

/** The copies of everybody, one page a person, to be printed and handed out: drawn in parts, of what was filed. */
export function W2Copies({ filingId }: { readonly filingId: string }): ReactNode {
  const [isDrawing, setDrawing] = useState(false);
  const { data } = useQuery(copiesQuery(filingId, isDrawing));
  const make = useMakeCopies(filingId);
  if (!data) return null;
  const made = data.parts.filter(({ isMade }) => isMade);
  const isWhole = made.length === data.total;
  return (
    <div className="section">
      <h3>Copies for the employees</h3>
      <RefusedNote error={make.error} />
      {!isWhole && !isDrawing && (
        <p>
          <Button
            size="xs"
            variant="default"
            loading={make.isPending}
            onClick={() => {
              setDrawing(true);
              make.mutate(undefined, { onError: () => setDrawing(false) });
            }}
          >
            Make the copies of everybody
          </Button>
        </p>
      )}
      {isDrawing && !isWhole && (
        <p role="status">
          <progress max={data.total} value={made.length} aria-label="Parts of the copies made" /> {made.length} of{' '}
          {data.total}
        </p>
      )}
      {made.length > 0 && (
        <ul className="plain">
          {made.map(({ part, from, to, people }) => (
            <li key={part}>
              <a href={`/api/filings/${filingId}/w2-copies/${part}`} target="_blank" rel="noreferrer">
                {from === to ? from : `${from} to ${to}`}
              </a>{' '}
              <small>{people === 1 ? '1 person' : `${people} people`}, PDF</small>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
