import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, ProblemError, type WashRun } from '../../api/client';
import { useShelf, useWashRuns } from '../../api/queries';
import { useOnce } from '../../api/useOnce';
import { useServerClock } from '../../kit/clock';
import { countdown, useFormat } from '../../kit/format';
import { tell } from '../../kit/states';
import { BottlePicture } from '../../signature/BottlePicture';
import { WindowBar } from '../../signature/WindowBar';
import { useKeeper, usePending } from '../bench/useTaps';
import { WriteDown } from './WriteDown';

interface Props {
  run: WashRun;
  onPlan: () => void;
}

/** A wash day under way: one thing to do in big type, the other heads as a strip above. */
export function RunView({ run: known, onPlan }: Props) {
  const runs = useWashRuns();
  const now = useServerClock(known.now, runs.dataUpdatedAt);
  const format = useFormat();
  const client = useQueryClient();
  const once = useOnce();
  const keep = useKeeper();
  const pending = usePending().filter((t) => t.run === known.id);
  const waiting = pending.length;
  // What the server says of a run does not yet hold the taps that wait: they are seen all the same.
  const run = pending.reduce(
    (seen, tap) => ahead(seen, tap.body as unknown as Step, tap.at),
    known,
  );
  const [writing, setWriting] = useState(false);
  const heads = run.sheet.heads;
  const next = run.order[0];
  const put = async (next: WashRun) => {
    client.setQueryData(keys.washRuns, (all: WashRun[] | undefined) =>
      (all ?? []).map((r) => (r.id === next.id ? next : r)),
    );
    await client.invalidateQueries({ queryKey: keys.all });
  };
  const tap = useMutation({
    mutationFn: async (what: Step) => {
      const path = `/api/wash-runs/${run.id}/steps`;
      let key = '';
      try {
        return await once([path, what], (of) =>
          ask(
            api.POST('/api/wash-runs/{id}/steps', {
              params: { path: { id: run.id }, header: { 'Idempotency-Key': (key = of) } },
              body: what,
            }),
          ),
        );
      } catch (error) {
        if (!(error instanceof ProblemError && error.passing)) throw error;
        keep({
          key,
          run: run.id,
          path,
          body: what,
          words: `${heads[what.head]!.name}: a step done`,
          why: error.message,
        });
        return undefined;
      }
    },
    onSuccess: async (next) => {
      if (next) await put(next);
    },
    onError: tell,
  });
  const untap = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/wash-runs/{id}/undo', {
          params: { path: { id: run.id } },
          body: { version: run.version },
        }),
      ),
    onSuccess: put,
    onError: tell,
  });
  const leave = useMutation({
    mutationFn: () => ask(api.DELETE('/api/wash-runs/{id}', { params: { path: { id: run.id } } })),
    onSuccess: async (left) => {
      client.setQueryData(keys.washRuns, left);
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: tell,
  });
  const begun = run.progress.some((p) => p.done > 0);
  return (
    <main className="page wash-run" id="main">
      <h1 className="sr">Wash day under way</h1>
      <ul className="wash-lanes" aria-label="Every head">
        {heads.map((head, h) => {
          const p = run.progress[h]!;
          const over = p.done >= head.steps.length;
          return (
            <li key={head.person + head.occasion} className={next?.head === h ? 'now' : ''}>
              <b>{head.name}</b>
              <span>
                {over
                  ? 'done'
                  : p.rest
                    ? rests(p.rest, now)
                    : next?.head === h
                      ? 'under the hands'
                      : p.done === 0
                        ? 'waits'
                        : 'waits, wet'}
              </span>
              <span className="meter" aria-hidden="true">
                <span style={{ width: `${(100 * p.done) / Math.max(1, head.steps.length)}%` }} />
              </span>
            </li>
          );
        })}
      </ul>
      {waiting > 0 && (
        <p className="caution" role="status">
          {waiting === 1 ? 'One tap waits' : `${waiting} taps wait`} for a line; it is sent as soon
          as there is one.
        </p>
      )}
      {next && !writing && (
        <Now
          key={`${next.head}-${next.step}`}
          run={run}
          now={now}
          clock={format.clock}
          onDone={() => tap.mutate({ head: next.head, step: next.step })}
          busy={tap.isPending}
        />
      )}
      {(!next || writing) && (
        <WriteDown sheet={run.sheet} run={run.id} onLeave={() => setWriting(false)} />
      )}
      <div className="row above-l">
        {begun && (
          <Button
            variant="outline"
            className="touch"
            onClick={() => untap.mutate()}
            loading={untap.isPending}
          >
            That was not done: one back
          </Button>
        )}
        {next && !writing && (
          <Button variant="outline" className="touch" onClick={() => setWriting(true)}>
            End it and write it down
          </Button>
        )}
        <Button variant="subtle" onClick={onPlan}>
          Another sheet
        </Button>
        <Button variant="subtle" color="madder" onClick={() => leave.mutate()}>
          It was none: leave it
        </Button>
      </div>
      <ul className="plain above">
        {run.sheet.cautions.map((words) => (
          <li key={words} className="soft small">
            {words}
          </li>
        ))}
      </ul>
    </main>
  );
}

