import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys } from '../../api/client';
import { useHousehold, useSession } from '../../api/queries';
import { useFormat } from '../../kit/format';
import { Trouble } from '../../kit/Trouble';
import './members.css';
import { YourPassword } from './YourPassword';

/** Codes for a forgotten password, shown once, to be printed. */
export function CodesPage() {
  const client = useQueryClient();
  const session = useSession();
  const household = useHousehold();
  const format = useFormat();
  const [password, setPassword] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/session/recovery-codes', { body: { password } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.recovery }),
  });
  return (
    <main className="page reading" id="main">
      <p className="soft no-print">
        <Link to="/you#codes">You</Link>
      </p>
      <h1>Recovery codes</h1>
      {make.data ? (
        <div className="stack">
          <p>
            Dremsa, {household.data?.name}, sign-in name <b>{session.data?.signIn}</b>.
            {household.data &&
              ` Made on ${format.dayLong(format.dateOf(household.data.now))} ${household.data.now.slice(0, 4)}.`}
          </p>
          <ul className="codes">
            {make.data.codes.map((code) => (
              <li key={code}>
                <b className="code">{code}</b>
              </li>
            ))}
          </ul>
          <p>
            Each is good for one new password: at the door, choose &ldquo;Forgot your
            password?&rdquo;. Cross out what you used.
          </p>
          <p className="soft no-print">
            They are shown this once. Codes made before are worth nothing any more.
          </p>
          <div className="no-print">
            <Button onClick={() => window.print()}>Print them</Button>
          </div>
        </div>
      ) : (
        <form
          className="stack short"
          onSubmit={(e) => {
            e.preventDefault();
            make.mutate();
          }}
        >
          <p>Eight codes to print and put where you keep papers. They replace codes made before.</p>
          <YourPassword value={password} onChange={setPassword} error={make.error} />
          <Trouble error={make.error} fields={['password']} />
          <div>
            <Button type="submit" loading={make.isPending}>
              Show the codes
            </Button>
          </div>
        </form>
      )}
    </main>
  );
}
