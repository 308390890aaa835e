import { Button, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { cents, parseDollars, toDollars } from '@zakat/core/money/cents';
import type { Schemas } from '../../api/client.js';
import { useEnterAmounts } from '../../api/resources.js';
import { RefusedNote } from '../../kit/problems.js';

type Filing = Schemas['FilingView'];

/** Amounts that no ledger knows, on a draft: one field for each line that asks for one. */
export function EnteredAmounts({ filing }: { readonly filing: Filing }): ReactNode {
  const save = useEnterAmounts(filing.id);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  if (filing.asks.length === 0 || filing.status !== 'draft') return null;
  const valueOf = ({ name, amount }: Filing['asks'][number]): string =>
    typed[name] ?? (amount === 0 ? '' : toDollars(cents(amount)));
  const read = filing.asks.map((ask) => ({ name: ask.name, amount: parseDollars(valueOf(ask) || '0') }));
  const isRead = read.every(({ amount }) => amount !== null);
  return (
    <section className="section">
      <h2>
        Entered on the return <small>what the ledger does not know; blank where there is none</small>
      </h2>
      <form
        className="actions"
        style={{ alignItems: 'flex-end' }}
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate(
            {
              version: filing.version,
              amounts: read.flatMap(({ name, amount }) => (amount === null ? [] : [{ name, amount }])),
            },
            { onSuccess: () => setTyped({}) },
          );
        }}
      >
        {filing.asks.map((ask) => (
          <TextInput
            key={ask.name}
            label={`Line ${ask.line}: ${ask.label}`}
            description={ask.help}
            w={300}
            inputMode="decimal"
            value={valueOf(ask)}
            error={parseDollars(valueOf(ask) || '0') === null ? 'Write it like 1234.56.' : null}
            onChange={(event) => {
              const { value } = event.currentTarget;
              setTyped((before) => ({ ...before, [ask.name]: value }));
            }}
          />
        ))}
        <Button type="submit" variant="outline" disabled={!isRead} loading={save.isPending}>
          Put them on the return
        </Button>
      </form>
      <RefusedNote error={save.error} />
    </section>
  );
}
