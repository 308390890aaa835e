import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { micrTypefaceQuery, useMicrTest } from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { DateField } from '../../kit/date-field.js';
import { shortDay } from '../../kit/day.js';
import { RefusedNote } from '../../kit/problems.js';

/** Whether the bank of an account has read a sample on blank stock. Nothing stands here for a firm without a typeface. */
export function MicrTest({ bank }: { readonly bank: Schemas['BankAccountView'] }): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const { data: typeface } = useQuery(micrTypefaceQuery);
  const save = useMicrTest(bank.id);
  const [day, setDay] = useState<string | null>(null);
  if (!typeface?.name) return null;
  const says =
    bank.micrTestedOn === null ? 'blank stock not tested' : `blank stock tested ${shortDay(bank.micrTestedOn)}`;
  if (session?.user.role !== 'administrator') return says;
  if (day === null)
    return (
      <>
        {says}{' '}
        <button type="button" className="plain" onClick={() => setDay(bank.micrTestedOn ?? session.today)}>
          test…
        </button>
      </>
    );
  const close = (): void => setDay(null);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    save.mutate({ testedOn: day }, { onSuccess: close });
  };
  return (
    <form onSubmit={submit} aria-label={`Test of magnetic ink, ${bank.label}`}>
      <p className="note">Print the sample page on blank stock with magnetic toner, and let {bank.bankName} read it.</p>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        <DateField label="The bank has read it on" w={180} value={day} onChange={setDay} />
        <Button type="submit" loading={save.isPending}>
          Record
        </Button>
        {bank.micrTestedOn !== null && (
          <button type="button" className="plain" onClick={() => save.mutate({ testedOn: null }, { onSuccess: close })}>
            not any more
          </button>
        )}
        <button type="button" className="plain" onClick={close}>
          leave it
        </button>
      </div>
      <RefusedNote error={save.error} />
    </form>
  );
}
