import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { useFormat } from '../../kit/format';
import { makePasskey, passkeyPlace } from '../../kit/passkey';
import { PasskeyTrouble } from '../../kit/PasskeyTrouble';
import { Failed } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { usePasskeys } from './queries';
import { YourPassword } from './YourPassword';

const NOT_HERE = {
  'not by an address':
    'A passkey belongs to a name, and this page is open by an address. On the machine that Dremsa runs on, open it as “localhost”; elsewhere by a name whose certificate your devices trust.',
  'not by this browser':
    'This browser makes none here. Elsewhere than on the machine that Dremsa runs on, the page has to be open by a name whose certificate your devices trust.',
};

/** What stands for the password on devices that know their owner by a finger, a face or a PIN. */
export function Passkeys() {
  const client = useQueryClient();
  const all = usePasskeys();
  const format = useFormat();
  const [password, setPassword] = useState('');
  const place = passkeyPlace();
  const make = useMutation({
    mutationFn: () => makePasskey(password),
    onSuccess: (made) => {
      setPassword('');
      client.setQueryData(keys.passkeys, made);
    },
  });
  const remove = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/session/passkeys/{id}', { params: { path: { id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.passkeys }),
  });
  if (all.isError) return <Failed error={all.error} again={() => all.refetch()} />;
  return (
    <div className="stack">
      <p>
        Your device keeps a key to Dremsa and asks for your finger, your face or its PIN. At the
        door it stands for name and password.
      </p>
      <ul className="lines">
        {all.data?.map((one) => (
          <li key={one.id} className="with-acts">
            <span>
              {one.label}
              <br />
              <span className="soft small">
                made {format.moment(one.madeAt)}, last used {format.moment(one.usedAt)}
              </span>
            </span>
            <Button
              variant="subtle"
              onClick={() => remove.mutate(one.id)}
              loading={remove.isPending && remove.variables === one.id}
            >
              Take away
            </Button>
          </li>
        ))}
      </ul>
      <Trouble error={remove.error} />
      {place === 'here' ? (
        <form
          className="stack short"
          onSubmit={(e) => {
            e.preventDefault();
            make.mutate();
          }}
        >
          <YourPassword value={password} onChange={setPassword} error={make.error} />
          <PasskeyTrouble error={make.error} fields={['password']} />
          <div>
            <Button type="submit" variant="outline" loading={make.isPending}>
              Make a passkey on this device
            </Button>
          </div>
        </form>
      ) : (
        <p className="soft">{NOT_HERE[place]}</p>
      )}
    </div>
  );
}
