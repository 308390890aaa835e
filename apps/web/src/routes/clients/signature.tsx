import { useQuery } from '@tanstack/react-query';
import { cents, parseDollars, showDollars, toDollars } from '@zakat/core/money/cents';
import { useState, type ReactNode } from 'react';
import { useRemoveSignature, useSaveSignature } from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { FileChoice } from '../../kit/file-choice.js';
import { RefusedNote } from '../../kit/problems.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';

type Bank = Schemas['BankAccountView'];

const signedBy = ({ hasSignature, signatureMost }: Bank): string => {
  if (!hasSignature) return 'checks signed by hand';
  return signatureMost === null
    ? 'checks carry a signature'
    : `checks to ${showDollars(cents(signatureMost))} carry a signature`;
};

/** Who signs the checks of an account: a hand, or the picture that an administrator keeps with it. */
export function Signature({ bank }: { readonly bank: Bank }): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const save = useSaveSignature(bank.id);
  const remove = useRemoveSignature(bank.id);
  const [isOpen, setOpen] = useState(false);
  const [most, setMost] = useState(bank.signatureMost === null ? '' : toDollars(cents(bank.signatureMost)));
  const amount = most.trim() === '' ? null : parseDollars(most);
  const isUnread = most.trim() !== '' && amount === null;
  if (session?.user.role !== 'administrator') return signedBy(bank);
  if (!isOpen)
    return (
      <>
        {signedBy(bank)}{' '}
        <button type="button" className="plain" onClick={() => setOpen(true)}>
          signature…
        </button>
      </>
    );
  return (
    <div
      role="group"
      aria-label={`Signature on checks of ${bank.label}`}
      onKeyDown={closeOnEscape(() => setOpen(false))}
    >
      <p className="note">
        A PNG or JPEG of the signature alone. Checks that a reviewer or administrator prints carry it; those of a
        preparer keep an empty line.
      </p>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        <TypedField
          typing={TYPINGS.amount}
          label="Largest check it signs"
          description="Blank: any"
          w={160}
          value={most}
          error={isUnread ? 'Type an amount, like 5,000.00, or leave it blank.' : undefined}
          onChange={setMost}
        />
        <FileChoice
          label={bank.hasSignature ? 'Another picture' : 'Choose the picture'}
          accept=".png,.jpg,.jpeg"
          isBusy={save.isPending}
          onFile={async ({ content }) => {
            if (isUnread) return;
            await save.mutateAsync({ content, most: amount });
            setOpen(false);
          }}
        />
        {bank.hasSignature && (
          <button
            type="button"
            className="plain"
            onClick={() => remove.mutate(undefined, { onSuccess: () => setOpen(false) })}
          >
            sign by hand again
          </button>
        )}
        <button type="button" className="plain" onClick={() => setOpen(false)}>
          leave it
        </button>
      </div>
      <RefusedNote error={save.error ?? remove.error} />
    </div>
  );
}

const closeOnEscape = (close: () => void) => (event: { readonly key: string }) => {
  if (event.key === 'Escape') close();
};
