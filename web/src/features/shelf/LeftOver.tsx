import { Button, NumberInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, keys, type LeftoverLine } from '../../api/client';
import { useLeftovers } from '../../api/queries';
import { said } from '../../kit/fields';
import { figure, useFormat } from '../../kit/format';
import { done } from '../../kit/states';
import './shelf.css';
import { Trouble } from '../../kit/Trouble';

type Outcome = 'USED' | 'DRIED' | 'COMPOSTED';

/** What a strainer held and is good for once more, in bowls beside the bottles. */
export function LeftOver() {
  const leftovers = useLeftovers();
  const open = (leftovers.data ?? []).filter((l) => l.outcome === 'OPEN');
  if (open.length === 0) return null;
  return (
    <section aria-labelledby="left-over">
      <h2 id="left-over">Left over</h2>
      <ul className="lines">
        {open.map((line) => (
          <Bowl key={line.id} line={line} />
        ))}
      </ul>
    </section>
  );
}

function Bowl({ line }: { line: LeftoverLine }) {
  const format = useFormat();
  const client = useQueryClient();
  const [weighing, setWeighing] = useState(false);
  const [grams, setGrams] = useState<number | string>('');
  const path = { params: { path: { id: line.id } } };
  const put = async (next: LeftoverLine[]) => {
    client.setQueryData(keys.leftovers, next);
    await client.invalidateQueries({ queryKey: keys.all });
  };
  const undo = useMutation({
    mutationFn: (version: number) =>
      ask(api.POST('/api/leftovers/{id}/undo', { ...path, body: { version } })),
    onSuccess: put,
  });
  const end = useMutation({
    mutationFn: ({ outcome }: { outcome: Outcome; words: string }) =>
      ask(
        api.POST('/api/leftovers/{id}/end', {
          ...path,
          body: {
            version: line.version,
            outcome,
            driedGrams: outcome === 'DRIED' && grams !== '' ? Number(grams) : undefined,
          },
        }),
      ),
    onSuccess: async (next, { words }) => {
      const now = next.find((l) => l.id === line.id);
      done(words, () => now && undo.mutate(now.version));
      await put(next);
    },
  });
  const compost = (
    <Button
      variant="outline"
      onClick={() => end.mutate({ outcome: 'COMPOSTED', words: 'Composted' })}
    >
      Compost it
    </Button>
  );
  return (
    <li className="row end">
      <BowlPicture over={line.over} />
      <div className="field">
        <b>{line.name}</b>
        <p>
          {line.over
            ? `Compost it: its day was ${format.day(line.lastDay)}.`
            : `${line.words}, at the latest ${format.day(line.lastDay)}.`}
        </p>
        <p className="soft small">
          About {figure(line.wetGrams)} g wet, from{' '}
          <Link to={`/brew/${line.batchId}`}>{line.code}</Link>. {line.why}
        </p>
        <Trouble error={end.error ?? undo.error} fields={['driedGrams']} />
      </div>
      {weighing ? (
        <>
          <NumberInput
            label="It weighs dry, g"
            w={130}
            value={grams}
            onChange={setGrams}
            error={said(end.error, 'driedGrams')}
          />
          <Button onClick={() => end.mutate({ outcome: 'DRIED', words: 'In the stores' })}>
            To the stores
          </Button>
        </>
      ) : (
        <>
          {!line.over && (
            <Button
              variant="outline"
              onClick={() => end.mutate({ outcome: 'USED', words: 'Used once more' })}
            >
              Used it
            </Button>
          )}
          {line.use === 'DRY_FOR_OIL' && line.single && (
            <Button variant="outline" onClick={() => setWeighing(true)}>
              It is dry
            </Button>
          )}
          {compost}
        </>
      )}
    </li>
  );
}

function BowlPicture({ over }: { over: boolean }) {
  return (
    <svg width="54" height="40" viewBox="0 0 54 40" aria-hidden="true">
      <path
        d="M8 17 q5 -9 12 -6 q4 -7 10 -3 q8 -3 10 4 q5 0 6 5 z"
        fill="var(--linseed)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <path
        d="M3 17 H51 Q49 36 27 36 Q5 36 3 17 Z"
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="2.5"
      />
      {over && <path d="M14 22 L40 33 M40 22 L14 33" stroke="var(--madder)" strokeWidth="3" />}
    </svg>
  );
}
