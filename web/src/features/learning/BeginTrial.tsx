import { Button, Checkbox, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, keys, type Trial } from '../../api/client';
import { said } from '../../kit/fields';
import { Trouble } from '../../kit/Trouble';
import { capital, WORDS } from '../../kit/words';
import { WhoseHead } from '../people/OfHeads';

type Section = Trial['on'][number]['section'];
const ALL = Object.keys(WORDS.headSections) as Section[];
const MOST = 4;
const LOOKS = [
  { hours: 1, words: 'in an hour' },
  { hours: 6, words: 'when dry, 6 h' },
  { hours: 24, words: 'next day' },
  { hours: 72, words: 'on day 3' },
  { hours: 168, words: 'in a week' },
];

/** A new trial: on whose head, of what, where; lots are drawn when it begins. */
export function BeginTrial({ heads }: { heads: { id: string; name: string }[] }) {
  const client = useQueryClient();
  const [person, setPerson] = useState(heads[0]!.id);
  const [products, setProducts] = useState(['', '']);
  const [sections, setSections] = useState<Section[]>(['LEFT', 'RIGHT']);
  const [blind, setBlind] = useState(true);
  const [looks, setLooks] = useState<number[]>([24]);
  const begin = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/trials', {
          body: {
            person,
            products: products.filter((p) => p.trim() !== ''),
            sections,
            blind,
            lookHours: looks,
          },
        }),
      ),
    onSuccess: (view) => {
      client.setQueryData(keys.trials, view);
      setProducts(['', '']);
    },
  });
  const named = products.filter((p) => p.trim() !== '').length;
  return (
    <form
      className="sheet stack above"
      aria-label="Begin a trial"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <h2>Begin a trial</h2>
      <div className="row end">
        <WhoseHead heads={heads} value={person} onChange={setPerson} />
        {products.map((p, i) => (
          <TextInput
            key={i}
            label={`Product ${i + 1}`}
            value={p}
            maxLength={80}
            onChange={(e) =>
              setProducts(products.map((o, n) => (n === i ? e.currentTarget.value : o)))
            }
            error={said(begin.error, `products[${i}]`)}
          />
        ))}
        {products.length < MOST && (
          <Button variant="subtle" onClick={() => setProducts([...products, ''])}>
            One more product
          </Button>
        )}
      </div>
      <div className="row" role="group" aria-label="On which sections">
        {ALL.map((s) => (
          <Button
            key={s}
            className="touch"
            variant={sections.includes(s) ? 'filled' : 'outline'}
            aria-pressed={sections.includes(s)}
            onClick={() => setSections(ALL.filter((o) => (o === s) !== sections.includes(o)))}
          >
            {capital(WORDS.headSections[s])}
          </Button>
        ))}
      </div>
      <div className="row" role="group" aria-label="Remind me to score it">
        <span className="soft">Remind me to score it</span>
        {LOOKS.map((l) => (
          <Button
            key={l.hours}
            className="touch"
            variant={looks.includes(l.hours) ? 'filled' : 'outline'}
            aria-pressed={looks.includes(l.hours)}
            onClick={() =>
              setLooks(
                LOOKS.map((o) => o.hours).filter((h) => (h === l.hours) !== looks.includes(h)),
              )
            }
          >
            {l.words}
          </Button>
        ))}
      </div>
      {['products', 'sections'].map(
        (f) =>
          said(begin.error, f) && (
            <p key={f} className="trouble">
              {said(begin.error, f)}
            </p>
          ),
      )}
      <Checkbox
        size="md"
        label="Blind: jars are called by a number until the end"
        checked={blind}
        onChange={(e) => setBlind(e.currentTarget.checked)}
      />
      <Trouble
        error={begin.error}
        fields={['products', 'sections', ...products.map((_, i) => `products[${i}]`)]}
      />
      <div>
        <Button type="submit" disabled={named < 2} loading={begin.isPending}>
          Draw lots and begin
        </Button>
      </div>
    </form>
  );
}
