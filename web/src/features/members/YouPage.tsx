import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { useSession } from '../../api/queries';
import { said } from '../../kit/fields';
import { Fold } from '../../kit/Fold';
import { useFormat } from '../../kit/format';
import { ROLES } from '../../kit/role';
import { Failed, Waiting } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { Passkeys } from './Passkeys';
import { PasswordForm, SignOut } from './PasswordForm';
import './members.css';
import { YourPassword } from './YourPassword';
import { usePasskeys, useRecoveryCodes, useSignedInDevices, type SignedIn } from './queries';

/** Whoever is signed in: how they are called, where they are signed in, how they get back in. */
export function YouPage() {
  const session = useSession();
  const codes = useRecoveryCodes();
  const devices = useSignedInDevices();
  const passkeys = usePasskeys();
  if (!session.data?.signIn) return <Waiting />;
  const { called, role, signIn } = session.data;
  const left = codes.data?.left;
  return (
    <main className="page reading" id="main">
      <h1>{called}</h1>
      <p className="soft">
        You sign in as {signIn}. {role && `You are a ${ROLES[role].word}: ${ROLES[role].may}.`}
      </p>
      <div className="above-l">
        <Fold id="called" title="What the others call you" says={called}>
          <NameForm key={called} called={called ?? ''} />
        </Fold>
        <Fold
          id="devices"
          title="Where you are signed in"
          says={
            devices.data && (devices.data.length === 1 ? 'here' : `${devices.data.length} devices`)
          }
        >
          {devices.isError && <Failed error={devices.error} again={() => devices.refetch()} />}
          {devices.data && <Devices all={devices.data} />}
        </Fold>
        <Fold id="password" title="Password">
          <PasswordForm />
        </Fold>
        <Fold
          id="passkeys"
          title="Passkeys"
          says={passkeys.data && (passkeys.data.length === 0 ? 'none' : `${passkeys.data.length}`)}
        >
          <Passkeys />
        </Fold>
        <Fold
          id="codes"
          title="Recovery codes"
          says={
            left === 0 ? 'none: a forgotten password cannot be replaced' : left && `${left} left`
          }
        >
          <p>
            Codes to print and put away. Each is good for one new password, when the old one is
            forgotten.
          </p>
          <div>
            <Button variant="outline" component={Link} to="/you/codes">
              Make new codes
            </Button>
          </div>
        </Fold>
        <Fold id="leave" title="Leave this household">
          <LeaveForm />
        </Fold>
        <div className="above-s">
          <SignOut />
        </div>
      </div>
    </main>
  );
}

function NameForm({ called }: { called: string }) {
  const client = useQueryClient();
  const [name, setName] = useState(called);
  const save = useMutation({
    mutationFn: () => ask(api.PUT('/api/members/me', { body: { called: name } })),
    onSuccess: async (all) => {
      client.setQueryData(keys.members, all);
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <form
      className="stack short"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <TextInput
        label="Name"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={said(save.error, 'called')}
      />
      <p className="soft small">Lines already in the record keep the name that they have.</p>
      <Trouble error={save.error} fields={['called']} />
      <div>
        <Button type="submit" variant="outline" loading={save.isPending}>
          Keep it
        </Button>
      </div>
    </form>
  );
}

function Devices({ all }: { all: SignedIn[] }) {
  const client = useQueryClient();
  const format = useFormat();
  const again = () => client.invalidateQueries({ queryKey: keys.signedIn });
  const end = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/session/devices/{id}', { params: { path: { id } } })),
    onSettled: again,
  });
  const endOthers = useMutation({
    mutationFn: () => ask(api.DELETE('/api/session/devices')),
    onSettled: again,
  });
  return (
    <div className="stack">
      <ul className="lines">
        {all.map((device) => (
          <li key={device.id} className="with-acts">
            <span>
              {device.called}
              {device.here && <b> – this one</b>}
              <br />
              <span className="soft small">
                since {format.moment(device.since)}, last used {format.moment(device.used)}
              </span>
            </span>
            {!device.here && (
              <Button
                variant="subtle"
                onClick={() => end.mutate(device.id)}
                loading={end.isPending && end.variables === device.id}
              >
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {all.length > 1 && (
        <div>
          <Button
            variant="outline"
            onClick={() => endOthers.mutate()}
            loading={endOthers.isPending}
          >
            Sign out on all others
          </Button>
        </div>
      )}
      <Trouble error={end.error ?? endOthers.error} />
      <p className="soft small">One that you do not know: sign it out, and change your password.</p>
    </div>
  );
}

function LeaveForm() {
  const client = useQueryClient();
  const [password, setPassword] = useState('');
  const leave = useMutation({
    mutationFn: () => ask(api.POST('/api/members/me/leave', { body: { password } })),
    onSuccess: async () => {
      client.removeQueries({ queryKey: keys.all });
      await client.invalidateQueries({ queryKey: keys.session });
    },
  });
  return (
    <form
      className="stack short"
      onSubmit={(e) => {
        e.preventDefault();
        leave.mutate();
      }}
    >
      <p>
        Your sign-in is deleted, and the record names you no more. What you brewed belongs to the
        household and stays.
      </p>
      <YourPassword value={password} onChange={setPassword} error={leave.error} />
      <Trouble error={leave.error} fields={['password']} />
      <div>
        <Button type="submit" color="madder" variant="outline" loading={leave.isPending}>
          Delete my sign-in
        </Button>
      </div>
    </form>
  );
}
