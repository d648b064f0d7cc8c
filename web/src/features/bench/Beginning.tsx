import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Run } from '../../api/client';
import { said } from '../../kit/fields';
import { countdown, type Format } from '../../kit/format';
import { zonedInstant } from '../../kit/when';
import type { useTap } from './useTaps';
import './bench.css';
import { Trouble } from '../../kit/Trouble';

interface Props {
  run: Run;
  now: number;
  format: Format;
  tap: ReturnType<typeof useTap>;
}

/** A brew that is measured out and waits for its time. */
export function Beginning({ run, now, format, tap }: Props) {
  const [moved, setMoved] = useState('');
  const away = Date.parse(run.startedAt) - now;
  return (
    <div className="stack">
      <h1 className="headline">{away > 0 ? 'Waits for its time' : 'Begin now'}</h1>
      <p className="timer" role="timer">
        {countdown(away)}
      </p>
      <p className="centred">
        {away > 0 ? 'until' : 'since'} {format.moment(run.startedAt)}; ready about{' '}
        {format.moment(run.line.readyAt ?? run.prediction.bottledAt)}
      </p>
      <ul className="lines">
        {run.prediction.amounts.map((a) => (
          <li key={a.ingredient} className="figure-line">
            <span className="strong">{a.name}</span>
            <span className="strong">{format.grams(a.grams)}</span>
            <span className="soft">{a.scoops}</span>
          </li>
        ))}
      </ul>
      <Trouble error={tap.error} fields={['startAt']} />
      <div className="actions">
        <Button
          onClick={() =>
            tap.mutate({ path: '/begin', body: { version: run.version }, words: 'Begin' })
          }
          loading={tap.isPending}
        >
          Begin it
        </Button>
        <Button
          variant="outline"
          color="madder"
          onClick={() =>
            tap.mutate({
              path: '/give-up',
              body: { version: run.version, reason: 'No time for it' },
              words: 'Give up',
            })
          }
        >
          Do not brew it
        </Button>
      </div>
      <form
        className="row end"
        onSubmit={(e) => {
          e.preventDefault();
          if (moved)
            tap.mutate({
              path: '/put-off',
              body: { version: run.version, startAt: zonedInstant(moved, format) },
              words: 'Put off',
            });
        }}
      >
        <TextInput
          type="datetime-local"
          label="Begin at another time"
          value={moved}
          onChange={(e) => setMoved(e.currentTarget.value)}
          error={said(tap.error, 'startAt')}
        />
        <Button type="submit" variant="outline" disabled={!moved}>
          Put it there
        </Button>
      </form>
    </div>
  );
}
