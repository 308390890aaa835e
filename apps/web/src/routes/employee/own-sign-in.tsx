import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { employeeSignInQuery, useInviteEmployee, useOpenSignIn, type EmployeeSignIn } from '../../api/own-pay.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';

const WORDS: Readonly<Record<EmployeeSignIn['state'], string>> = {
  none: 'This person does not sign in. With a link they set a password, and see their pay statements, Forms W-2 and certificates.',
  invited: 'A link was made and is not used yet.',
  open: 'This person signs in and sees their own pay.',
  closed: 'The sign-in of this person is closed.',
};

/** Whether this person signs in for their own pay: a link is made, handed over, and used once. */
export function EmployeeSignInPart({ employeeId }: { readonly employeeId: string }): ReactNode {
  const signIn = useQuery(employeeSignInQuery(employeeId));
  const invite = useInviteEmployee(employeeId);
  const open = useOpenSignIn(employeeId);
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <section className="section" id="sign-in">
      <h2>
        Own pay <small>statements and Forms W-2 on a page of their own</small>
      </h2>
      <Waiting query={signIn}>
        {({ state, email }) => {
          const address = typed ?? email;
          const save = (event: FormEvent): void => {
            event.preventDefault();
            invite.mutate(address);
          };
          return (
            <>
              <p className="note">{WORDS[state]}</p>
              {state !== 'closed' && (
                <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={save}>
                  <TextInput
                    label="E-mail"
                    type="email"
                    w={260}
                    value={address}
                    onChange={(event) => setTyped(event.currentTarget.value)}
                  />
                  <Button type="submit" variant="outline" loading={invite.isPending} disabled={address.trim() === ''}>
                    {state === 'none' ? 'Make a link' : 'Make another link'}
                  </Button>
                </form>
              )}
              {invite.data && (
                <TextInput
                  label="The link; it is shown this once, and is used within a week"
                  readOnly
                  value={invite.data.address}
                  onFocus={(event) => event.currentTarget.select()}
                />
              )}
              <RefusedNote error={invite.error ?? open.error} />
              {state !== 'none' && (
                <button type="button" className="plain" onClick={() => open.mutate(state === 'closed')}>
                  {state === 'closed' ? 'open the sign-in again' : 'close the sign-in'}
                </button>
              )}
            </>
          );
        }}
      </Waiting>
    </section>
  );
}
