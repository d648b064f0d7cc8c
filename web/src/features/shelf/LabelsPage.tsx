import { Button, Checkbox, NumberInput, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, keys, type LabelFormat } from '../../api/client';
import { useFeed, useShelf } from '../../api/queries';
import { said } from '../../kit/fields';
import { useFormat } from '../../kit/format';
import { Failed, Empty, tell, Waiting } from '../../kit/states';
import { options, WORDS } from '../../kit/words';
import { Choice } from '../../kit/Choice';
import { Trouble } from '../../kit/Trouble';

/** Labels for bottles, and the calendar that goes with them. */
export function LabelsPage() {
  const shelf = useShelf();
  const format = useFormat();
  const client = useQueryClient();
  const [params] = useSearchParams();
  const asked = params.get('bottle');
  const [chosen, setChosen] = useState<string[]>(asked ? [asked] : []);
  const [sheet, setSheet] = useState<LabelFormat>(
    () => (localStorage.getItem('dremsa-labels') as LabelFormat | null) ?? 'A4_21',
  );
  const [skip, setSkip] = useState<number | string>(0);
  const [name, setName] = useState('');
  const print = useMutation({
    mutationFn: async () => {
      const pdf = await ask(
        api.POST('/api/labels', {
          body: {
            bottles: chosen,
            format: sheet,
            skip: Number(skip) || 0,
            name: name || undefined,
          },
          parseAs: 'blob',
        }),
      );
      return pdf as unknown as Blob;
    },
    onSuccess: async (pdf) => {
      const link = document.createElement('a');
      link.href = URL.createObjectURL(pdf);
      link.download = 'labels.pdf';
      link.click();
      await client.invalidateQueries({ queryKey: keys.all });
    },
  });
  if (shelf.isPending) return <Waiting />;
  if (shelf.isError) {
    return (
      <main className="page" id="main">
        <Failed error={shelf.error} again={() => shelf.refetch()} />
      </main>
    );
  }
  const bottles = shelf.data?.bottles ?? [];
  return (
    <main className="page reading" id="main">
      <p className="soft">
        <Link to="/keep">The shelf</Link>
      </p>
      <h1>Labels</h1>
      {bottles.length === 0 ? (
        <Empty title="Nothing stands on the shelf.">
          <p>Labels are printed for bottles that are filled.</p>
        </Empty>
      ) : (
        <div className="stack">
          <div className="row">
            <Button
              variant="subtle"
              onClick={() =>
                setChosen(chosen.length === bottles.length ? [] : bottles.map((b) => b.id))
              }
            >
              {chosen.length === bottles.length ? 'None' : 'All'}
            </Button>
          </div>
          <ul className="lines">
            {bottles.map((b) => (
              <li key={b.id}>
                <Checkbox
                  size="md"
                  label={`${b.name} ${b.number}, ${b.useNow ? 'use now' : `last day ${format.day(b.lastDay)}`}${b.marked ? ' (marked)' : ''}${b.printedDay ? ', printed before' : ''}`}
                  checked={chosen.includes(b.id)}
                  onChange={(e) =>
                    setChosen(
                      e.currentTarget.checked
                        ? [...chosen, b.id]
                        : chosen.filter((id) => id !== b.id),
                    )
                  }
                />
              </li>
            ))}
          </ul>
          <div className="row end">
            <Choice
              label="Sheet"
              data={options(WORDS.labelFormats)}
              value={sheet}
              onChange={(s) => {
                setSheet((s as LabelFormat | null) ?? 'A4_21');
                localStorage.setItem('dremsa-labels', s ?? 'A4_21');
              }}
              w={260}
            />
            <NumberInput
              label="Places used already"
              value={skip}
              onChange={setSkip}
              error={said(print.error, 'skip')}
              w={170}
            />
            {chosen.length === 1 && (
              <TextInput
                className="field"
                label="Another name on it"
                value={name}
                onChange={(e) => setName(e.currentTarget.value)}
                error={said(print.error, 'name')}
              />
            )}
          </div>
          <Trouble error={print.error} fields={['skip', 'name']} />
          <div>
            <Button
              className="touch"
              disabled={chosen.length === 0}
              loading={print.isPending}
              onClick={() => print.mutate()}
            >
              Make the PDF
            </Button>
          </div>
          <p className="soft small">
            A date once printed never moves later: if the brew turns out to keep longer, the label
            still counts. What is frozen is labelled anew.
          </p>
        </div>
      )}
      <Feed />
    </main>
  );
}

/** The shelf in a calendar: a file, or a private address to subscribe to. */
function Feed() {
  const feed = useFeed();
  const client = useQueryClient();
  const [address, setAddress] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/feed', {})),
    onSuccess: async ({ path }) => {
      setAddress(window.location.origin + path);
      await client.invalidateQueries({ queryKey: keys.feed });
    },
    onError: tell,
  });
  const revoke = useMutation({
    mutationFn: () => ask(api.DELETE('/api/feed', {})),
    onSuccess: async () => {
      setAddress('');
      await client.invalidateQueries({ queryKey: keys.feed });
    },
    onError: tell,
  });
  return (
    <section className="stack above-l">
      <h2>In your calendar</h2>
      <p>
        <a href="/api/shelf.ics">The last days as a calendar file</a>, or a private address that a
        calendar program reads again and again. Whoever knows it can read it.
      </p>
      {address && (
        <TextInput
          label="Your address, shown once"
          readOnly
          value={address}
          onFocus={(e) => e.currentTarget.select()}
        />
      )}
      <div className="row">
        <Button variant="outline" onClick={() => make.mutate()} loading={make.isPending}>
          {feed.data?.made ? 'Make another address' : 'Make an address'}
        </Button>
        {feed.data?.made && (
          <Button
            variant="outline"
            color="madder"
            onClick={() => revoke.mutate()}
            loading={revoke.isPending}
          >
            Switch it off
          </Button>
        )}
      </div>
      {feed.data?.made && !address && (
        <p className="soft small">There is an address. Another one switches it off.</p>
      )}
    </section>
  );
}
