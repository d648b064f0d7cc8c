import { Button, NumberInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { components } from '../../api/generated/schema';
import type { Run } from '../../api/client';
import { said, saidElse } from '../../app/fields';
import { countdown, duration, figure, type Format } from '../../app/format';
import { PotPicture, WindowBar } from '../../signature';
import { BottleFills, proposedFills, type Fill } from './BottleFills';

export type Report = Omit<components['schemas']['StepFinish'], 'version'>;

interface Props {
  run: Run;
  now: number;
  format: Format;
  busy: boolean;
  error: unknown;
  onDone: (report: Report) => void;
  onGiveUp: (reason: string) => void;
}

/** The step to do now: headline, timer, what to look for, and one obvious tap. */
export function StepNow({ run, now, format, busy, error, onDone, onGiveUp }: Props) {
  const plan = run.prediction.steps[run.step]!;
  const last = run.step === run.prediction.steps.length - 1;
  const nextIsStrain = run.prediction.steps[run.step + 1]?.kind === 'strain';
  const measures = plan.kind === 'strain' && !nextIsStrain;
  const [ml, setMl] = useState<number | string>('');
  const [note, setNote] = useState('');
  const [noting, setNoting] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const [fills, setFills] = useState<Fill[]>(() =>
    proposedFills(run.container, run.target, run.prediction.bottledMl.value),
  );
  const done = (cueSeen: boolean) =>
    onDone({
      cueSeen,
      measuredMl: measures && ml !== '' ? Number(ml) : undefined,
      note: note || undefined,
      bottles: last
        ? fills.map((f) => ({ ...f, sizeMl: +f.sizeMl, millilitres: +f.millilitres }))
        : undefined,
    });
  const celsius = celsiusNow(run, now);
  const vessel = run.prediction.vessels[0];
  const cue = plan.guide.cue;
  const shown = ['measuredMl', 'note', ...fills.map((_, i) => `bottles[${i}].millilitres`)];
  return (
    <div className="stack">
      <div>
        <h1 className="headline">{plan.headline}</h1>
        <p className="soft">{plan.guide.how}</p>
      </div>
      {plan.kind === 'combine' && (
        <ul className="lines">
          {run.prediction.amounts
            .filter((a) => plan.ingredients.includes(a.ingredient))
            .map((a) => (
              <li key={a.ingredient} className="figure-line">
                <span className="strong">{a.name}</span>
                <span className="strong">{figure(a.grams)} g</span>
                <span className="soft">{a.scoops}</span>
              </li>
            ))}
        </ul>
      )}
      {run.window ? (
        <Timed run={run} now={now} format={format} />
      ) : (
        <p className="soft small">
          takes about {duration(plan.endMinute - plan.startMinute)}; since{' '}
          {format.clock(run.done[run.step]!.startedAt)}
        </p>
      )}
      {run.window && vessel && (
        <div style={{ maxWidth: 240, margin: '0 auto', width: '100%' }}>
          <PotPicture
            kind={vessel.kind}
            fill={plan.millilitres / vessel.capacityMl}
            celsius={celsius}
            label={`≈ ${format.celsius(celsius)}`}
            tint={run.tint}
            covered={plan.headline.includes('covered') || plan.headline.includes('lid on')}
          />
        </div>
      )}
      {cue && (
        <div className="sheet">
          <h2>Look for</h2>
          <p>{cue}</p>
        </div>
      )}
      {plan.cautions.map((c) => (
        <p key={c} className="caution">
          {c}
        </p>
      ))}
      {measures && (
        <NumberInput
          label="How much ran off, mL"
          description={`About ${figure(plan.millilitres)} mL are expected. Leave it empty if you did not measure.`}
          value={ml}
          onChange={setMl}
          error={said(error, 'measuredMl')}
        />
      )}
      {last && <BottleFills fills={fills} error={error} onChange={setFills} />}
      {noting && (
        <Textarea
          label="Note"
          value={note}
          onChange={(e) => setNote(e.currentTarget.value)}
          maxLength={400}
          error={said(error, 'note')}
        />
      )}
      {saidElse(error, shown) && (
        <p className="trouble" role="alert">
          {saidElse(error, shown)}
        </p>
      )}
      <div className="actions">
        <Button onClick={() => done(Boolean(cue))} loading={busy}>
          {last ? 'Bottled' : cue ? 'I see it: done' : 'Done'}
        </Button>
        {cue ? (
          <Button variant="outline" onClick={() => done(false)} disabled={busy}>
            Go on anyway
          </Button>
        ) : (
          <Button variant="outline" onClick={() => setNoting(true)} disabled={noting}>
            Note
          </Button>
        )}
      </div>
      <div className="row">
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
      {leaving && (
        <div className="row">
          {['It spoiled', 'It spilled', 'No time for it'].map((reason) => (
            <Button key={reason} variant="outline" color="madder" onClick={() => onGiveUp(reason)}>
              {reason}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
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
    <div>
      <p
        className="timer"
        role="timer"
        data-state={now < right ? 'early' : now <= late ? 'right' : 'late'}
      >
        {time}
      </p>
      <p style={{ textAlign: 'center' }}>{words}</p>
      <WindowBar startedAt={Date.parse(w.startedAt)} rightFrom={right} lateFrom={late} now={now} />
      {wrong && <p className="soft small">{wrong}</p>}
    </div>
  );
}

/** The predicted temperature at this moment, between the two moments of the trace around it. */
function celsiusNow(run: Run, now: number): number {
  const minute = (now - Date.parse(run.startedAt)) / 60_000;
  const trace = run.prediction.trace;
  const after = trace.findIndex((p) => p.minute >= minute);
  if (after <= 0) return trace[after === 0 ? 0 : trace.length - 1]!.celsius;
  const a = trace[after - 1]!;
  const b = trace[after]!;
  const share = b.minute === a.minute ? 1 : (minute - a.minute) / (b.minute - a.minute);
  return a.celsius + share * (b.celsius - a.celsius);
}
