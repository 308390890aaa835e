import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { cents, showDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { clientQuery, useFilingAct } from '../../api/resources.js';
import { RefusedNote } from '../../kit/problems.js';
import { DateField } from '../../kit/date-field.js';

type Filing = Schemas['FilingView'];

/** The PIN of the signer, or the firm as reporting agent; and the balance of the return where it is to be paid with it. */
export function Signature({ filing }: { readonly filing: Filing }): ReactNode {
  const act = useFilingAct(filing.id);
  const client = useQuery(clientQuery(filing.clientId));
  const banks = client.data?.bankAccounts ?? [];
  const [pin, setPin] = useState('');
  const [isPaying, setPaying] = useState(false);
  const [bankAccountId, setBank] = useState('');
  const [on, setOn] = useState(filing.due);
  if (!filing.signedWith || filing.status !== 'checked' || filing.signedBy) return null;
  const from = bankAccountId || (banks[0]?.id ?? '');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const payment = isPaying ? { bankAccountId: from, on } : null;
        act.mutate({ act: 'sign', version: filing.version, pin: filing.agent ? '' : pin, payment });
      }}
    >
      {filing.agent && <p className="note">Its release signs it: {filing.agent}.</p>}
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        {!filing.agent && (
          <TextInput
            label={`Signer’s PIN, from ${filing.signedWith}`}
            w={220}
            inputMode="numeric"
            maxLength={5}
            autoComplete="off"
            value={pin}
            onChange={(event) => setPin(event.currentTarget.value)}
          />
        )}
        {isPaying && (
          <>
            <NativeSelect
              label="From"
              value={from}
              onChange={(event) => setBank(event.currentTarget.value)}
              data={banks.map((bank) => ({ value: bank.id, label: `${bank.label}, ending ${bank.accountTail}` }))}
            />
            <DateField label="On" w={140} value={on} onChange={setOn} />
          </>
        )}
        {(!filing.agent || isPaying) && (
          <Button type="submit" loading={act.isPending}>
            {filing.agent ? 'Sign, with this payment' : 'Enter the signature'}
          </Button>
        )}
        {!filing.agent && (
          <a href={`/api/filings/${filing.id}/authorization`} target="_blank" rel="noreferrer">
            {filing.signedWith} to sign (PDF)
          </a>
        )}
      </div>
      {filing.balance && banks.length > 0 && (
        <Checkbox
          mt={8}
          label={`Pay the balance of ${showDollars(cents(filing.balance.amount))} with the ${filing.noun}`}
          checked={isPaying}
          onChange={(event) => setPaying(event.currentTarget.checked)}
        />
      )}
      <RefusedNote error={act.error} />
    </form>
  );
}
