import { Button, Textarea, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, keys, ProblemError, type Sheet } from '../../api/client';
import { useOnce } from '../../api/useOnce';
import { done, tell } from '../../kit/states';
import { capital, WORDS } from '../../kit/words';
import { useKeeper } from '../bench/useTaps';
import { asPlanned, doneBody, type Taken } from './words';

interface Props {
  sheet: Sheet;
  /** The wash day under way that it ends. */
  run?: string;
  onLeave: () => void;
}

/** What was really taken and how long it stayed on; all as planned is one tap. */
export function WriteDown({ sheet, run, onLeave }: Props) {
  const [taken, setTaken] = useState<Taken[]>(() => asPlanned(sheet));
  const [note, setNote] = useState('');
  const [exact, setExact] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const once = useOnce();
  const keep = useKeeper();
  const set = (i: number, part: Partial<Taken>) =>
    setTaken(taken.map((t, n) => (n === i ? { ...t, ...part } : t)));
  const undo = useMutation({
    mutationFn: async (ids: string[]) => {
      for (const id of ids) {
        await ask(api.POST('/api/wash-days/{id}/undo', { params: { path: { id } } }));
      }
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
    onError: tell,
  });
  const write = useMutation({
    mutationFn: async () => {
      const body = doneBody(sheet, taken, run, note);
      let key = '';
      try {
        return await once(body, (of) =>
          ask(
            api.POST('/api/wash-days', {
              params: { header: { 'Idempotency-Key': (key = of) } },
              body,
            }),
          ),
        );
      } catch (error) {
        if (!(error instanceof ProblemError && error.passing)) throw error;
        keep({
          key,
          run: run ?? 'wash-day',
          path: '/api/wash-days',
          body,
          words: 'Wash day written down',
          why: error.message,
        });
        return { washDays: [] };
      }
    },
    onSuccess: async ({ washDays }) => {
      if (washDays.length > 0) {
        done('Written down', () => undo.mutate(washDays));
      } else {
        tell(new Error('No line: it is kept on this device and sent as soon as there is one.'));
      }
      await navigate('/use');
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
  const error = write.error instanceof ProblemError ? write.error.problem : undefined;
  return (
    <form
      className="sheet stack above-l"
      aria-label="What was taken"
      onSubmit={(e) => {
        e.preventDefault();
        write.mutate();
      }}
    >
      <h2>What was taken</h2>
      {taken.length === 0 && <p className="soft">Nothing from our bottles.</p>}
      <ul className="lines">
        {taken.map((t, i) => {
          const head = sheet.heads[t.head]!;
          return (
            <li key={`${t.head}-${t.place}-${t.bottle}`} className="stack tight">
              <p>
                <b>{head.name}</b> {capital(WORDS.slotKinds[head.places[t.place]!.slot])}: {t.name}
              </p>
              {exact ? (
                <div className="row end">
                  <TextInput
                    className="fill"
                    label="How much"
                    description="40, a third, 10 strokes, all; empty for none"
                    value={t.typed}
                    onChange={(e) => set(i, { typed: e.currentTarget.value })}
                  />
                  <TextInput
                    className="field-s"
                    label="Minutes on"
                    inputMode="numeric"
                    value={t.minutes}
                    onChange={(e) => set(i, { minutes: e.currentTarget.value })}
                  />
                </div>
              ) : (
                <p className="soft">{t.typed} mL</p>
              )}
            </li>
          );
        })}
      </ul>
      {taken.length > 0 && !exact && (
        <div>
          <Button variant="outline" onClick={() => setExact(true)}>
            It was otherwise
          </Button>
        </div>
      )}
      <Textarea
        label="How it went, if you like"
        value={note}
        maxLength={400}
        onChange={(e) => setNote(e.currentTarget.value)}
      />
      {write.error && (
        <p className="trouble" role="alert">
          {error?.errors?.[0] ? where(sheet, error.errors[0].field) : ''}
          {write.error.message}
        </p>
      )}
      <div className="row">
        <Button type="submit" size="lg" loading={write.isPending}>
          Write it down
        </Button>
        <Button variant="outline" size="lg" onClick={onLeave}>
          Not yet
        </Button>
      </div>
    </form>
  );
}

/** Whose place a refusal is about: "heads[0].places[1].takes[0].millilitres". */
function where(sheet: Sheet, field: string): string {
  const head = sheet.heads[Number(/heads\[(\d+)]/.exec(field)?.[1] ?? -1)];
  return head ? `${head.name}: ` : '';
}