type Rest = NonNullable<WashRun['progress'][number]['rest']>;

/** How it stands with something that stays on: "6:12 to go", "on too long, +2:10". */
function rests(rest: Rest, now: number): string {
  const right = Date.parse(rest.right) - now;
  const late = Date.parse(rest.late) - now;
  if (late < 0) return `on too long, ${countdown(late)}`;
  return right > 0 ? `${countdown(right)} to go` : `ready, off within ${countdown(late)}`;
}

/** The next thing for the hands, or what they wait for. */
function Now({
  run,
  now,
  clock,
  onDone,
  busy,
}: {
  run: WashRun;
  now: number;
  clock: (at: number) => string;
  onDone: () => void;
  busy: boolean;
}) {
  const item = run.order[0]!;
  const head = run.sheet.heads[item.head]!;
  const step = head.steps[item.step]!;
  const rest = run.progress[item.head]!.rest;
  const after = run.order[1];
  const place = head.places[step.place]!;
  // What is rinsed out afterwards belongs to the same place, and reaches for nothing.
  const first = head.steps.findIndex((s) => s.place === step.place) === item.step;
  const state =
    rest &&
    (now < Date.parse(rest.early) ? 'early' : now < Date.parse(rest.late) ? 'right' : 'late');
  return (
    <section className="wash-now" aria-live="polite">
      <p className="wash-who">{head.name}</p>
      {rest && (
        <>
          <p className="wash-clock">{rests(rest, now)}</p>
          <WindowBar
            startedAt={Date.parse(rest.from)}
            rightFrom={Date.parse(rest.early)}
            lateFrom={Date.parse(rest.late)}
            now={now}
          />
        </>
      )}
      {first && <Reach portions={place.portions} />}
      <p className="wash-words">
        {rest && state === 'early' ? 'Then: ' : ''}
        {step.words}
      </p>
      {place.limits
        .filter((l) => l.weight !== 'MIND' || l.kind === 'NEW_INGREDIENT')
        .map((l) => (
          <p key={l.what} className="caution">
            {l.what}
          </p>
        ))}
      <div className="row">
        <Button size="xl" className="touch" onClick={onDone} loading={busy}>
          Done
        </Button>
        <ReadAloud words={`${head.name}. ${step.words}`} />
      </div>
      {after && (
        <p className="soft">
          After it, about {clock(Date.parse(run.beganAt) + after.start * 60_000)}:{' '}
          {run.sheet.heads[after.head]!.name},{' '}
          {run.sheet.heads[after.head]!.steps[after.step]!.words.split('. ')[0]!.toLowerCase()}
        </p>
      )}
    </section>
  );
}

/** The bottles to reach for, as they stand on the shelf. */
function Reach({
  portions,
}: {
  portions: WashRun['sheet']['heads'][number]['places'][number]['portions'];
}) {
  const shelf = useShelf();
  const found = portions.flatMap((p) => {
    const bottle = shelf.data?.bottles.find((b) => b.id === p.bottle);
    return bottle ? [{ bottle, portion: p }] : [];
  });
  if (found.length === 0) return null;
  return (
    <div className="wash-bottles">
      {found.map(({ bottle, portion }) => (
        <span key={bottle.id} className="row end">
          <BottlePicture
            container={bottle.container}
            fill={bottle.leftMl / bottle.sizeMl}
            tint={bottle.tint}
            sizeMl={bottle.sizeMl}
            scale={0.5}
          />
          <span className="soft">
            {Math.round(portion.millilitres)} mL of
            <br />
            {portion.name}
          </span>
        </span>
      ))}
    </div>
  );
}

/** The step, said, where the browser has a voice. */
function ReadAloud({ words }: { words: string }) {
  if (typeof speechSynthesis === 'undefined') return null;
  return (
    <Button
      size="xl"
      variant="outline"
      className="touch"
      onClick={() => {
        speechSynthesis.cancel();
        speechSynthesis.speak(new SpeechSynthesisUtterance(words));
      }}
    >
      Read aloud
    </Button>
  );
}

type Step = { head: number; step: number };

/** The run as it will be when a tap that waits is taken; the order comes with the answer. */
function ahead(run: WashRun, tap: Step, now: number): WashRun {
  if (run.progress[tap.head]?.done !== tap.step) return run;
  const rest = run.sheet.heads[tap.head]!.steps[tap.step]!.rest;
  const after = (minutes: number) => new Date(now + minutes * 60_000).toISOString();
  return {
    ...run,
    progress: run.progress.map((p, h) =>
      h === tap.head
        ? {
            done: tap.step + 1,
            rest: rest
              ? {
                  from: after(0),
                  early: after(rest.least),
                  right: after(rest.usual),
                  late: after(rest.most),
                  then: rest.then,
                }
              : undefined,
          }
        : p,
    ),
    order: run.order.filter((i) => !(i.head === tap.head && i.step === tap.step)),
  };
}
