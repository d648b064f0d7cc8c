import { Button } from '@mantine/core';
import type { Run } from '../../api/client';
import { ProblemError } from '../../api/client';
import { useDevices } from '../../api/queries';
import { useRemoval, type useTap } from './useTaps';

/** A device's name within a sentence: "Kitchen scale" becomes "kitchen scale", "pH meter" stays. */
function spoken(name: string): string {
  return /^[A-Z][a-z]/.test(name) ? name[0]!.toLowerCase() + name.slice(1) : name;
}

/** Readings from the kitchen's devices: one at a tap, or one a minute. */
export function DeviceTaps({ run, tap }: { run: Run; tap: ReturnType<typeof useTap> }) {
  const devices = useDevices();
  const remove = useRemoval(run.id);
  const usable = devices.data?.devices.filter((d) => d.kind !== 'FRIDGE_LOGGER') ?? [];
  const following = run.following;
  const asked = tap.error instanceof ProblemError && tap.error.problem.type.endsWith('questioned');
  const last = tap.variables?.path === '/device-reading' ? tap.variables : undefined;
  if (usable.length === 0 && !following) return null;
  return (
    <div className="stack tight">
      <div className="row">
        {usable.map((d) => (
          <Button
            className="touch"
            key={d.id}
            variant="outline"
            onClick={() =>
              tap.mutate({ path: '/device-reading', body: { device: d.id }, words: d.name })
            }
            disabled={tap.isPending}
          >
            Read the {spoken(d.name)}
            {d.battery != null && d.battery < 0.1 ? ' (battery low)' : ''}
          </Button>
        ))}
        {asked && last && (
          <Button
            className="touch"
            onClick={() => tap.mutate({ ...last, body: { ...last.body, sure: true } })}
          >
            It is right
          </Button>
        )}
        {following ? (
          <Button
            className="touch"
            variant="subtle"
            onClick={() => remove.mutate('/following')}
            loading={remove.isPending}
          >
            Stop following
          </Button>
        ) : (
          usable
            .filter((d) => d.kind === 'THERMOMETER')
            .map((d) => (
              <Button
                className="touch"
                key={`follow-${d.id}`}
                variant="subtle"
                onClick={() =>
                  tap.mutate({
                    path: '/following',
                    body: { device: d.id },
                    words: `Follow ${d.name}`,
                  })
                }
              >
                Follow the {spoken(d.name)}
              </Button>
            ))
        )}
      </div>
      {following && (
        <p className={following.problem ? 'caution' : 'soft small'}>
          Following {following.device}, a reading a minute.{' '}
          {following.problem && <b>{following.problem}</b>}
        </p>
      )}
    </div>
  );
}
