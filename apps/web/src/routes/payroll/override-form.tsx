import { Checkbox, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactNode } from 'react';
import { TYPINGS } from '../../kit/typed-field.js';

/** Another amount than is computed, and why. */
export function OverrideForm({
  label,
  mayBeOwed = false,
  onChange,
  onClose,
}: {
  readonly label: string;
  /** Of a deduction: what is not taken may stay owed. */
  readonly mayBeOwed?: boolean;
  readonly onChange: (amount: string, reason: string, isOwed: boolean) => void;
  readonly onClose: () => void;
}): ReactNode {
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const [isOwed, setOwed] = useState(false);
  const read = TYPINGS.amount.read(amount);
  const isReady = read !== null && reason.trim() !== '';
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (isReady) onChange(read, reason.trim(), isOwed);
  };
  return (
    <form
      className="actions"
      style={{ margin: 0 }}
      aria-label={`Override ${label}`}
      onSubmit={submit}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <TextInput
        aria-label={`Amount of ${label}`}
        placeholder="amount"
        size="xs"
        w={100}
        autoFocus
        value={amount}
        onChange={(event) => setAmount(event.currentTarget.value)}
      />
      <TextInput
        aria-label={`Reason for another ${label}`}
        placeholder="reason, for the audit trail"
        size="xs"
        w={230}
        maxLength={120}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      {mayBeOwed && (
        <Checkbox
          size="xs"
          label="what is not taken is owed"
          checked={isOwed}
          onChange={(event) => setOwed(event.currentTarget.checked)}
        />
      )}
      <button type="submit" className="plain" disabled={!isReady}>
        override it
      </button>
      <button type="button" className="plain" onClick={onClose}>
        not now
      </button>
    </form>
  );
}
