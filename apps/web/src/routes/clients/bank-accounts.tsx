import { TextInput } from '@mantine/core';
import { checkRouting } from '@zakat/core/identity/numbers';
import { fix, sentence } from '@zakat/core/issues/issue';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { useAddBankAccount } from '../../api/set-up.js';
import { EntryForm } from '../../kit/entry-form.js';
import { MicrTest } from './micr-test.js';
import { Signature } from './signature.js';

const BANK_FIELDS = [
  ['label', 'Name of the account'],
  ['bankName', 'Bank'],
  ['routing', 'Routing number'],
  ['account', 'Account number'],
] as const;
const NO_BANK = { label: '', bankName: '', routing: '', account: '' };

export function BankAccounts({ client }: { readonly client: Schemas['ClientView'] }): ReactNode {
  const add = useAddBankAccount(client.id);
  const [isOpen, setOpen] = useState(false);
  const [draft, setDraft] = useState(NO_BANK);
  const issue = draft.routing.trim() === '' ? undefined : checkRouting(draft.routing, 'routing')[0];
  const save = (): void => {
    add.mutate(draft, {
      onSuccess: () => {
        setDraft(NO_BANK);
        setOpen(false);
      },
    });
  };
  return (
    <section className="section" id="bank">
      <h2>
        Bank accounts <small>that wages and taxes are paid from</small>
      </h2>
      <table className="ruled">
        <tbody>
          {client.bankAccounts.map((bank) => (
            <tr key={bank.id}>
              <td>{bank.label}</td>
              <td>{bank.bankName}</td>
              <td>routing {bank.routing}</td>
              <td>account ending {bank.accountTail}</td>
              <td>
                <Signature bank={bank} />
              </td>
              <td>
                <MicrTest bank={bank} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {isOpen ? (
        <EntryForm
          label="Bank account"
          act="Record"
          isBusy={add.isPending}
          error={add.error}
          onSave={save}
          onClose={() => setOpen(false)}
        >
          {BANK_FIELDS.map(([name, label], index) => (
            <TextInput
              key={name}
              label={label}
              autoFocus={index === 0}
              autoComplete="off"
              value={draft[name]}
              error={
                name === 'routing' && issue && draft.routing.trim().length >= 9
                  ? `${sentence(issue)} ${fix(issue)}`
                  : undefined
              }
              onChange={(event) => setDraft({ ...draft, [name]: event.currentTarget.value })}
            />
          ))}
        </EntryForm>
      ) : (
        <div className="actions">
          <button type="button" className="plain" onClick={() => setOpen(true)}>
            add a bank account
          </button>
        </div>
      )}
    </section>
  );
}
