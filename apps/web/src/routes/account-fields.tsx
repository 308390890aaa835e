import { PasswordInput, TextInput } from '@mantine/core';
import type { ReactNode } from 'react';

export interface NewAccount {
  readonly name: string;
  readonly email: string;
  readonly password: string;
}
interface Props {
  readonly draft: NewAccount;
  readonly onChange: (field: keyof NewAccount, value: string) => void;
  /** What is asked besides, before the password. */
  readonly children?: ReactNode;
}

/** What everybody who is to sign in is entered with. */
export function AccountFields({ draft, onChange, children }: Props): ReactNode {
  return (
    <>
      <TextInput
        label="Name"
        autoFocus
        value={draft.name}
        onChange={(event) => onChange('name', event.currentTarget.value)}
      />
      <TextInput
        label="E-mail"
        value={draft.email}
        onChange={(event) => onChange('email', event.currentTarget.value)}
      />
      {children}
      <PasswordInput
        label="First password"
        description="At least twelve characters"
        autoComplete="new-password"
        size="xs"
        value={draft.password}
        onChange={(event) => onChange('password', event.currentTarget.value)}
      />
    </>
  );
}
