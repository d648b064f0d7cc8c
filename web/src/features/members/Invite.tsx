import { Button, CopyButton, SegmentedControl } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys } from '../../api/client';
import { Choice } from '../../kit/Choice';
import { useFormat } from '../../kit/format';
import { ROLES, type Role } from '../../kit/role';
import { Trouble } from '../../kit/Trouble';
import { useInvitations, type MadeInvitation } from './queries';
import './members.css';

const HOURS = [
  { value: '1', label: 'an hour' },
  { value: '24', label: 'a day' },
  { value: '168', label: 'a week' },
];

/** Asks somebody in: a code to read out, a link to send, a picture to point a phone at. */
export function Invite() {
  const client = useQueryClient();
  const open = useInvitations();
  const format = useFormat();
  const [role, setRole] = useState<Role>('HELPER');
  const [hours, setHours] = useState('24');
  const invite = useMutation({
    mutationFn: () => ask(api.POST('/api/invitations', { body: { role, hours: Number(hours) } })),
    onSuccess: (made) => client.setQueryData(keys.invitations, made.open),
  });
  const back = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/invitations/{id}', { params: { path: { id } } })),
    onSuccess: (left, id) => {
      client.setQueryData(keys.invitations, left);
      if (invite.data?.id === id) invite.reset();
    },
  });
  return (
    <section className="stack" aria-label="Invite somebody">
      <h3>Invite somebody</h3>
      <SegmentedControl
        aria-label="What they may do"
        data={Object.entries(ROLES).map(([value, r]) => ({ value, label: `a ${r.word}` }))}
        value={role}
        onChange={(v) => setRole(v as Role)}
      />
      <p className="soft small">
        A {ROLES[role].word} may: {ROLES[role].may}.
      </p>
      <div className="row end">
        <Choice label="Good for" data={HOURS} value={hours} onChange={setHours} />
        <Button onClick={() => invite.mutate()} loading={invite.isPending}>
          Make an invitation
        </Button>
      </div>
      <Trouble error={invite.error} />
      {invite.data && <Made made={invite.data} />}
      {open.data && open.data.length > 0 && (
        <>
          <h3>Open invitations</h3>
          <ul className="lines">
            {open.data.map((one) => (
              <li key={one.id} className="with-acts">
                <span>
                  for a {ROLES[one.role].word}, by {one.by}, till {format.moment(one.until)}
                </span>
                <Button
                  variant="subtle"
                  onClick={() => back.mutate(one.id)}
                  loading={back.isPending && back.variables === one.id}
                >
                  Take back
                </Button>
              </li>
            ))}
          </ul>
          <Trouble error={back.error} />
        </>
      )}
    </section>
  );
}

function Made({ made }: { made: MadeInvitation }) {
  const format = useFormat();
  return (
    <div className="invitation" role="status">
      <svg
        viewBox={`0 0 ${made.size} ${made.size}`}
        role="img"
        aria-label="The link as a picture for a phone's camera"
        shapeRendering="crispEdges"
      >
        <path d={made.path} />
      </svg>
      <div className="stack">
        <p>
          The code, to read out: <b className="code">{made.code}</b>
        </p>
        <p className="soft small">
          It lets one person in, till {format.moment(made.until)}. It is shown this once.
        </p>
        <div className="row">
          <CopyButton value={made.link}>
            {({ copied, copy }) => (
              <Button variant="outline" onClick={copy}>
                {copied ? 'Copied' : 'Copy the link'}
              </Button>
            )}
          </CopyButton>
        </div>
        {!made.reachable && (
          <p className="caution">
            This Dremsa answers on this machine only: a phone cannot open the link. Open Dremsa to
            the home network first (DREMSA_ADDRESS=0.0.0.0), or let them type the code here.
          </p>
        )}
      </div>
    </div>
  );
}
