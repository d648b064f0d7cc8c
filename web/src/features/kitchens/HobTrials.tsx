import { Button, NumberInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, keys, type Figure, type Kitchen } from '../../api/client';
import { said } from '../../kit/fields';
import { countdown, figure } from '../../kit/format';
import { done, tell } from '../../kit/states';
import { options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';
import { Trouble } from '../../kit/Trouble';

interface Props {
  kitchen: Kitchen;
  version: number;
}

/** Two guided trials that tell what a hob really gives. */
export function HobTrials({ kitchen, version }: Props) {
  if (kitchen.hobs.length === 0 || !kitchen.vessels.some((v) => v.kind === 'POT')) return null;
  return (
    <section className="stack" aria-label="Trials">
      <p className="soft">
        Every hob and pot differs. Two short trials make the amounts and times those of this
        kitchen.
      </p>
      <BoilTrial kitchen={kitchen} version={version} />
      <WeighTrial kitchen={kitchen} version={version} />
    </section>
  );
}

/** Keeps a changed kitchen; taking it back keeps the one before. */
function useKeep(kitchen: Kitchen, version: number) {
  const client = useQueryClient();
  const put = (next: Kitchen, at: number) =>
    ask(api.PUT('/api/kitchen', { body: { kitchen: next, version: at } }));
  return useMutation({
    mutationFn: (next: Kitchen) => put(next, version),
    onSuccess: async (kept) => {
      await client.invalidateQueries({ queryKey: keys.all });
      done('The trial counts from now on', () => {
        put(kitchen, kept.version)
          .then(() => client.invalidateQueries({ queryKey: keys.all }))
          .catch(tell);
      });
    },
    onError: tell,
  });
}

function pots(kitchen: Kitchen) {
  return kitchen.vessels
    .filter((v) => v.kind === 'POT')
    .map((v) => ({ value: v.id, label: v.name }));
}

function Result({ of, onKeep, busy }: { of: Figure; onKeep: () => void; busy: boolean }) {
  return (
    <p role="status">
      <b>{Math.round(of.value)} W</b> reach the pot; between {Math.round(of.low ?? of.value)} and{' '}
      {Math.round(of.high ?? of.value)} W, as timing and weighing allow.{' '}
      <Button size="compact-md" onClick={onKeep} loading={busy}>
        Reckon with it
      </Button>
    </p>
  );
}

/** A clock that runs while something heats, in minutes. */
function Stopwatch({ onMinutes }: { onMinutes: (minutes: number) => void }) {
  const [from, setFrom] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  useEffect(() => () => clearInterval(timer.current), []);
  return from === null ? (
    <Button
      variant="outline"
      onClick={() => {
        const start = Date.now();
        setFrom(start);
        setNow(start);
        timer.current = setInterval(() => setNow(Date.now()), 500);
      }}
    >
      Start the clock
    </Button>
  ) : (
    <Button
      onClick={() => {
        clearInterval(timer.current);
        onMinutes(Number(((Date.now() - from) / 60_000).toFixed(2)));
        setFrom(null);
      }}
    >
      It boils: {countdown(now - from)}
    </Button>
  );
}

function BoilTrial({ kitchen, version }: Props) {
  const [hob, setHob] = useState(kitchen.hobs[0]!.id);
  const [pot, setPot] = useState(pots(kitchen)[0]!.value);
  const [litres, setLitres] = useState<number | string>(1);
  const [fromC, setFromC] = useState<number | string>(15);
  const [minutes, setMinutes] = useState<number | string>('');
  const keep = useKeep(kitchen, version);
  const trial = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/kitchen/trials/boil', {
          body: {
            vessel: pot,
            water: { value: Number(litres) || 0, unit: 'l' },
            fromC: Number(fromC) || 0,
            minutes: Number(minutes) || 0,
          },
        }),
      ),
  });
  return (
    <div className="sheet stack">
      <h3>A litre to the boil</h3>
      <p className="small">
        Cold water, lid on, the highest setting. Start the clock as you switch on; stop it at a
        rolling boil.
      </p>
      <div className="row end">
        <Choice
          label="Hob"
          w={170}
          data={kitchen.hobs.map((h) => ({ value: h.id, label: h.name }))}
          value={hob}
          onChange={(h) => setHob(h!)}
        />
        <Choice label="Pot" w={170} data={pots(kitchen)} value={pot} onChange={(p) => setPot(p!)} />
        <NumberInput
          label="Water, L"
          w={100}
          decimalScale={2}
          value={litres}
          onChange={setLitres}
          error={said(trial.error, 'water.value')}
        />
        <NumberInput
          label="Cold water, °C"
          w={130}
          value={fromC}
          onChange={setFromC}
          error={said(trial.error, 'fromC')}
        />
        <NumberInput
          label="Took, min"
          w={110}
          decimalScale={2}
          value={minutes}
          onChange={setMinutes}
          error={said(trial.error, 'minutes')}
        />
        <Stopwatch onMinutes={setMinutes} />
        <Button onClick={() => trial.mutate()} loading={trial.isPending} disabled={minutes === ''}>
          Reckon
        </Button>
      </div>
      <Trouble error={trial.error} fields={['water.value', 'fromC', 'minutes']} />
      {trial.data && (
        <Result
          of={trial.data}
          busy={keep.isPending}
          onKeep={() =>
            keep.mutate({
              ...kitchen,
              hobs: kitchen.hobs.map((h) =>
                h.id === hob ? { ...h, highW: trial.data.value, trial: trial.data } : h,
              ),
            })
          }
        />
      )}
    </div>
  );
}

