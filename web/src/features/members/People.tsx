import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { useFormat } from '../../kit/format';
import { ROLES, useRole, type Role } from '../../kit/role';
import { Failed } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { Invite } from './Invite';
import { useMembers, type MemberLine } from './queries';

const CHOICES = Object.entries(ROLES).map(([value, role]) => ({ value, label: role.word }));

/** Who signs in to the household, what each may do, and how somebody more comes in. */
export function People() {
  const members = useMembers();
  const role = useRole();
  const format = useFormat();
  if (members.isError) return <Failed error={members.error} again={() => members.refetch()} />;
  if (!members.data) return <p className="soft">One moment …</p>;
  return (
    <div className="stack">
      <ul className="lines">
        {members.data.map((one) => (
          <li key={one.id} className="with-acts">
            <span>
              <b>{one.called}</b>
              {one.me && ' (you)'}
              <br />
              <span className="soft small">
                {ROLES[one.role].word}, signs in as {one.signIn}, since{' '}
                {format.day(format.dateOf(one.since))}
              </span>
            </span>
            {role === 'KEEPER' && <Change one={one} />}
          </li>
        ))}
      </ul>
      {role === 'KEEPER' ? (
        <Invite />
      ) : (
        <p className="soft">A keeper invites people and takes them away.</p>
      )}
    </div>
  );
}

/** Lets somebody do more or less, or takes them away; the second is asked once more. */
function Change({ one }: { one: MemberLine }) {
  const client = useQueryClient();
  const [sure, setSure] = useState(false);
  const done = (all: MemberLine[]) => {
    client.setQueryData(keys.members, all);
    void client.invalidateQueries({ queryKey: keys.session });
  };
  const become = useMutation({
    mutationFn: (role: Role) =>
      ask(api.PUT('/api/members/{id}', { params: { path: { id: one.id } }, body: { role } })),
    onSuccess: done,
  });
  const away = useMutation({
    mutationFn: () => ask(api.DELETE('/api/members/{id}', { params: { path: { id: one.id } } })),
    onSuccess: done,
  });
  if (sure) {
    return (
      <span className="stack">
        <span>
          {one.called} is signed out everywhere at once, and cannot come back without a new
          invitation. What they did stays in the record.
        </span>
        <span className="row">
          <Button color="madder" onClick={() => away.mutate()} loading={away.isPending}>
            Take {one.called} away
          </Button>
          <Button variant="subtle" onClick={() => setSure(false)}>
            Leave it
          </Button>
        </span>
        <Trouble error={away.error} />
      </span>
    );
  }
  return (
    <span className="stack">
      <span className="row">
        <Choice
          aria-label={`What ${one.called} may do`}
          data={CHOICES}
          value={one.role}
          onChange={(role) => become.mutate(role as Role)}
          disabled={become.isPending}
        />
        {!one.me && (
          <Button variant="subtle" onClick={() => setSure(true)}>
            Take away
          </Button>
        )}
      </span>
      <Trouble error={become.error} />
    </span>
  );
}
