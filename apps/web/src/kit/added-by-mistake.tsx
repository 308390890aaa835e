import { Button } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { RefusedNote } from './problems.js';

interface AddedByMistakeProps {
  /** `employee`, `client`. */
  readonly what: string;
  /** What is asked before it is done. */
  readonly question: string;
  readonly act: { readonly isPending: boolean; readonly error: Error | null };
  readonly onRemove: () => void;
}

/** Takes away what was added by mistake, asked once more before it is done; a refusal says what keeps it. */
export function AddedByMistake({ what, question, act, onRemove }: AddedByMistakeProps): ReactNode {
  const [isAsking, setAsking] = useState(false);
  return (
    <section className="section" aria-label="Remove">
      {isAsking ? (
        <p className="actions">
          <span>{question}</span>
          <Button loading={act.isPending} onClick={onRemove}>
            Remove
          </Button>
          <button type="button" className="plain" onClick={() => setAsking(false)}>
            cancel
          </button>
        </p>
      ) : (
        <button type="button" className="plain" onClick={() => setAsking(true)}>
          added by mistake: remove this {what}
        </button>
      )}
      <RefusedNote error={act.error} />
    </section>
  );
}
