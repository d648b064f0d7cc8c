import { Button, NumberInput, Textarea } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { components } from '../../api/generated/schema';
import { ProblemError, type Run } from '../../api/client';
import { said } from '../../kit/fields';
import { countdown, duration, figure, type Format } from '../../kit/format';
import { PotPicture } from '../../signature/PotPicture';
import { WindowBar } from '../../signature/WindowBar';
import { hasVoice, readAloud } from './hands';
import { BottleFills, type Fill } from './BottleFills';
import { celsiusNow } from './celsius';
import { GoesIn } from './GoesIn';
import { HowHot } from './HowHot';
import { OfferCalls } from './OfferCalls';
import { TooEarly } from './TooEarly';
import './bench.css';
import { Trouble } from '../../kit/Trouble';

type Reading = 'VOLUME' | 'PH';

export type Report = Omit<components['schemas']['StepFinish'], 'version'>;

interface Props {
  run: Run;
  now: number;
  format: Format;
  busy: boolean;
  error: unknown;
  onDone: (report: Report) => void;
  /** What was asked is dropped: the step goes on. */
  onStay: () => void;
  onGiveUp: (reason: string) => void;
}

/** The step to do now: headline, timer, what to look for, and one obvious tap. */
export function StepNow({ run, now, format, busy, error, onDone, onStay, onGiveUp }: Props) {
  const plan = run.prediction.steps[run.step]!;
  const last = run.step === run.prediction.steps.length - 1;
  const asks = asked(run);
  const [read, setRead] = useState<Partial<Record<Reading, number | string>>>({});
  const [ago, setAgo] = useState(0);
  const [note, setNote] = useState('');
  const [noting, setNoting] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const [fills, setFills] = useState<Fill[]>(() =>
    run.prediction.filling.containers.map((c) => ({ ...c })),
  );
  const divides = last && run.prediction.ways.length > 0;
  const late = run.window != null && now > Date.parse(run.window.lateFrom);
  const questioned = isOf(error, 'questioned');
  const early = isOf(error, 'early') ? (error as ProblemError) : undefined;
  // What was said already goes along when more is asked back.
  const [told, setSaid] = useState({ cueSeen: false, sure: false });
  const done = (cueSeen: boolean, sure = false, anyway = false) => {
    setSaid({ cueSeen, sure });
    onDone({
      cueSeen,
      sure: sure || undefined,
      anyway: anyway || undefined,
      secondsAgo: ago > 0 ? ago * 60 : undefined,
      readings: Object.fromEntries(
        asks.filter((kind) => (read[kind] ?? '') !== '').map((kind) => [kind, Number(read[kind])]),
      ),
      note: note || undefined,
      bottles:
        last && !divides
          ? fills.map((f) => ({
              container: f.container,
              sizeMl: +f.sizeMl,
              millilitres: +f.millilitres,
            }))
          : undefined,
    });
  };
  const cue = plan.guide.cue;
  const aloud = [
    plan.headline,
    ...plan.goesIn.map((g) => `${g.portion.name}, ${amountAloud(g.portion)}`),
    plan.guide.how,
    cue && `Look for: ${cue}`,
    plan.hot,
    ...plan.cautions,
  ]
    .filter(Boolean)
    .join('. ');
  const shown = [
    ...asks.map((kind) => `readings.${kind}`),
    'note',
    ...fills.map((_, i) => `bottles[${i}].millilitres`),
  ];
  return (
    <div className="stack">
      <WhatToDo run={run} now={now} format={format} />
      <GoesIn goes={plan.goesIn} />
      {cue && (
        <div className="look-for">
          <h2>Look for</h2>
          <p>{cue}</p>
        </div>
      )}
      <Clock run={run} now={now} format={format} />
      <HowHot run={run} now={now} format={format} />
      {plan.cautions.map((c) => (
        <p key={c} className="caution">
          {c}
        </p>
      ))}
      {plan.kind === 'strain' && run.leftover && (
        <p className="soft">
          What stays in the strainer, about {figure(run.leftover.grams)} g: {run.leftover.why}{' '}
          <b>{run.leftover.words}.</b>
        </p>
      )}
      {last &&
        !divides &&
        run.prediction.filling.advice.map((words) => (
          <p key={words} className="caution">
            {words}
          </p>
        ))}
      {last && !divides && <BottleFills fills={fills} error={error} onChange={setFills} />}
      <Readings asked={asks} plan={plan} read={read} set={setRead} error={error} />
      {late && <Ago run={run} now={now} ago={ago} onAgo={setAgo} />}
      {noting && (
        <Textarea
          label="Note"
          value={note}
          onChange={(e) => setNote(e.currentTarget.value)}
          maxLength={400}
          error={said(error, 'note')}
        />
      )}
      {early ? (
        <TooEarly
          asked={early}
          busy={busy}
          onStay={onStay}
          onEnd={() => done(told.cueSeen, told.sure, true)}
        />
      ) : (
        <>
          <Trouble error={error} fields={shown} />
          <div className="actions">
            {questioned ? (
              <Button onClick={() => done(told.cueSeen, true)} loading={busy}>
                It is right
              </Button>
            ) : (
              <Button onClick={() => done(Boolean(cue))} loading={busy}>
                {divides ? 'Divide it' : last ? 'Bottled' : cue ? 'I see it: done' : 'Done'}
              </Button>
            )}
            {cue ? (
              <Button variant="outline" onClick={() => done(false)} disabled={busy}>
                Not seen
              </Button>
            ) : (
              <Button variant="outline" onClick={() => setNoting(true)} disabled={noting}>
                Note
              </Button>
            )}
          </div>
        </>
      )}
      <Next run={run} format={format} />
      <OfferCalls run={run} />
      <div className="row">
        {hasVoice() && (
          <Button variant="subtle" size="compact-md" onClick={() => readAloud(aloud)}>
            Read aloud
          </Button>
        )}
        {cue && !noting && (
          <Button variant="subtle" size="compact-md" onClick={() => setNoting(true)}>
            Add a note
          </Button>
        )}
        <Button
          variant="subtle"
          color="madder"
          size="compact-md"
          onClick={() => setLeaving(!leaving)}
        >
          Give this brew up
        </Button>
      </div>
      {leaving && <GiveUp onGiveUp={onGiveUp} />}
    </div>
  );
}

