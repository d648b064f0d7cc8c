import { Button } from '@mantine/core';
import { useState } from 'react';
import { api, ask, type PersonPage } from '../../api/client';
import { useMaterials, useShelf } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import type { Format } from '../../kit/format';
import { Seek } from '../../kit/Seek';
import { done } from '../../kit/states';
import { options, WORDS } from '../../kit/words';
import { usePersonChange } from './usePersonChange';

interface Props {
  page: PersonPage;
  format: Format;
}

/** Tests on the inner arm: what is tried, when to look, what came of it. */
export function Tests({ page, format }: Props) {
  const id = page.person.id;
  const materials = useMaterials();
  const [material, setMaterial] = useState('');
  const begin = usePersonChange((what: string) =>
    ask(api.POST('/api/people/{id}/tests', { params: { path: { id } }, body: { material: what } })),
  );
  const settle = usePersonChange(
    (what: { test: PersonPage['tests'][number]; result?: 'NOTHING' | 'REACTED' }) =>
      ask(
        api.PUT('/api/people/{id}/tests/{test}', {
          params: { path: { id, test: what.test.id } },
          body: { version: what.test.version, result: what.result },
        }),
      ),
  );
  const forget = usePersonChange((test: string) =>
    ask(api.DELETE('/api/people/{id}/tests/{test}', { params: { path: { id, test } } })),
  );
  return (
    <section className="stack" aria-labelledby="tests">
      <h2 id="tests">Tests on the arm</h2>
      <p className="soft small">
        A little of what is new on the inner arm, for 48 hours. The same in another brew counts as
        tested.
      </p>
      <div className="row end">
        <Seek
          className="fill"
          label="Try"
          placeholder="linseed, sage, …"
          value={material || null}
          onChange={setMaterial}
          data={(materials.data ?? [])
            .filter((m) => m.kind !== 'WATER')
            .map((m) => ({ value: m.id, label: m.name, beside: m.kindWords }))}
        />
        <Button
          disabled={!material}
          loading={begin.isPending}
          onClick={() => begin.mutate(material, { onSuccess: () => setMaterial('') })}
        >
          Begin now
        </Button>
      </div>
      <ul className="lines">
        {page.tests.map((t) => (
          <li key={t.id} className="stack tight">
            <p className="spread">
              <b>{t.name}</b>
              <span className={t.result === 'REACTED' ? 'bad' : t.result ? 'good' : 'soft'}>
                {t.result ? WORDS.testResults[t.result] : `look ${format.moment(t.due)}`}
              </span>
            </p>
            <div className="row">
              {t.result ? (
                <Button variant="subtle" onClick={() => settle.mutate({ test: t })}>
                  Open it again
                </Button>
              ) : (
                <>
                  <Button
                    className="touch"
                    variant="outline"
                    onClick={() => settle.mutate({ test: t, result: 'NOTHING' })}
                  >
                    Nothing to see
                  </Button>
                  <Button
                    className="touch"
                    variant="outline"
                    color="madder"
                    onClick={() => settle.mutate({ test: t, result: 'REACTED' })}
                  >
                    Red, itching or swollen
                  </Button>
                  <Button variant="subtle" onClick={() => forget.mutate(t.id)}>
                    Not tried after all
                  </Button>
                </>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Skin that answered, and what may have caused it. */
export function Reactions({ page, format }: Props) {
  const id = page.person.id;
  const shelf = useShelf();
  const [bottle, setBottle] = useState('');
  const [sign, setSign] = useState<keyof typeof WORDS.signs>('IRRITATION');
  const forget = usePersonChange((reaction: string) =>
    ask(
      api.DELETE('/api/people/{id}/reactions/{reaction}', { params: { path: { id, reaction } } }),
    ),
  );
  const note = usePersonChange((body: { bottle: string; sign: keyof typeof WORDS.signs }) =>
    ask(api.POST('/api/people/{id}/reactions', { params: { path: { id } }, body })),
  );
  return (
    <section className="stack" aria-labelledby="reactions">
      <h2 id="reactions">If the skin answers</h2>
      <p className="caution">{page.ifItReacts}</p>
      <div className="fields">
        <Choice
          label="To what"
          placeholder="Which bottle?"
          value={bottle}
          onChange={setBottle}
          data={(shelf.data?.bottles ?? []).map((b) => ({
            value: b.id,
            label: `${b.name} ${b.code}`,
          }))}
        />
        <Choice
          label="What is seen"
          value={sign}
          onChange={(s) => setSign(s as typeof sign)}
          data={options(WORDS.signs)}
        />
        <Button
          color="madder"
          disabled={!bottle}
          loading={note.isPending}
          onClick={() =>
            note.mutate(
              { bottle, sign },
              {
                onSuccess: (next) => {
                  setBottle('');
                  done('Written down. It is no longer proposed for this head.', () =>
                    forget.mutate(next.reactions[0]!.id),
                  );
                },
              },
            )
          }
        >
          Write it down
        </Button>
      </div>
      <ul className="lines">
        {page.reactions.map((r) => (
          <li key={r.id} className="stack tight">
            <p className="spread">
              <b>
                {r.name}: {WORDS.signs[r.sign]}
              </b>
              <span className="soft small">{format.moment(r.at)}</span>
            </p>
            {r.suspects.length > 0 && (
              <p className="small">
                Suspects:{' '}
                {r.suspects
                  .map((s) => `${s.name} (${s.why.toLowerCase().replace(/\.$/, '')})`)
                  .join('; ')}
              </p>
            )}
            <div>
              <Button variant="subtle" onClick={() => forget.mutate(r.id)}>
                It was none
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
