import { Button, Checkbox, FileInput, Textarea } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, keys, type Formula, type Reading } from '../../api/client';
import { done, tell } from '../../kit/states';
import { ChooseLinks } from './ChooseLinks';

const MOST_BYTES = 900_000;

/** Takes formulas in from a file: first shows what it could and could not read. */
export function TakeInPage() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [file, setFile] = useState<File | null>(null);
  const [refused, setRefused] = useState('');
  const [left, setLeft] = useState<Set<number>>(new Set());
  const read = useMutation({
    mutationFn: (given: { text: string }) => ask(api.POST('/api/formulas/read', { body: given })),
    onSuccess: () => setLeft(new Set()),
  });
  const take = useMutation({
    mutationFn: (formulas: Formula[]) =>
      ask(api.POST('/api/formulas/take', { body: { formulas } })),
    onSuccess: async (taken) => {
      await client.invalidateQueries({ queryKey: keys.formulas });
      await navigate(taken.length === 1 ? `/choose/${taken[0]!.id}` : '/choose');
      done(taken.length === 1 ? 'One formula taken in' : `${taken.length} formulas taken in`, () =>
        Promise.all(
          taken.map((t) =>
            ask(api.DELETE('/api/formulas/{id}', { params: { path: { id: t.id } } })),
          ),
        )
          .then(() => client.invalidateQueries({ queryKey: keys.formulas }))
          .catch(tell),
      );
    },
  });
  const choose = async (chosen: File | null) => {
    setFile(chosen);
    setRefused('');
    read.reset();
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) {
      setRefused(
        `${chosen.name} has ${(chosen.size / 1_000_000).toFixed(1)} MB. A file of formulas has at most 0.9 MB: this is something else.`,
      );
      return;
    }
    const content = await chosen.text();
    setText(content);
    read.mutate({ text: content });
  };
  const reading = read.data;
  const good = (reading?.formulas ?? []).flatMap((f, i) =>
    f.formula && f.faults.length === 0 && !left.has(i) ? [f.formula] : [],
  );
  return (
    <main className="page reading" id="main">
      <ChooseLinks />
      <h1>Take formulas in</h1>
      <p className="soft">
        A file of formulas that Dremsa wrote, or a recipe as JSON-LD from elsewhere. Nothing is
        taken in before you have seen it. A recipe in plain words is read{' '}
        <Link to="/choose/note">from a note</Link>.
      </p>
      <div className="row end above">
        <FileInput
          className="field"
          label="File"
          placeholder="choose one"
          accept=".json,.jsonld,application/json,application/ld+json"
          value={file}
          onChange={(f) => void choose(f)}
          clearable
        />
      </div>
      <Textarea
        className="above"
        label="Or paste its text"
        autosize
        minRows={3}
        maxRows={10}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <div className="around">
        <Button
          variant="outline"
          onClick={() => read.mutate({ text })}
          loading={read.isPending}
          disabled={!text.trim()}
        >
          Read it
        </Button>
      </div>
      {(refused || read.error) && (
        <p className="trouble" role="alert">
          {refused || read.error?.message}
        </p>
      )}
      {reading && <Preview reading={reading} left={left} onLeft={setLeft} />}
      {take.error && (
        <p className="trouble" role="alert">
          {take.error.message} Nothing was taken in.
        </p>
      )}
      {good.length > 0 && (
        <Button className="above" onClick={() => take.mutate(good)} loading={take.isPending}>
          {good.length === 1 ? 'Take it in' : `Take ${good.length} in`}
        </Button>
      )}
    </main>
  );
}

function Preview({
  reading,
  left,
  onLeft,
}: {
  reading: Reading;
  left: Set<number>;
  onLeft: (next: Set<number>) => void;
}) {
  return (
    <section aria-label="What was read" aria-live="polite">
      {reading.faults.map((f) => (
        <p key={f.place + f.words} className="trouble">
          {f.place && <b>{f.place}: </b>}
          {f.words}
        </p>
      ))}
      <ul className="lines">
        {reading.formulas.map((f, i) => (
          <li key={i} className="stack tight">
            <Checkbox
              size="md"
              label={f.name}
              checked={f.faults.length === 0 && !left.has(i)}
              disabled={f.faults.length > 0}
              onChange={(e) => {
                const next = new Set(left);
                if (e.currentTarget.checked) next.delete(i);
                else next.add(i);
                onLeft(next);
              }}
            />
            {f.formula && (
              <p className="soft small">
                {f.formula.ingredients.map((x) => x.material).join(', ')} · {f.formula.steps.length}{' '}
                steps
              </p>
            )}
            {f.faults.map((x) => (
              <p key={x.place + x.words} className="trouble">
                <b>{x.place}</b>: {x.words}
              </p>
            ))}
            {f.unread.length > 0 && (
              <details>
                <summary>{f.unread.length} guesses or words that were not read</summary>
                {f.unread.map((x) => (
                  <p key={x.place} className="small">
                    <b>{x.place}</b>: {x.words}
                  </p>
                ))}
              </details>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
