import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Journal, JournalPage } from '../../api/client';
import { useFormulas, useJournal, usePeople } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { WORDS } from '../../kit/words';
import { LearnLinks } from '../learning/LearnLinks';
import { Entries } from './Entries';
import { HeadPhotos } from './HeadPhotos';
import { Timelines } from './Timelines';
import { WriteEntry } from './WriteEntry';
import './journal.css';

/** Learn: a page for each batch and each day on a head, found by words, head or formula. */
export function JournalPages() {
  const format = useFormat();
  const people = usePeople();
  const formulas = useFormulas();
  const [person, setPerson] = useState('');
  const [formula, setFormula] = useState('');
  const [words, setWords] = useState('');
  const [until, setUntil] = useState<string>();
  const [sought] = useDebouncedValue(words, 300);
  const journal = useJournal({
    ...(person && { person }),
    ...(formula && { formula }),
    ...(sought.trim() && { words: sought.trim() }),
    ...(until && { until }),
  });
  return (
    <main className="page" id="main">
      <LearnLinks />
      <h1>Journal</h1>
      <div className="row end above">
        <TextInput
          label="Find"
          placeholder="words, a brew"
          value={words}
          maxLength={80}
          onChange={(e) => setWords(e.currentTarget.value)}
        />
        <Choice
          label="Whose"
          placeholder="everybody’s"
          data={(people.data?.people ?? []).map((p) => ({ value: p.id, label: p.name }))}
          value={person}
          onChange={setPerson}
        />
        <Choice
          label="Of which formula"
          placeholder="all"
          data={(formulas.data ?? []).map((f) => ({ value: f.id, label: f.name }))}
          value={formula}
          onChange={setFormula}
        />
      </div>
      <Loaded part of={journal}>
        {(view) => (
          <div className="journal above">
            <div className="stack">
              {view.pages.length === 0 && (
                <p className="soft">
                  {sought ? 'Nothing says that.' : 'Nothing was brewed, used or written down here.'}
                </p>
              )}
              {view.pages.map((p) => (
                <Page
                  key={`${p.batch ?? p.person ?? ''}/${p.day}/${p.kind}`}
                  page={p}
                  view={view}
                  format={format}
                />
              ))}
              <div className="row">
                {view.earlier && (
                  <Button variant="outline" onClick={() => setUntil(view.earlier)}>
                    Earlier
                  </Button>
                )}
                {until && (
                  <Button variant="subtle" onClick={() => setUntil(undefined)}>
                    Back to today
                  </Button>
                )}
                <a className="small" href="/api/tables/journal.csv">
                  All of it as CSV
                </a>
              </div>
            </div>
            <aside className="stack">
              <WriteEntry criteria={view.criteria} today={view.today} />
              <Timelines view={view} format={format} />
            </aside>
          </div>
        )}
      </Loaded>
    </main>
  );
}

function Page({ page, view, format }: { page: JournalPage; view: Journal; format: Format }) {
  const [writing, setWriting] = useState(false);
  const title = page.title || 'Note';
  return (
    <article className="journal-page" aria-label={`${title}, ${format.day(page.day)}`}>
      <p className="soft small">
        {format.day(page.day)} · {WORDS.pageKinds[page.kind]}
        {page.code && ` ${page.code}`}
      </p>
      <h2>{page.batch ? <Link to={`/learn/journal/${page.batch}`}>{title}</Link> : title}</h2>
      {page.says && <p>{page.says}</p>}
      <Entries entries={page.entries} format={format} />
      {page.person && page.kind !== 'BATCH' && (
        <HeadPhotos person={page.person} day={page.day} photos={page.photos} />
      )}
      {page.kind === 'HEAD' &&
        (writing ? (
          <WriteEntry
            criteria={view.criteria}
            today={view.today}
            day={page.day}
            {...(page.person && { person: page.person })}
          />
        ) : (
          <Button
            variant="subtle"
            size="compact-md"
            aria-label={`How was it, ${title}?`}
            onClick={() => setWriting(true)}
          >
            How was it?
          </Button>
        ))}
    </article>
  );
}
