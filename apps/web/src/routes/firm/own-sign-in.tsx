import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { sessionQuery } from '../../api/resources.js';
import { useChangePassword, useOfferSecondFactor, useSecondFactorAct, useSignOutEverywhere } from '../../api/set-up.js';
import { RefusedNote } from '../../kit/problems.js';

function SecondFactorPart({ isOn }: { readonly isOn: boolean }): ReactNode {
  const offer = useOfferSecondFactor();
  const act = useSecondFactorAct();
  const queries = useQueryClient();
  const [code, setCode] = useState('');
  const [isRemoving, setRemoving] = useState(false);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    act.mutate(
      { act: isOn ? 'remove' : 'confirm', code },
      {
        onSuccess: () => {
          setCode('');
          setRemoving(false);
          offer.reset();
          void queries.invalidateQueries();
        },
      },
    );
  };
  const form = (
    <form onSubmit={save} className="actions">
      <TextInput
        label="Six digits"
        autoFocus
        inputMode="numeric"
        autoComplete="one-time-code"
        maxLength={6}
        value={code}
        onChange={(event) => setCode(event.currentTarget.value)}
      />
      <Button type="submit" loading={act.isPending}>
        {isOn ? 'Take it away' : 'Use it'}
      </Button>
      <RefusedNote error={act.error} />
    </form>
  );
  if (isOn)
    return (
      <>
        <p className="note">A second factor is in use: signing in asks for six digits of your authenticator.</p>
        {isRemoving ? (
          form
        ) : (
          <button type="button" className="plain" onClick={() => setRemoving(true)}>
            take the second factor away
          </button>
        )}
      </>
    );
  if (!offer.data)
    return (
      <>
        <p className="note">No second factor: a password alone opens your account.</p>
        <button type="button" className="plain" onClick={() => offer.mutate()}>
          set up a second factor
        </button>
        <RefusedNote error={offer.error} />
      </>
    );
  return (
    <>
      <p className="note">Scan this with an authenticator, or type the key: {offer.data.secret}</p>
      <img
        alt="The key as a picture to scan"
        width={170}
        height={170}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(offer.data.picture)}`}
      />
      {form}
    </>
  );
}

/** One's own password, second factor and sessions. */
export function OwnSignIn(): ReactNode {
  const { data: session } = useQuery(sessionQuery);
  const change = useChangePassword();
  const signOut = useSignOutEverywhere();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [code, setCode] = useState('');
  if (!session) return null;
  const save = (event: FormEvent): void => {
    event.preventDefault();
    change.mutate(session.hasSecondFactor ? { current, next, code } : { current, next });
  };
  return (
    <section className="section">
      <h2>Your own sign-in</h2>
      <SecondFactorPart isOn={session.hasSecondFactor} />
      <form onSubmit={save} className="actions" aria-label="Password">
        <PasswordInput
          label="Current password"
          size="xs"
          w={200}
          autoComplete="current-password"
          value={current}
          onChange={(event) => setCurrent(event.currentTarget.value)}
        />
        <PasswordInput
          label="New password"
          size="xs"
          w={200}
          autoComplete="new-password"
          value={next}
          onChange={(event) => setNext(event.currentTarget.value)}
        />
        {session.hasSecondFactor && (
          <TextInput
            label="Code"
            size="xs"
            w={80}
            maxLength={6}
            inputMode="numeric"
            value={code}
            onChange={(event) => setCode(event.currentTarget.value)}
          />
        )}
        <Button type="submit" variant="outline" loading={change.isPending} disabled={next.length < 12}>
          Change
        </Button>
        {change.isSuccess && <span role="status">changed; your other sessions have ended</span>}
        <RefusedNote error={change.error} />
      </form>
      <button type="button" className="plain" onClick={() => signOut.mutate(session.user.id)}>
        sign out everywhere, here too
      </button>
    </section>
  );
}
