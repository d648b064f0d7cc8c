import { Button } from '@mantine/core';
import type { Practice } from '../../api/client';
import { duration } from '../../kit/format';
import type { usePot } from './usePractice';

const PACES = [1, 5, 20, 60, 120];
const PASSES = [10, 60, 360, 720];

/** How fast the pot's time goes, and longer waits at once where something only stands. */
export function Pace({ practice, pot }: { practice: Practice; pot: ReturnType<typeof usePot> }) {
  return (
    <div className="stack pace">
      {practice.leftAlone && (
        <p role="status">Nobody did anything for an hour: its time is held. Nothing is lost.</p>
      )}
      <div className="row" role="group" aria-label="How fast its time goes">
        <span className="soft">Time</span>
        <Button
          variant={practice.pace === 0 ? 'filled' : 'outline'}
          aria-pressed={practice.pace === 0}
          onClick={() => pot.pace.mutate(0)}
        >
          held
        </Button>
        {PACES.map((p) => (
          <Button
            key={p}
            variant={practice.pace === p ? 'filled' : 'outline'}
            aria-pressed={practice.pace === p}
            onClick={() => pot.pace.mutate(p)}
          >
            {p}×
          </Button>
        ))}
      </div>
      {practice.stands && (
        <div className="row" role="group" aria-label="Let it stand">
          <span className="soft">Look again in</span>
          {PASSES.map((m) => (
            <Button key={m} variant="subtle" onClick={() => pot.pass.mutate(m)}>
              {duration(m)}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}
