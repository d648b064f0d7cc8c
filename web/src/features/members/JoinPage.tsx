import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { useSession } from '../../api/queries';
import { said } from '../../kit/fields';
import { ROLES } from '../../kit/role';
import { Trouble } from '../../kit/Trouble';

/** Comes in with an invitation: the code first, then a name and a password of one's own. */
export function JoinPage() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const { hash } = useLocation();
  const session = useSession();
  const [code, setCode] = useState(() => decodeURIComponent(hash.slice(1)));
  const [form, setForm] = useState({ called: '', signIn: '', password: '' });
  const look = useMutation({
    mutationFn: (typed: string) => ask(api.POST('/api/joining/look', { body: { code: typed } })),
  });
  const { mutate } = look;
  useEffect(() => {
    if (hash.length > 1) mutate(decodeURIComponent(hash.slice(1)));
  }, [hash, mutate]);
  const join = useMutation({
    mutationFn: () => ask(api.POST('/api/joining', { body: { code, ...form } })),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await navigate('/brew');
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const invited = look.data;
  return (
    <main className="page narrow" id="main">
      <div className="stack">
        <h1>{invited ? `Come in to ${invited.household}` : 'You were invited'}</h1>
        {session.data?.signIn && (
          <p className="caution">
            You are signed in as {session.data.called}. Going on signs you out of that here.
          </p>
        )}
        {!invited && (
          <form
            className="stack"
            onSubmit={(e) => {
              e.preventDefault();
              look.mutate(code);
            }}
          >
            <TextInput
              label="The code of your invitation"
              description="Twelve letters and digits; capitals and dashes do not matter."
              value={code}
              onChange={(e) => setCode(e.currentTarget.value)}
              error={said(look.error, 'code')}
              autoComplete="off"
              required
            />
            <Trouble error={look.error} fields={['code']} />
            <div className="row">
              <Button type="submit" loading={look.isPending}>
                Go on
              </Button>
              <Button variant="subtle" component={Link} to="/">
                Back
              </Button>
            </div>
          </form>
        )}
        {invited && (
          <form
            className="stack"
            onSubmit={(e) => {
              e.preventDefault();
              join.mutate();
            }}
          >
            <p>
              {invited.by} invites you as a {ROLES[invited.role].word}. You may:{' '}
              {ROLES[invited.role].may}.
            </p>
            <TextInput
              label="What the others call you"
              value={form.called}
              onChange={(e) => set({ called: e.currentTarget.value })}
              error={said(join.error, 'called')}
              autoComplete="nickname"
              required
            />
            <TextInput
              label="Your sign-in name"
              value={form.signIn}
              onChange={(e) => set({ signIn: e.currentTarget.value })}
              error={said(join.error, 'signIn')}
              autoComplete="username"
              autoCapitalize="none"
              required
            />
            <PasswordInput
              label="A password, 8 characters or more"
              value={form.password}
              onChange={(e) => set({ password: e.currentTarget.value })}
              error={said(join.error, 'password')}
              autoComplete="new-password"
              required
            />
            {said(join.error, 'code') && (
              <p className="trouble" role="alert">
                {said(join.error, 'code')}
              </p>
            )}
            <Trouble error={join.error} fields={['called', 'signIn', 'password', 'code']} />
            <div className="row">
              <Button type="submit" loading={join.isPending}>
                Come in
              </Button>
            </div>
          </form>
        )}
      </div>
    </main>
  );
}
