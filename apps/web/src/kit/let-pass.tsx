import { TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { RefusedNote } from './problems.js';

interface Props {
  /** What is let pass, for those who hear the page. */
  readonly what: string;
  /** Why it was let pass; null while it was not. */
  readonly because: string | null;
  readonly error: Error | null;
  readonly onPass: (reason: string) => void;
}

/** Lets something stand that blocks, with the reason. */
export function LetPass({ what, because, error, onPass }: Props): ReactNode {
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  if (because !== null) return <span className="soft">let pass: {because}</span>;
  if (!isOpen)
    return (
      <button type="button" className="plain" onClick={() => setOpen(true)} aria-label={`let it pass: ${what}`}>
        let it pass
      </button>
    );
  const save = (event: FormEvent): void => {
    event.preventDefault();
    onPass(reason);
  };
  return (
    <form onSubmit={save}>
      <TextInput
        aria-label="Reason"
        placeholder="the reason, for the audit trail"
        autoFocus
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <RefusedNote error={error} />
    </form>
  );
}
