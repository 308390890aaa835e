import { Button, PasswordInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useFirstPassword, welcomeQuery } from '../../api/own-pay.js';
import { RefusedNote } from '../../kit/problems.js';

/** Where a link leads that is used once: its holder sets the password. */
export function WelcomePage(): ReactNode {
  const { token = '' } = useParams();
  const welcome = useQuery(welcomeQuery(token));
  const set = useFirstPassword(token);
  const [password, setPassword] = useState('');
  const save = (event: FormEvent): void => {
    event.preventDefault();
    set.mutate(password);
  };
  return (
    <main className="signin">
      <h1>{welcome.data?.firmName ?? 'Zakat'}</h1>
      {set.isSuccess ? (
        <p role="status">
          Your password is set. <Link to="/sign-in">Sign in</Link> with {welcome.data?.email}.
        </p>
      ) : welcome.error ? (
        <p role="alert">This link was used already, or its week is over. Ask for another one.</p>
      ) : (
        welcome.data && (
          <form onSubmit={save} noValidate>
            <p className="note">
              {welcome.data.name}, set the password with which you sign in as {welcome.data.email}: four words or more
              that do not belong together.
            </p>
            <PasswordInput
              label="Password"
              autoComplete="new-password"
              autoFocus
              size="sm"
              mb="md"
              value={password}
              onChange={(event) => setPassword(event.currentTarget.value)}
            />
            <RefusedNote error={set.error} />
            <Button type="submit" size="sm" loading={set.isPending} disabled={password === ''}>
              Set the password
            </Button>
          </form>
        )
      )}
    </main>
  );
}
