import { Button, PasswordInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { said } from '../../kit/fields';
import { Trouble } from '../../kit/Trouble';

/** The password of whoever is signed in. */
export function PasswordForm() {
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  const change = useMutation({
    mutationFn: () => ask(api.PUT('/api/session/password', { body: { old, password } })),
    onSuccess: () => {
      setOld('');
      setPassword('');
    },
  });
  return (
    <form
      className="stack short"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <p className="soft">Whoever is signed in on another device is signed out there.</p>
      <PasswordInput
        label="Password as it is now"
        autoComplete="current-password"
        value={old}
        onChange={(e) => setOld(e.currentTarget.value)}
        error={said(change.error, 'old')}
      />
      <PasswordInput
        label="New password"
        autoComplete="new-password"
        value={password}
        onChange={(e) => setPassword(e.currentTarget.value)}
        error={said(change.error, 'password')}
      />
      <Trouble error={change.error} fields={['old', 'password']} />
      <div className="row">
        <Button type="submit" variant="outline" loading={change.isPending}>
          Change it
        </Button>
        {change.isSuccess && <span role="status">Changed.</span>}
      </div>
    </form>
  );
}

/** Leaves this device without anything of the household. */
export function SignOut() {
  const client = useQueryClient();
  const out = useMutation({
    mutationFn: () => ask(api.DELETE('/api/session')),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <div>
      <Button variant="outline" onClick={() => out.mutate()} loading={out.isPending}>
        Sign out
      </Button>
    </div>
  );
}
