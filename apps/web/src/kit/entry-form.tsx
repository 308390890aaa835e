import { Button } from '@mantine/core';
import type { FormEvent, ReactNode } from 'react';
import { RefusedNote } from './problems.js';

interface Props {
  /** What is entered, for those who hear the page. */
  readonly label: string;
  readonly act: string;
  readonly isBusy: boolean;
  readonly error: Error | null;
  readonly onSave: () => void;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** The frame of a small form that opens in its place: fields, what was refused, one act, and the way out. */
export function EntryForm({ label, act, isBusy, error, onSave, onClose, children }: Props): ReactNode {
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    onSave();
  };
  return (
    <form
      onSubmit={submit}
      className="fact-form"
      aria-label={label}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <div className="fields">{children}</div>
      <RefusedNote error={error} />
      <div className="actions">
        <Button type="submit" loading={isBusy}>
          {act}
        </Button>
        <button type="button" className="plain" onClick={onClose}>
          leave it
        </button>
      </div>
    </form>
  );
}
