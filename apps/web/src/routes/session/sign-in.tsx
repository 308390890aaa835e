import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useSignIn } from '../../api/resources.js';
import { RefusedNote } from '../../kit/problems.js';
import { wayBack } from '../../kit/way-back.js';

export function SignInPage(): ReactNode {
  const signIn = useSignIn();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const form = useForm({
    initialValues: { email: '', password: '', code: '' },
    validate: {
      email: (value) => (value.includes('@') ? null : 'Enter your e-mail address.'),
      password: (value) => (value ? null : 'Enter your password.'),
    },
  });
  const enter = form.onSubmit((values) =>
    signIn.mutate(
      { email: values.email, password: values.password, ...(values.code ? { code: values.code } : {}) },
      {
        onSuccess: () => {
          queries.clear();
          void navigate(wayBack(search.get('next')) ?? '/', { replace: true });
        },
      },
    ),
  );
  return (
    <main className="signin">
      <h1>Zakat</h1>
      <form onSubmit={enter} noValidate>
        <TextInput
          label="E-mail"
          type="email"
          autoComplete="username"
          autoFocus
          size="sm"
          mb="sm"
          {...form.getInputProps('email')}
        />
        <PasswordInput
          label="Password"
          autoComplete="current-password"
          size="sm"
          mb="md"
          {...form.getInputProps('password')}
        />
        {signIn.error?.problem.code.startsWith('second-factor') && (
          <TextInput
            label="Second factor, six digits"
            inputMode="numeric"
            autoComplete="one-time-code"
            autoFocus
            maxLength={6}
            size="sm"
            mb="md"
            {...form.getInputProps('code')}
          />
        )}
        <RefusedNote error={signIn.error} />
        <Button type="submit" loading={signIn.isPending} size="sm">
          Sign in
        </Button>
      </form>
    </main>
  );
}