const isOf = (error: unknown, type: string) =>
  error instanceof ProblemError && error.problem.type.endsWith(type);

const amountAloud = (p: { drops?: number | null; grams: number }) =>
  p.drops != null ? `${p.drops} drops` : `${figure(p.grams)} grams`;

/** The step after this one, so that it can be laid out in time. */
function Next({ run, format }: Pick<Props, 'run' | 'format'>) {
  const next = run.prediction.steps[run.step + 1];
  if (!next) return null;
  const goes = next.goesIn.map(
    (g) =>
      `${g.portion.name} ${g.portion.drops ?? figure(g.portion.grams)}${g.portion.drops == null ? ' g' : ' drops'}`,
  );
  return (
    <p className="soft">
      Then: <b>{next.headline}</b>
      {goes.length > 0 && ` (${goes.join(', ')})`}
      {run.line.usualAt && `, about ${format.clock(run.line.usualAt)}`}
    </p>
  );
}

/** What is read at the end of this step: how much ran off, how sour it is. */
function asked(run: Run): Reading[] {
  const plan = run.prediction.steps[run.step]!;
  const last = run.step === run.prediction.steps.length - 1;
  const nextIsStrain = run.prediction.steps[run.step + 1]?.kind === 'strain';
  // Whether it has soured, or a preservative works, hangs on the pH: read, it counts.
  const preserved = run.prediction.amounts.some((a) => a.kind === 'preservative');
  const sours = plan.kind === 'ferment' || (preserved && (last || plan.kind === 'add'));
  return [
    ...(plan.kind === 'strain' && !nextIsStrain ? (['VOLUME'] as const) : []),
    ...(sours ? (['PH'] as const) : []),
  ];
}

/** Headline, what calls now, and what goes in. */
function WhatToDo({ run, now, format }: Pick<Props, 'run' | 'now' | 'format'>) {
  const plan = run.prediction.steps[run.step]!;
  const calls = run.line.moments.filter(
    (m) =>
      m.kind !== 'SOON' &&
      m.kind !== 'LATE' &&
      Date.parse(m.at) <= now + 1000 &&
      now - Date.parse(m.at) < 4 * 60_000,
  );
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    // The tap that ended the step before is gone: the keyboard goes on here.
    if (document.activeElement === document.body) head.current?.focus({ preventScroll: true });
  }, []);
  const coming = run.line.moments.find((m) => Date.parse(m.at) > now && m.kind !== 'SOON');
  return (
    <>
      <div>
        <h1 className="headline" ref={head} tabIndex={-1}>
          {plan.headline}
        </h1>
        <p className="soft">
          {[plan.guide.how, plan.tool && `In: ${plan.tool}.`].filter(Boolean).join(' ')}
        </p>
      </div>
      {calls.slice(-1).map((m) => (
        <p key={m.at + m.words} className="call" role="status">
          {m.words}
        </p>
      ))}
      {coming && (
        <p className="soft">
          {format.soon(coming.at, now)}: {coming.words}
        </p>
      )}
    </>
  );
}

/** How long it takes, and how hot it is. */
function Clock({ run, now, format }: Pick<Props, 'run' | 'now' | 'format'>) {
  const plan = run.prediction.steps[run.step]!;
  return (
    <>
      {run.window ? (
        <Timed run={run} now={now} format={format} />
      ) : (
        <>
          {!plan.needsHands && run.line.usualAt && (
            <p className="timer" role="timer">
              {countdown(Date.parse(run.line.usualAt) - now)}
            </p>
          )}
          <p className="soft small">
            takes about {duration(plan.endMinute - plan.startMinute)}; since{' '}
            {format.clock(run.done[run.step]!.startedAt)}
          </p>
        </>
      )}
    </>
  );
}

