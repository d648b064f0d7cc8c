import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, keys } from '../../api/client';
import type { Format } from '../../kit/format';
import { tell } from '../../kit/states';
import { usePush } from './calling';

/** The devices that are called with every page closed: whether it arrives, and away with it. */
export function CalledDevices({ format }: { format: Format }) {
  const push = usePush();
  const client = useQueryClient();
  const settle = {
    onSuccess: () => client.invalidateQueries({ queryKey: keys.push }),
    onError: tell,
  };
  const tryIt = useMutation({
    mutationFn: (id: string) =>
      ask(api.POST('/api/push/devices/{id}/try', { params: { path: { id } } })),
    ...settle,
  });
  const remove = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/push/devices/{id}', { params: { path: { id } } })),
    ...settle,
  });
  const devices = push.data?.devices ?? [];
  if (devices.length === 0) return null;
  return (
    <section>
      <h2>Called with every page closed</h2>
      <ul className="lines">
        {devices.map((d) => (
          <li key={d.id} className="row apart">
            <span>
              <b>{d.name}</b>{' '}
              <span className="soft">
                through {d.host}, since {format.moment(d.since)}
              </span>
              {d.problem && (
                <span className="caution"> {d.problem} It is tried again for an hour.</span>
              )}
            </span>
            <span className="row">
              <Button
                className="touch"
                variant="outline"
                onClick={() => tryIt.mutate(d.id)}
                loading={tryIt.isPending}
              >
                Try it
              </Button>
              <Button
                className="touch"
                variant="subtle"
                aria-label={`Call ${d.name} no more`}
                onClick={() => remove.mutate(d.id)}
              >
                No more
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