type Held = 'ROLLING_BOIL' | 'GENTLE_BOIL' | 'SIMMER';

function WeighTrial({ kitchen, version }: Props) {
  const [pot, setPot] = useState(pots(kitchen)[0]!.value);
  const [how, setHow] = useState<Held>('ROLLING_BOIL');
  const [before, setBefore] = useState<number | string>('');
  const [after, setAfter] = useState<number | string>('');
  const [minutes, setMinutes] = useState<number | string>(10);
  const keep = useKeep(kitchen, version);
  const grams = (v: number | string) => ({ value: Number(v) || 0, unit: 'g' });
  const trial = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/kitchen/trials/weigh', {
          body: {
            vessel: pot,
            before: grams(before),
            after: grams(after),
            minutes: Number(minutes) || 0,
          },
        }),
      ),
  });
  const fields = ['before.value', 'after.value', 'minutes'];
  return (
    <div className="sheet stack">
      <h3>Ten minutes’ boiling, weighed</h3>
      <p className="small">
        Boil water open for ten minutes as you usually do. Weigh the water before and after; take
        the weight of the pot off both.
      </p>
      <div className="row end">
        <Choice label="Pot" w={170} data={pots(kitchen)} value={pot} onChange={(p) => setPot(p!)} />
        <Choice
          label="It boiled"
          w={150}
          data={options({
            ROLLING_BOIL: WORDS.levels.ROLLING,
            GENTLE_BOIL: WORDS.levels.GENTLE,
            SIMMER: WORDS.levels.SIMMER,
          })}
          value={how}
          onChange={(h) => setHow(h as Held)}
        />
        <NumberInput
          label="Before, g"
          w={110}
          value={before}
          onChange={setBefore}
          error={said(trial.error, 'before.value')}
        />
        <NumberInput
          label="After, g"
          w={110}
          value={after}
          onChange={setAfter}
          error={said(trial.error, 'after.value')}
        />
        <NumberInput
          label="Minutes"
          w={100}
          value={minutes}
          onChange={setMinutes}
          error={said(trial.error, 'minutes')}
        />
        <Button
          onClick={() => trial.mutate()}
          loading={trial.isPending}
          disabled={before === '' || after === ''}
        >
          Reckon
        </Button>
      </div>
      <Trouble error={trial.error} fields={fields} />
      {kitchen.calibrated?.[how] && (
        <p className="soft small">Counts now: {figure(kitchen.calibrated[how].value)} W.</p>
      )}
      {trial.data && (
        <Result
          of={trial.data}
          busy={keep.isPending}
          onKeep={() =>
            keep.mutate({
              ...kitchen,
              calibrated: { ...kitchen.calibrated, [how]: trial.data },
            })
          }
        />
      )}
    </div>
  );
}
