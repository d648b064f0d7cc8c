import { Button, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, keys, type NoteStretch } from '../../api/client';
import { useOnce } from '../../api/useOnce';
import { done, tell } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { ChooseLinks } from '../formulas/ChooseLinks';
import { NoteText } from './NoteText';
import { OwnWords } from './OwnWords';
import { ReadSide } from './ReadSide';
import { Settle } from './Settle';
import { Threads } from './Threads';
import { doubtful, targetOf, useNote } from './useNote';
import './notes.css';

/** From a note in plain words to a brew: the note as written, and beside it what was read. */
export function NotePage() {
  const note = useNote();
  const [touched, setTouched] = useState<NoteStretch>();
  const [lit, setLit] = useState<string>();
  const [name, setName] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const mirror = useRef<HTMLDivElement>(null);
  const { read, stretches } = note;
  // What is touched is found again in the newest reading.
  const active = touched && stretches.find((s) => s.from === touched.from && s.to === touched.to);
  const guesses = doubtful(stretches);
  const asked = active ?? (note.fresh ? guesses[0] : undefined);
  const keep = useKeep(note, name);
  return (
    <main className="page" id="main">
      <ChooseLinks />
      <h1>From a note to a brew</h1>
      <p className="soft narrow">
        Write it as you would to a friend. A whole line under a word is read, a hatched one is a
        guess, a struck word is not read and stays beside the formula.
      </p>
      <div className="note-sides above" ref={frame}>
        <div className="stack">
          <NoteText
            text={note.text}
            stretches={stretches}
            active={asked}
            lit={lit}
            onType={note.type}
            onTouch={setTouched}
            mirror={mirror}
          />
          {note.error && <Trouble error={note.error} fields={[]} />}
          <div role="status" className="soft small">
            {read && (guesses.length === 0 ? 'All of it is settled.' : left(guesses.length))}
          </div>
          {asked && (
            <Settle
              key={asked.key + asked.from}
              stretch={asked}
              words={note.text.slice(asked.from, asked.to)}
              onSettle={(key, value) => {
                setTouched(undefined);
                note.settle(key, value);
              }}
            />
          )}
          {guesses.length > 1 && (
            <ul className="note-guesses" aria-label="To settle">
              {guesses.map((s) => (
                <li key={s.from}>
                  <Button variant="subtle" aria-pressed={s === asked} onClick={() => setTouched(s)}>
                    {note.text.slice(s.from, s.to)}
                  </Button>
                </li>
              ))}
            </ul>
          )}
          {note.text && (
            <div>
              <Button
                variant="subtle"
                onClick={() => {
                  const before = { text: note.text, answers: note.answers };
                  note.clear();
                  done('The note is cleared', () => note.bringBack(before));
                }}
              >
                Begin with an empty note
              </Button>
            </div>
          )}
        </div>
        <div className="stack" aria-busy={!note.fresh}>
          {read ? (
            <>
              <ReadSide
                read={read}
                stretches={stretches}
                lit={lit ?? (asked && targetOf(asked))}
                onLight={setLit}
                onMethod={(m) => note.settle('method', m)}
              />
              {read.formula && (
                <div className="stack">
                  <TextInput
                    label="Call it"
                    placeholder={read.name}
                    value={name}
                    maxLength={120}
                    onChange={(e) => setName(e.currentTarget.value)}
                  />
                  <div className="row">
                    <Button
                      size="md"
                      disabled={guesses.length > 0 || !note.fresh}
                      loading={keep.isPending}
                      onClick={() => keep.mutate('measure')}
                    >
                      Brew it for two bottles
                    </Button>
                    <Button
                      size="md"
                      variant="outline"
                      disabled={guesses.length > 0 || !note.fresh || keep.isPending}
                      onClick={() => keep.mutate('change')}
                    >
                      Change it first
                    </Button>
                  </div>
                  {guesses.length > 0 && (
                    <p className="soft small">{left(guesses.length)} before it is brewed.</p>
                  )}
                  <Trouble error={keep.error} fields={[]} />
                </div>
              )}
            </>
          ) : (
            <p className="soft">
              What is read of it grows here from the first line on: the pot, what comes out of it,
              and how long it keeps.
            </p>
          )}
        </div>
        <Threads frame={frame} stretches={stretches} active={asked} lit={lit} moved={read} />
      </div>
      <div className="above-l">
        <OwnWords />
      </div>
    </main>
  );
}

const left = (guesses: number) =>
  guesses === 1 ? 'One guess is to be settled' : `${guesses} guesses are to be settled`;

/** Keeps the formula, and goes on to where it is measured or changed. */
function useKeep(note: ReturnType<typeof useNote>, name: string) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const once = useOnce();
  return useMutation({
    mutationFn: (next: 'measure' | 'change') => {
      const body = { note: { text: note.text, answers: note.answers }, name: name.trim() };
      return once(body, (key) =>
        ask(api.POST('/api/notes', { params: { header: { 'Idempotency-Key': key } }, body })),
      ).then((kept) => ({ id: kept.id, next }));
    },
    onSuccess: async ({ id, next }) => {
      const before = { text: note.text, answers: note.answers };
      note.clear();
      await client.invalidateQueries({ queryKey: keys.all });
      await navigate(`/choose/${id}/${next}`);
      done('The note is a formula of yours now', () =>
        ask(api.DELETE('/api/formulas/{id}', { params: { path: { id } } }))
          .then(() => {
            note.bringBack(before);
            return client.invalidateQueries({ queryKey: keys.formulas });
          })
          .then(() => navigate('/choose/note'))
          .catch(tell),
      );
    },
  });
}
