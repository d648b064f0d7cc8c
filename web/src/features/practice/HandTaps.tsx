import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { Practice } from '../../api/client';
import { figure } from '../../kit/format';
import type { usePot } from './usePractice';

const HEATS = [
  { share: 0, words: 'Off' },
  { share: 0.2, words: 'Low' },
  { share: 0.4, words: 'Middle' },
  { share: 0.7, words: 'High' },
  { share: 1, words: 'Full' },
];
const POURS = [50, 100, 250];

/** What hands can do at the present step: the step's own, the hob's, and to go on. */
export function HandTaps({
  practice,
  pot,
}: {
  practice: Practice;
  pot: ReturnType<typeof usePot>;
}) {
  const { act } = pot;
  const away = practice.calling?.away ?? false;
  return (
    <>
      {practice.puts.map((p) => (
        <WeighIn
          key={`${practice.step}/${p.key}/${p.grams}`}
          name={p.name}
          grams={p.grams}
          disabled={away}
          weigh={(value) => act.mutate({ kind: 'WEIGH', what: p.key, value })}
        />
      ))}
      {practice.ways && (
        <div className="stack" role="group" aria-label={practice.ways.asks}>
          <b>{practice.ways.asks}</b>
          <div className="row">
            {practice.ways.ways.map((w) => (
              <Button
                key={w.key}
                className="touch"
                variant={w.chosen ? 'filled' : 'outline'}
                aria-pressed={w.chosen}
                disabled={away}
                onClick={() => act.mutate({ kind: 'CHOOSE', what: w.key })}
              >
                {w.words}
              </Button>
            ))}
          </div>
        </div>
      )}
      {practice.onHob && (
        <>
          <div className="hob" role="group" aria-label="The hob">
            {HEATS.map((h) => (
              <Button
                key={h.share}
                className="touch"
                variant={practice.heat === h.share ? 'filled' : 'outline'}
                aria-pressed={practice.heat === h.share}
                disabled={away}
                onClick={() => act.mutate({ kind: 'HEAT', value: h.share })}
              >
                {h.words}
              </Button>
            ))}
          </div>
          <div className="row">
            <Button
              className="touch grow-tap"
              disabled={away}
              onClick={() => act.mutate({ kind: 'STIR' })}
            >
              Stir to the bottom
            </Button>
            <Button
              className="touch"
              variant={practice.lid ? 'filled' : 'outline'}
              aria-pressed={practice.lid}
              disabled={away}
              onClick={() => act.mutate({ kind: 'LID', value: practice.lid ? 0 : 1 })}
            >
              {practice.lid ? 'Lid is on' : 'Lid is off'}
            </Button>
          </div>
        </>
      )}
      {practice.pot && (
        <div className="row tight">
          <Button
            className="touch"
            variant="outline"
            disabled={away}
            onClick={() => act.mutate({ kind: 'MEASURE' })}
          >
            Measure
          </Button>
          {practice.onHob && <span className="soft">Water, mL</span>}
          {practice.onHob &&
            POURS.map((ml) => (
              <Button
                key={ml}
                variant="outline"
                disabled={away}
                aria-label={`Pour ${ml} mL of water in`}
                onClick={() => act.mutate({ kind: 'POUR', value: ml })}
              >
                +{ml}
              </Button>
            ))}
        </div>
      )}
      <Button
        size="lg"
        className="touch"
        disabled={away}
        loading={pot.busy}
        onClick={() => act.mutate({ kind: 'NEXT' })}
      >
        {practice.step === practice.steps.length - 1
          ? 'Done: how did it go?'
          : `Done: ${lowered(practice.steps[practice.step + 1]!.headline)}`}
      </Button>
    </>
  );
}

const lowered = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

function WeighIn({
  name,
  grams,
  disabled,
  weigh,
}: {
  name: string;
  grams: number;
  disabled: boolean;
  weigh: (grams: number) => void;
}) {
  const [value, setValue] = useState<number | string>(Number(figure(grams)));
  const changed = value !== '' && Math.abs(Number(value) - grams) > grams * 0.01;
  return (
    <form
      className="row end"
      onSubmit={(e) => {
        e.preventDefault();
        if (value !== '') weigh(Number(value));
      }}
    >
      <NumberInput
        label={`${name}, g on the scale`}
        value={value}
        onChange={setValue}
        disabled={disabled}
        clampBehavior="none"
        w={220}
      />
      <Button
        type="submit"
        variant={changed ? 'filled' : 'outline'}
        disabled={disabled || !changed}
      >
        Weigh it in
      </Button>
    </form>
  );
}
