import { NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { parseDollars } from '@zakat/core/money/cents';
import { BY_HAND_KINDS, trustKind, type TrustKindCode } from '@zakat/core/trust/kinds';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { clientsQuery, sessionQuery } from '../../api/resources.js';
import { useRecordTrustEntry } from '../../api/trust.js';
import { DateField } from '../../kit/date-field.js';
import { EntryForm } from '../../kit/entry-form.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';

/** What to begin with: a line of the bank that nobody has explained says day, amount and reference. */
export interface Begun {
  readonly kind: TrustKindCode;
  readonly day: string;
  readonly amount: string;
  readonly reference: string;
  readonly clientId?: string;
}

/** Money that moved outside of what is sent from here, by the bank's own reference. */
export function RecordEntry({ begun, onClose }: { readonly begun?: Begun; readonly onClose: () => void }): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const { data: clients } = useQuery(clientsQuery(''));
  const record = useRecordTrustEntry();
  const [draft, setDraft] = useState({
    kind: begun?.kind ?? ('received' as TrustKindCode),
    day: begun?.day ?? session?.today ?? '',
    amount: begun?.amount ?? '',
    reference: begun?.reference ?? '',
    clientId: begun?.clientId ?? '',
    memo: '',
  });
  const put = (more: Partial<typeof draft>): void => setDraft({ ...draft, ...more });
  const isOfClient = trustKind(draft.kind).of === 'client';
  const amount = parseDollars(draft.amount);
  return (
    <EntryForm
      label="What moved the trust account"
      act="Write it down"
      isBusy={record.isPending}
      error={record.error}
      onSave={() =>
        record.mutate(
          {
            ...draft,
            kind: draft.kind as Schemas['RecordTrustEntry']['kind'],
            amount: amount ?? 0,
            clientId: isOfClient && draft.clientId !== '' ? draft.clientId : null,
          },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <NativeSelect
        label="What it is"
        autoFocus
        value={draft.kind}
        onChange={(event) => put({ kind: event.currentTarget.value as TrustKindCode })}
        data={BY_HAND_KINDS.map((code) => ({ value: code, label: trustKind(code).label }))}
      />
      {isOfClient && (
        <NativeSelect
          label="Client"
          value={draft.clientId}
          onChange={(event) => put({ clientId: event.currentTarget.value })}
          data={[
            { value: '', label: 'choose' },
            ...(clients?.rows ?? []).map(({ id, legalName }) => ({ value: id, label: legalName })),
          ]}
        />
      )}
      <DateField label="Day at the bank" value={draft.day} onChange={(day) => put({ day })} />
      <TypedField
        label="Amount"
        typing={TYPINGS.amount}
        value={draft.amount}
        onChange={(value) => put({ amount: value })}
        error={draft.amount.trim() !== '' && amount === null ? 'Type dollars and cents, like 1,250.00.' : undefined}
      />
      <TextInput
        label="The bank’s reference"
        maxLength={60}
        value={draft.reference}
        onChange={(event) => put({ reference: event.currentTarget.value })}
      />
      <TextInput
        label="Note"
        maxLength={200}
        value={draft.memo}
        onChange={(event) => put({ memo: event.currentTarget.value })}
      />
    </EntryForm>
  );
}
