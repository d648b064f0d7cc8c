import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { said } from '../../kit/fields';
import { comeInByPasskey, passkeyPlace } from '../../kit/passkey';
import { PasskeyTrouble } from '../../kit/PasskeyTrouble';
import { BottlePicture } from '../../signature/BottlePicture';
import { usePending } from '../bench/useTaps';
import './accounts.css';
import { Trouble } from '../../kit/Trouble';

/** The door. */
export function SignIn({ demo, signUp }: { demo: boolean; signUp: boolean }) {
  const client = useQueryClient();
  const waiting = usePending().length;
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const enter = () => {
    client.removeQueries({ queryKey: keys.all });
    return client.invalidateQueries({ queryKey: keys.session });
  };
  const signIn = useMutation({
    mutationFn: () => ask(api.POST('/api/session', { body: { signIn: name, password } })),
    onSuccess: enter,
  });
  const look = useMutation({
    mutationFn: () => ask(api.POST('/api/session/demo')),
    onSuccess: enter,
  });
  const byPasskey = useMutation({ mutationFn: comeInByPasskey, onSuccess: enter });
  const error = signIn.error ?? look.error;
  return (
    <main className="page reading" id="main">
      <div className="two door">
        <form
          className="stack"
          onSubmit={(e) => {
            e.preventDefault();
            signIn.mutate();
          }}
        >
          <h1>Dremsa</h1>
          <p className="soft">
            The workbench of a person who brews hair care at home: measured, timed, and thrown away
            on the right day.
          </p>
          {waiting > 0 && (
            <p className="trouble" role="status">
              {waiting === 1 ? 'One tap waits' : `${waiting} taps wait`} on this device, to be sent
              when you have signed in again.
            </p>
          )}
          <TextInput
            label="Sign-in name"
            value={name}
            onChange={(e) => setName(e.currentTarget.value)}
            autoComplete="username"
            error={said(error, 'signIn')}
            required
          />
          <PasswordInput
            label="Password"
            value={password}
            onChange={(e) => setPassword(e.currentTarget.value)}
            autoComplete="current-password"
            error={said(error, 'password')}
            required
          />
          <Trouble error={error} fields={['signIn', 'password']} />
          <PasskeyTrouble error={byPasskey.error} />
          <div className="row">
            <Button type="submit" loading={signIn.isPending}>
              Come in
            </Button>
            {passkeyPlace() === 'here' && (
              <Button
                variant="outline"
                onClick={() => byPasskey.mutate()}
                loading={byPasskey.isPending}
              >
                With a passkey
              </Button>
            )}
            {signUp && (
              <Button variant="outline" component={Link} to="/new-household">
                Make a household
              </Button>
            )}
          </div>
          <p>
            <Link to="/join">I was invited</Link> · <Link to="/recover">Forgot your password?</Link>
          </p>
          {demo && (
            <div>
              <Button variant="subtle" onClick={() => look.mutate()} loading={look.isPending}>
                Look around the demo kitchen
              </Button>
            </div>
          )}
        </form>
        <div aria-hidden="true" className="door-bottles">
          <BottlePicture container="SPRAY" fill={0.8} tint="A7A24F" sizeMl={500} scale={1.5} />
          <BottlePicture container="JAR" fill={0.5} tint="CDB25A" sizeMl={250} scale={1.5} />
          <BottlePicture container="APPLICATOR" fill={0.9} tint="66793B" sizeMl={250} scale={1.5} />
        </div>
      </div>
    </main>
  );
}
