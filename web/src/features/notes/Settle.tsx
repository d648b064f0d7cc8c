import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { NoteStretch } from '../../api/client';

interface Props {
  stretch: NoteStretch;
  words: string;
  onSettle: (key: string, value: string) => void;
}

/** What a word was taken for, and what else it could be: a tap on what is right settles it. */
export function Settle({ stretch, words, onSettle }: Props) {
  const [typed, setTyped] = useState('');
  const guess = stretch.certainty === 'GUESS';
  const howMuch = stretch.key.startsWith('howmuch:') || stretch.key.startsWith('amount:');
  return (
    <section className="settle" aria-label={`What ${words} means`}>
      <p>
        <b>{words}</b>{' '}
        <span className="soft">
          {stretch.certainty === 'UNREAD'
            ? 'was not read; it stays beside the formula'
            : `${guess ? 'is taken for' : 'is'} ${stretch.taken}`}
        </span>
      </p>
      {stretch.options.length > 0 && (
        <div className="row">
          {stretch.options.map((o, i) => (
            <Button
              key={o.value}
              variant={i === 0 && guess ? 'filled' : 'outline'}
              onClick={() => onSettle(stretch.key, o.value)}
            >
              {i === 0 && guess ? `Yes, ${o.words}` : o.words}
            </Button>
          ))}
        </div>
      )}
      {howMuch && (
        <form
          className="row end"
          onSubmit={(e) => {
            e.preventDefault();
            if (typed.trim()) onSettle(stretch.key, typed.trim());
          }}
        >
          <TextInput
            className="field-s"
            label="Or so much"
            placeholder="2 tbsp"
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
          />
          <Button type="submit" variant="outline" disabled={!typed.trim()}>
            Take that
          </Button>
        </form>
      )}
    </section>
  );
}
