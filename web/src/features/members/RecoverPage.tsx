import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { said } from '../../kit/fields';
import { Trouble } from '../../kit/Trouble';

/** A new password for one that was forgotten, with a code from paper. */
export function RecoverPage() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [form, setForm] = useState({ signIn: '', code: '', password: '' });
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const recover = useMutation({
    mutationFn: () => ask(api.POST('/api/session/recovery', { body: form })),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await navigate('/you');
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <main className="page narrow" id="main">
      <form
        className="stack"
        onSubmit={(e) => {
          e.preventDefault();
          recover.mutate();
        }}
      >
        <h1>A new password</h1>
        <p>
          Each recovery code that you printed is good for one new password. Without a code a keeper
          of your household can take you away and invite you again.
        </p>
        <TextInput
          label="Sign-in name"
          value={form.signIn}
          onChange={(e) => set({ signIn: e.currentTarget.value })}
          error={said(recover.error, 'signIn')}
          autoComplete="username"
          autoCapitalize="none"
          required
        />
        <TextInput
          label="One of your recovery codes"
          value={form.code}
          onChange={(e) => set({ code: e.currentTarget.value })}
          error={said(recover.error, 'code')}
          autoComplete="off"
          required
        />
        <PasswordInput
          label="New password, 8 characters or more"
          value={form.password}
          onChange={(e) => set({ password: e.currentTarget.value })}
          error={said(recover.error, 'password')}
          autoComplete="new-password"
          required
        />
        <Trouble error={recover.error} fields={['signIn', 'code', 'password']} />
        <div className="row">
          <Button type="submit" loading={recover.isPending}>
            Set it and come in
          </Button>
          <Button variant="subtle" component={Link} to="/">
            Back
          </Button>
        </div>
      </form>
    </main>
  );
}
