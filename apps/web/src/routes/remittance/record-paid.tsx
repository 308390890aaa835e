import { TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useRecordPaid, useUnrecordPaid } from '../../api/resources.js';
import { EntryForm } from '../../kit/entry-form.js';
import { DateField } from '../../kit/date-field.js';

type Remittance = Pick<Schemas['RemittanceView'], 'id' | 'version' | 'check'>;

/** A payment that was made on the agency's own site, by check or by somebody else: its day and its confirmation. */
export function RecordPaid({
  remittance,
  onClose,
}: {
  readonly remittance: Remittance;
  readonly onClose: () => void;
}): ReactNode {
  const [paidOn, setPaidOn] = useState('');
  const [confirmation, setConfirmation] = useState(remittance.check === null ? '' : `Check ${remittance.check.number}`);
  const record = useRecordPaid(remittance.id);
  return (
    <EntryForm
      label="Paid elsewhere"
      act="Record the payment"
      isBusy={record.isPending}
      error={record.error}
      onSave={() => record.mutate({ version: remittance.version, paidOn, confirmation }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <DateField label="Paid on" value={paidOn} autoFocus onChange={setPaidOn} />
      <TextInput
        label="Confirmation or check number"
        maxLength={60}
        value={confirmation}
        onChange={(event) => setConfirmation(event.currentTarget.value)}
      />
    </EntryForm>
  );
}

/** Takes back a record that was mistaken: the liabilities are open again. */
export function UnrecordPaid({ remittance }: { readonly remittance: Remittance }): ReactNode {
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const unrecord = useUnrecordPaid(remittance.id);
  if (!isOpen)
    return (
      <div className="actions">
        <button type="button" className="plain" onClick={() => setOpen(true)}>
          it was not paid: take the record back
        </button>
      </div>
    );
  return (
    <EntryForm
      label="Take the record back"
      act="Take it back"
      isBusy={unrecord.isPending}
      error={unrecord.error}
      onSave={() => unrecord.mutate({ version: remittance.version, reason }, { onSuccess: () => setOpen(false) })}
      onClose={() => setOpen(false)}
    >
      <TextInput label="Reason" value={reason} autoFocus onChange={(event) => setReason(event.currentTarget.value)} />
    </EntryForm>
  );
}