/** The pot as it is believed to stand now. */
export function PotNow({ run, now, format }: Pick<Props, 'run' | 'now' | 'format'>) {
  const plan = run.prediction.steps[run.step]!;
  const vessel = run.prediction.vessels.find((v) => v.name === plan.vessel);
  if (!vessel) return null;
  const celsius = celsiusNow(run, now);
  return (
    <div className="pot-now">
      <PotPicture
        kind={vessel.kind}
        fill={plan.millilitres / vessel.capacityMl}
        celsius={celsius}
        label={`≈ ${format.celsius(celsius)}`}
        tint={run.tint}
        covered={plan.headline.includes('covered') || plan.headline.includes('lid on')}
      />
    </div>
  );
}

function Readings({
  asked,
  plan,
  read,
  set,
  error,
}: {
  asked: Reading[];
  plan: Run['prediction']['steps'][number];
  read: Partial<Record<Reading, number | string>>;
  set: (read: Partial<Record<Reading, number | string>>) => void;
  error: unknown;
}) {
  const souring = plan.kind === 'ferment';
  const words: Record<Reading, [string, string]> = {
    VOLUME: [
      'How much ran off, mL',
      `About ${figure(plan.millilitres)} mL are expected. Leave it empty if you did not measure.`,
    ],
    PH: [
      souring ? 'Acidity when stopped, pH' : 'Acidity now, pH',
      souring
        ? 'From a strip or a meter; it may stay empty.'
        : 'From a strip or a meter. Read, the preservative may count; it may stay empty.',
    ],
  };
  return asked.map((kind) => (
    <NumberInput
      key={kind}
      label={words[kind][0]}
      description={words[kind][1]}
      value={read[kind] ?? ''}
      onChange={(value) => set({ ...read, [kind]: value })}
      error={said(error, `readings.${kind}`)}
    />
  ));
}

/** When it was really done, if that was before the tap. */
function Ago({
  run,
  now,
  ago,
  onAgo,
}: Pick<Props, 'run' | 'now'> & { ago: number; onAgo: (minutes: number) => void }) {
  return (
    <div role="group" aria-label="When was it done?">
      <p className="soft small">Done earlier, and only now at the screen?</p>
      <div className="row">
        {agoChoices(run, now).map((c) => (
          <Button
            className="touch"
            key={c.minutes}
            variant={ago === c.minutes ? 'filled' : 'outline'}
            onClick={() => onAgo(c.minutes)}
          >
            {c.words}
          </Button>
        ))}
      </div>
    </div>
  );
}

function GiveUp({ onGiveUp }: Pick<Props, 'onGiveUp'>) {
  return (
    <div className="row">
      {['It spoiled', 'It spilled', 'No time for it'].map((reason) => (
        <Button key={reason} variant="outline" color="madder" onClick={() => onGiveUp(reason)}>
          {reason}
        </Button>
      ))}
    </div>
  );
}

/** When a step was really done, if it was before the tap: counted back from now, in minutes. */
function agoChoices(run: Run, now: number): { minutes: number; words: string }[] {
  const w = run.window!;
  const usual = Math.round((now - Date.parse(w.usualAt)) / 60_000);
  const lasted = (now - Date.parse(w.startedAt)) / 60_000;
  return [
    { minutes: 0, words: 'just now' },
    ...[10, 30, 60]
      .filter((m) => m < lasted)
      .map((m) => ({ minutes: m, words: `${duration(m)} ago` })),
    ...(usual > 0 ? [{ minutes: usual, words: 'at its usual time' }] : []),
  ];
}

function Timed({ run, now, format }: { run: Run; now: number; format: Format }) {
  const w = run.window!;
  const right = Date.parse(w.rightFrom);
  const usual = Date.parse(w.usualAt);
  const late = Date.parse(w.lateFrom);
  const plan = run.prediction.steps[run.step]!;
  const [time, words] =
    now < right
      ? [countdown(right - now), 'until it may be right']
      : now < usual
        ? [countdown(usual - now), `right; usually done at ${format.clock(usual)}`]
        : now <= late
          ? [countdown(usual - now), `right; over the usual time, late from ${format.moment(late)}`]
          : [countdown(late - now), 'late'];
  const wrong = now < right ? plan.guide.early : now > late ? plan.guide.late : '';
  return (
    <div className="timed">
      <p
        className="timer"
        role="timer"
        data-state={now < right ? 'early' : now <= late ? 'right' : 'late'}
      >
        {time}
      </p>
      <p className="centred">{words}</p>
      <WindowBar startedAt={Date.parse(w.startedAt)} rightFrom={right} lateFrom={late} now={now} />
      {wrong && <p className="soft small">{wrong}</p>}
    </div>
  );
}
