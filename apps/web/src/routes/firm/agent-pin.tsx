import { Button, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { useKeepAgentPin } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';

/** The five digits with which the firm signs returns under a Form 8655: entered, replaced, taken away; never shown. */
export function AgentPin({
  hasAgentPin,
  isAdministrator,
}: {
  readonly hasAgentPin: boolean;
  readonly isAdministrator: boolean;
}): ReactNode {
  const keep = useKeepAgentPin();
  const [pin, setPin] = useState('');
  const [isOpen, setOpen] = useState(false);
  const save = (next: string): void =>
    keep.mutate(
      { pin: next },
      {
        onSuccess: () => {
          setOpen(false);
          setPin('');
        },
      },
    );
  return (
    <section className="section">
      <h2>Reporting agent PIN</h2>
      <p className="note">
        {hasAgentPin
          ? 'It is kept sealed, and stands only in the files that it signs. The release of a return signs it for a client whose Form 8655 is signed; no Form 8879-EMP is needed then.'
          : 'With the PIN that the IRS assigned to the firm, the release of a return signs it for a client whose Form 8655 is signed. Until then each return waits for its signer’s Form 8879-EMP.'}
      </p>
      {isAdministrator && !isOpen && (
        <div className="actions">
          <button type="button" className="plain" onClick={() => setOpen(true)}>
            {hasAgentPin ? 'replace it' : 'enter it'}
          </button>
          {hasAgentPin && (
            <button type="button" className="plain" onClick={() => save('')}>
              take it away
            </button>
          )}
        </div>
      )}
      {isOpen && (
        <form
          className="actions"
          onSubmit={(event) => {
            event.preventDefault();
            save(pin);
          }}
        >
          <TextInput
            label="PIN, five digits"
            w={140}
            inputMode="numeric"
            maxLength={5}
            autoComplete="off"
            autoFocus
            value={pin}
            onChange={(event) => setPin(event.currentTarget.value)}
          />
          <Button type="submit" disabled={pin === ''} loading={keep.isPending}>
            Keep it
          </Button>
          <RefusedNote error={keep.error} />
        </form>
      )}
    </section>
  );
}
