import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { Criterion, Trial } from '../../api/client';
import { useTrialJars } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import type { Format } from '../../kit/format';
import { Trouble } from '../../kit/Trouble';
import { capital, WORDS } from '../../kit/words';
import { HeadSections } from './HeadSections';
import { useTrialChange } from './useTrialChange';
import { jarName, scoresOf, type Scores } from './words';

type Name = Criterion['criterion'];

/** A trial under way: which jar is where, and its scores. */
export function OpenTrial({
  trial,
  criteria,
  format,
}: {
  trial: Trial;
  criteria: Criterion[];
  format: Format;
}) {
  const { score, end, remove } = useTrialChange(trial.id);
  const [scores, setScores] = useState<Scores>(() => scoresOf(trial));
  const [looking, setLooking] = useState(false);
  const jars = useTrialJars(trial.id, looking);
  const numbers = Array.from({ length: trial.jars }, (_, jar) => jar);
  const shown = criteria.filter((c) => scores[c.criterion]);
  const set = (criterion: string, jar: number, value: number | string) => {
    const others = Object.entries(scores[criterion] ?? {}).filter(([n]) => n !== String(jar));
    const of = Object.fromEntries(value === '' ? others : [...others, [jar, Number(value)]]);
    setScores({ ...scores, [criterion]: of });
  };
  return (
    <section className="sheet stack above" aria-label={`Trial on ${trial.name}`}>
      <h2>
        {trial.name}, since {format.day(format.dateOf(trial.begunAt))}
      </h2>
      <div className="row trial">
        <HeadSections on={trial.on} name={(jar) => jarName(trial, jar)} />
        <ul className="lines">
          {trial.on.map((o) => (
            <li key={o.section}>
              {capital(WORDS.headSections[o.section])}: <b>{jarName(trial, o.jar)}</b>
            </li>
          ))}
        </ul>
      </div>
      {trial.blind && (
        <details onToggle={(e) => setLooking(e.currentTarget.open)}>
          <summary>Whoever fills the jars looks here; whoever scores them does not</summary>
          <ul className="lines">
            {looking &&
              jars.data?.products.map((p, jar) => (
                <li key={p}>
                  Jar {jar + 1}: <b>{p}</b>
                </li>
              ))}
          </ul>
        </details>
      )}
      {shown.map((c) => (
        <div
          key={c.criterion}
          className="row end"
          role="group"
          aria-label={WORDS.criteria[c.criterion]}
        >
          <b className="criterion">{capital(WORDS.criteria[c.criterion])}</b>
          {numbers.map((jar) => (
            <NumberInput
              key={jar}
              label={jarName(trial, jar)}
              w={120}
              min={c.least}
              max={c.most}
              clampBehavior="none"
              value={scores[c.criterion]?.[jar] ?? ''}
              onChange={(v) => set(c.criterion, jar, v)}
              error={said(score.error, `scores.${c.criterion}.${jar}`)}
            />
          ))}
          <span className="soft small">
            {c.least} to {c.most}, {c.lessIsBetter ? 'less is better' : 'more is better'}
          </span>
        </div>
      ))}
      <div className="row end">
        <Choice
          label="Score something more"
          placeholder="choose"
          data={criteria
            .filter((c) => !scores[c.criterion])
            .map((c) => ({ value: c.criterion, label: capital(WORDS.criteria[c.criterion]) }))}
          value={null}
          onChange={(c) => c && setScores({ ...scores, [c as Name]: {} })}
        />
        <Button
          disabled={shown.length === 0}
          loading={score.isPending}
          onClick={() => score.mutate({ version: trial.version, scores, before: scoresOf(trial) })}
        >
          Write the scores down
        </Button>
        <Button
          variant="outline"
          disabled={trial.scores.length === 0}
          loading={end.isPending}
          onClick={() => end.mutate(trial.version)}
        >
          {trial.blind ? 'End it: what is in the jars?' : 'End it'}
        </Button>
        <Button
          variant="subtle"
          color="madder"
          loading={remove.isPending}
          onClick={() => remove.mutate()}
        >
          Take it away
        </Button>
      </div>
      <Trouble
        error={score.error}
        fields={shown.flatMap((c) => numbers.map((jar) => `scores.${c.criterion}.${jar}`))}
      />
    </section>
  );
}
