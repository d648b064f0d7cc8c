import { Button, NumberInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Journal, JournalEntry } from '../../api/client';
import { usePeople } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { said } from '../../kit/fields';
import { Trouble } from '../../kit/Trouble';
import { capital, options, WORDS } from '../../kit/words';
import { useJournalChange, type Written } from './useJournalChange';

type Scores = NonNullable<Written['scores']>;
type Beside = JournalEntry['beside'];
const BESIDE = Object.keys(WORDS.confounders) as Beside;
const FULL = 5;

/** Something to be written down: words, scores of what the maker ticks, what else was going on. */
export function WriteEntry({
  criteria,
  today,
  batch,
  person: whose = '',
  day: when,
}: {
  criteria: Journal['criteria'];
  today: string;
  batch?: string;
  person?: string;
  day?: string;
}) {
  const people = usePeople();
  const { write } = useJournalChange();
  const [person, setPerson] = useState(whose);
  const [day, setDay] = useState(when ?? today);
  const [words, setWords] = useState('');
  const [scores, setScores] = useState<Record<string, number | undefined>>({});
  const [beside, setBeside] = useState<Beside>([]);
  const [thickness, setThickness] = useState('');
  const chosen = criteria.filter((c) => c.criterion in scores);
  const given = Object.fromEntries(
    Object.entries(scores).filter(([, v]) => v !== undefined),
  ) as Scores;
  return (
    <form
      className="sheet stack no-print"
      aria-label="Write something down"
      onSubmit={(e) => {
        e.preventDefault();
        write.mutate(
          {
            day,
            words,
            scores: given,
            beside,
            ...(person && { person }),
            ...(batch && { batch }),
            ...(thickness && { thickness: thickness as JournalEntry['thickness'] }),
          },
          {
            onSuccess: () => {
              setThickness('');
              setWords('');
              setScores({});
              setBeside([]);
            },
          },
        );
      }}
    >
      <h2>Write something down</h2>
      <div className="row end">
        {(people.data?.people.length ?? 0) > 0 && (
          <Choice
            label="On whose head"
            placeholder="nobody’s"
            data={people.data!.people.map((p) => ({ value: p.id, label: p.name }))}
            value={person}
            onChange={setPerson}
          />
        )}
        <label className="day-field">
          Day
          <input type="date" value={day} max={today} onChange={(e) => setDay(e.target.value)} />
        </label>
        {said(write.error, 'day') && <p className="trouble">{said(write.error, 'day')}</p>}
      </div>
      <Textarea
        label="In your words"
        autosize
        minRows={2}
        maxLength={4000}
        value={words}
        onChange={(e) => setWords(e.currentTarget.value)}
        error={said(write.error, 'words')}
      />
      {batch && (
        <Choice
          label="How thick is it, cold?"
          placeholder="not looked at"
          data={options(WORDS.thicknesses, capital)}
          value={thickness}
          onChange={setThickness}
          error={said(write.error, 'thickness')}
        />
      )}
      {chosen.map((c) => (
        <div
          key={c.criterion}
          className="row end"
          role="group"
          aria-label={WORDS.criteria[c.criterion]}
        >
          <b className="criterion">{capital(WORDS.criteria[c.criterion])}</b>
          {c.most === FULL ? (
            [1, 2, 3, 4, 5].map((n) => (
              <Button
                key={n}
                className="touch"
                variant={scores[c.criterion] === n ? 'filled' : 'outline'}
                aria-pressed={scores[c.criterion] === n}
                onClick={() => setScores({ ...scores, [c.criterion]: n })}
              >
                {n}
              </Button>
            ))
          ) : (
            <NumberInput
              aria-label={WORDS.criteria[c.criterion]}
              w={120}
              min={c.least}
              max={c.most}
              clampBehavior="none"
              value={scores[c.criterion] ?? ''}
              onChange={(v) =>
                setScores({ ...scores, [c.criterion]: v === '' ? undefined : Number(v) })
              }
              error={said(write.error, `scores.${c.criterion}`)}
            />
          )}
          <span className="soft small">{c.lessIsBetter ? 'less is better' : 'more is better'}</span>
        </div>
      ))}
      <div className="row end">
        <Choice
          label="Score something"
          placeholder="choose"
          data={criteria
            .filter((c) => !(c.criterion in scores))
            .map((c) => ({ value: c.criterion, label: capital(WORDS.criteria[c.criterion]) }))}
          value={null}
          onChange={(c) => c && setScores({ ...scores, [c]: undefined })}
        />
      </div>
      <div className="row" role="group" aria-label="What else was going on">
        <span className="soft">What else was going on?</span>
        {BESIDE.map((b) => (
          <Button
            key={b}
            variant={beside.includes(b) ? 'filled' : 'outline'}
            aria-pressed={beside.includes(b)}
            onClick={() => setBeside(BESIDE.filter((o) => (o === b) !== beside.includes(o)))}
          >
            {WORDS.confounders[b]}
          </Button>
        ))}
      </div>
      <Trouble
        error={write.error}
        fields={['day', 'words', 'thickness', ...criteria.map((c) => `scores.${c.criterion}`)]}
      />
      <div>
        <Button type="submit" className="touch" loading={write.isPending}>
          Write it down
        </Button>
      </div>
    </form>
  );
}
