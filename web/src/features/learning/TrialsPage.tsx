import { useTrials } from '../../api/queries';
import type { Trials } from '../../api/client';
import { figure, useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { WORDS } from '../../kit/words';
import { OfHeads } from '../people/OfHeads';
import { BeginTrial } from './BeginTrial';
import { LearnLinks } from './LearnLinks';
import { OpenTrial } from './OpenTrial';
import './learning.css';

/** Learn: products side by side on sections of one head, and what several such trials say. */
export function TrialsPage() {
  const trials = useTrials();
  const format = useFormat();
  return (
    <main className="page" id="main">
      <LearnLinks />
      <OfHeads title="On whose head?">
        {(heads) => (
          <Loaded part of={trials}>
            {(view) => (
              <>
                <h1>Side by side on one head</h1>
                <p>
                  One trial tells little. Several of the same products are judged together, and what
                  chance alone would make is said beside.
                </p>
                <Verdicts view={view} />
                {view.trials
                  .filter((t) => !t.endedAt)
                  .map((t) => (
                    <OpenTrial
                      key={`${t.id}/${t.version}`}
                      trial={t}
                      criteria={view.criteria}
                      format={format}
                    />
                  ))}
                <BeginTrial heads={heads} />
                <Over view={view} format={format} />
              </>
            )}
          </Loaded>
        )}
      </OfHeads>
    </main>
  );
}

function Verdicts({ view }: { view: Trials }) {
  return (
    <>
      {view.verdicts.map((v) => (
        <section key={v.products.join()} aria-label={v.products.join(' and ')} className="above">
          <h2>{v.products.join(' · ')}</h2>
          <ul className="lines">
            {v.lines.map((l) => (
              <li key={l.criterion}>{l.settled ? <b>{l.words}</b> : l.words}</li>
            ))}
          </ul>
          {v.criteria > 1 && (
            <p className="soft small">
              {v.criteria} things were scored: chance has as many goes, so each must be that much
              rarer to count as settled.
            </p>
          )}
        </section>
      ))}
    </>
  );
}

/** Trials that are over, with their scores. */
function Over({ view, format }: { view: Trials; format: Format }) {
  const over = view.trials.filter((t) => t.endedAt);
  if (over.length === 0) return null;
  return (
    <details className="above">
      <summary>{over.length} over</summary>
      <ul className="lines">
        {over.map((t) => (
          <li key={t.id}>
            <b>
              {t.name}, {format.day(format.dateOf(t.begunAt))}
            </b>
            : {t.on.map((o) => `${WORDS.headSections[o.section]} ${t.products[o.jar]}`).join(', ')}
            <br />
            <span className="soft">
              {t.scores
                .map(
                  (s) =>
                    `${WORDS.criteria[s.criterion]} of ${t.products[s.jar]} ${figure(s.score)}`,
                )
                .join('; ')}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
