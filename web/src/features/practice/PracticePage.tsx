import { Link, useParams } from 'react-router';
import type { Practice } from '../../api/client';
import { usePractice } from '../../api/queries';
import { duration, useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { Trouble } from '../../kit/Trouble';
import { LivePot } from '../../signature/LivePot';
import { Debriefing } from './Debriefing';
import { HandTaps } from './HandTaps';
import { Pace } from './Pace';
import { usePot } from './usePractice';
import './practice.css';

/** One practice: the pot as it looks now, what a hand can do, and in the end what it cost. */
export function PracticePage() {
  const { id = '' } = useParams();
  const practice = usePractice(id);
  const format = useFormat();
  return (
    <main className="page" id="main">
      <Loaded part of={practice}>
        {(view) =>
          view.debrief ? (
            <Debriefing practice={view} debrief={view.debrief} format={format} />
          ) : (
            <AtThePot practice={view} format={format} />
          )
        }
      </Loaded>
    </main>
  );
}

function AtThePot({ practice, format }: { practice: Practice; format: Format }) {
  const pot = usePot(practice);
  const step = practice.steps[practice.step]!;
  const { calling, measured } = practice;
  return (
    <div className="practice">
      <section className="stack">
        <p className="soft small">
          <Link to="/learn/practice">Practice</Link> · {practice.title}
        </p>
        <h1>{step.headline}</h1>
        <p className="soft" aria-live="off">
          Step {practice.step + 1} of {practice.steps.length} · for {clock(practice.stepMinutes)}
          {step.usually && ` · usually ${step.usually}`}
        </p>
        {calling && (
          <p className="trouble" role="alert">
            <b>{calling.words}</b>{' '}
            {calling.away
              ? `You are away for another ${clock(calling.minutes)}.`
              : `You go in ${clock(calling.minutes)}.`}
          </p>
        )}
        <LivePot
          pot={practice.pot}
          heat={practice.heat}
          lid={practice.lid && practice.onHob}
          onHob={practice.onHob}
          looks={practice.looks}
        />
        <ul className="looks" aria-label="How it looks">
          {practice.looks.map((l) => (
            <li key={l}>{l}</li>
          ))}
          {measured && (
            <li>
              <b>{format.celsius(measured.celsius)}</b>
              {measured.ph != null && `, pH ${measured.ph.toFixed(1)}`}{' '}
              <span className="soft">
                {measured.minutesAgo < 0.1
                  ? 'just now'
                  : `${clock(measured.minutesAgo)} ago, by thermometer and strip`}
              </span>
            </li>
          )}
        </ul>
      </section>
      <section className="stack" aria-label="Your hands">
        <HandTaps practice={practice} pot={pot} />
        <Trouble error={pot.error} />
        <Pace practice={practice} pot={pot} />
        <details>
          <summary>What is asked, and the steps</summary>
          <p>{practice.task}</p>
          <ul className="lines">
            {practice.aims.map((a) => (
              <li key={a.words + a.wanted}>
                {a.words}: <b>{a.wanted}</b>
              </li>
            ))}
          </ul>
          <ol className="lines">
            {practice.steps.map((s) => (
              <li key={s.index} aria-current={s.index === practice.step ? 'step' : undefined}>
                <b>{s.headline}</b> {s.how} {s.cue}
              </li>
            ))}
          </ol>
        </details>
      </section>
    </div>
  );
}

/** Minutes to the second while they are few. */
function clock(minutes: number): string {
  if (minutes >= 60) return duration(minutes);
  const whole = Math.floor(minutes);
  const seconds = Math.floor((minutes - whole) * 60);
  return `${whole}:${String(seconds).padStart(2, '0')} min`;
}
