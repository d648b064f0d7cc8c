import { Button, NumberInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Run } from '../../api/client';
import { said } from '../../kit/fields';
import type { useTap } from './useTaps';
import './bench.css';
import { Trouble } from '../../kit/Trouble';

type Which = 'skip' | 'extend' | 'water' | 'again';

/** Otherwise than planned: leave out, more time, more water, once more. Each keeps its reason. */
export function Departures({ run, tap }: { run: Run; tap: ReturnType<typeof useTap> }) {
  const [open, setOpen] = useState<Which>();
  const [reason, setReason] = useState('');
  const [minutes, setMinutes] = useState<number | string>(5);
  const [ml, setMl] = useState<number | string>(100);
  const [hot, setHot] = useState(false);
  const send = (path: string, body: Record<string, unknown>, words: string, mayWait = false) =>
    tap.mutate(
      {
        path: `/steps/${run.step}/${path}`,
        body: { version: run.version, reason: reason || undefined, ...body },
        words,
        mayWait,
      },
      {
        onSuccess: () => {
          setOpen(undefined);
          setReason('');
        },
      },
    );
  const choice = (which: Which, words: string) => (
    <Button
      variant={open === which ? 'filled' : 'outline'}
      aria-expanded={open === which}
      onClick={() => setOpen(open === which ? undefined : which)}
    >
      {words}
    </Button>
  );
  const latex = run.prediction.steps[run.step]?.cautions.find((c) => c.includes('latex'));
  return (
    <details className="departures">
      <summary>Otherwise than planned</summary>
      <div className="row around">
        {run.window && choice('extend', 'More time')}
        {choice('water', 'Add water')}
        {run.again && choice('again', 'Once more')}
        {run.skippable && choice('skip', 'Leave it out')}
      </div>
      {open && (
        <form
          className="stack"
          onSubmit={(e) => {
            e.preventDefault();
            if (open === 'extend') send('extend', { minutes: Number(minutes) }, 'More time');
            if (open === 'water')
              send('water', { millilitres: Number(ml), celsius: hot ? 95 : 20 }, 'Add water');
            if (open === 'again') send('again', {}, `Once more: ${run.again}`);
            if (open === 'skip') send('skip', { reason }, 'Leave it out', true);
          }}
        >
          {open === 'extend' && (
            <NumberInput
              label="Minutes more"
              value={minutes}
              onChange={setMinutes}
              error={said(tap.error, 'minutes')}
            />
          )}
          {open === 'water' && (
            <>
              <NumberInput
                label="Water, mL"
                value={ml}
                onChange={setMl}
                error={said(tap.error, 'millilitres')}
              />
              <div className="row">
                <Button variant={hot ? 'outline' : 'filled'} onClick={() => setHot(false)}>
                  from the tap
                </Button>
                <Button variant={hot ? 'filled' : 'outline'} onClick={() => setHot(true)}>
                  just boiled
                </Button>
              </div>
            </>
          )}
          {open === 'again' && <p>{run.again}, once more from now on.</p>}
          {open === 'skip' && latex && <p className="caution">{latex}</p>}
          <Textarea
            label={open === 'skip' ? 'Why' : 'Why (may stay empty)'}
            value={reason}
            onChange={(e) => setReason(e.currentTarget.value)}
            maxLength={400}
            error={said(tap.error, 'reason')}
          />
          <Trouble error={tap.error} fields={['minutes', 'millilitres', 'reason']} />
          <Button className="touch" type="submit" loading={tap.isPending}>
            {open === 'skip' ? 'Leave this step out' : 'Do it'}
          </Button>
        </form>
      )}
    </details>
  );
}
