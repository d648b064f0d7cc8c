import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, keys, type PersonPage as Page } from '../../api/client';
import { usePerson } from '../../api/queries';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { tell } from '../../kit/states';
import { capital, WORDS } from '../../kit/words';
import { HairMark } from '../../signature/HairMark';
import { LimitLines } from './LimitLines';
import { PersonForm } from './PersonForm';
import { Reactions, Tests } from './Skin';
import { RoutineForm } from './RoutineForm';
import { UseLinks } from './UseLinks';
import { grave, hairWords, half } from './words';
import './people.css';

/** A person: hair, what suits, tests, limits as they stand now, what was used lately. */
export function PersonPage() {
  const { id = '', part } = useParams();
  return (
    <main className="page" id="main">
      <UseLinks />
      {id === 'new' ? <PersonForm /> : <Known key={id} id={id} part={part} />}
    </main>
  );
}

function Known({ id, part }: { id: string; part?: string }) {
  const person = usePerson(id);
  const format = useFormat();
  return (
    <Loaded part of={person}>
      {(page) =>
        part === 'hair' ? (
          <PersonForm page={page} />
        ) : part === 'routine' ? (
          <RoutineForm page={page} />
        ) : (
          <Told page={page} format={format} />
        )
      }
    </Loaded>
  );
}

function Told({ page, format }: { page: Page; format: Format }) {
  const { person } = page;
  const at = `/use/people/${person.id}`;
  const well = page.suits.filter((s) => s.well);
  const not = page.suits.filter((s) => !s.well);
  return (
    <div className="person">
      <div className="row start">
        <HairMark
          hair={person.hair}
          lengthCm={person.lengthCm}
          shrinkage={person.shrinkage}
          up={person.up}
          size={92}
        />
        <div className="stack tight">
          <h1>{person.name}</h1>
          <p className="soft">{hairWords(person)}</p>
          <div className="row">
            <Button component={Link} to={`${at}/hair`} variant="outline">
              Change what is told
            </Button>
            <Button component={Link} to={`${at}/routine`} variant="outline">
              Change the routine
            </Button>
          </div>
        </div>
      </div>
      <div className="two-even">
        <section aria-labelledby="limits">
          <h2 id="limits">What this head bears now</h2>
          <ul className="lines">
            {page.limits.map((l) => (
              <li key={l.kind}>
                <p className="spread">
                  <b>{capital(WORDS.limitKinds[l.kind])}</b>
                  <span>
                    {half(l.load)} of {half(l.most)} in {l.days} days
                  </span>
                </p>
                <span className="meter" aria-hidden="true">
                  <span
                    style={{ width: `${Math.min(100, (100 * l.load) / Math.max(0.5, l.most))}%` }}
                  />
                </span>
                <p className="soft small">
                  {l.fineFrom === undefined || l.fineFrom === null
                    ? 'None at all.'
                    : l.fineFrom === page.today
                      ? 'Fine today.'
                      : `Fine again from ${format.dayLong(l.fineFrom)}.`}{' '}
                  {l.own ? 'Your own figure.' : `By ${l.source}.`}
                </p>
              </li>
            ))}
          </ul>
          <h2>When</h2>
          {person.occasions.length === 0 && <p className="soft">No routine yet.</p>}
          <ul className="lines">
            {person.occasions.map((o) => (
              <li key={o.key} className="spread">
                <b>{o.name}</b>
                <span>{o.words}</span>
              </li>
            ))}
          </ul>
          {page.doses.length > 0 && (
            <>
              <h2>How much of what</h2>
              <ul className="lines">
                {page.doses.map((d) => (
                  <li key={d.slot}>
                    <p className="spread">
                      <b>{capital(WORDS.slotKinds[d.slot])}</b>
                      <span>{format.ml(Math.round(d.millilitres.value))}</span>
                    </p>
                    <p className="soft small">{d.words}</p>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        <section aria-labelledby="suits">
          <h2 id="suits">What stands on the shelf</h2>
          {page.suits.length === 0 && <p className="soft">Nothing for a head stands there.</p>}
          <ul className="lines">
            {[...well, ...not].map((s) => (
              <li key={s.bottle}>
                <p className="spread">
                  <Link to={`/keep/${s.bottle}`}>{s.name}</Link>
                  <span className={s.well ? 'good' : 'bad'}>
                    {s.well
                      ? `fine as ${WORDS.slotKinds[s.slot]}`
                      : grave(s.limits)[0]!.title.toLowerCase()}
                  </span>
                </p>
                <LimitLines limits={s.limits} />
              </li>
            ))}
          </ul>
        </section>
      </div>
      <div className="two-even">
        <Tests page={page} format={format} />
        <Reactions page={page} format={format} />
      </div>
      <section aria-labelledby="used">
        <h2 id="used">Used lately</h2>
        {page.uses.length === 0 && <p className="soft">Nothing yet.</p>}
        <ul className="lines">
          {page.uses.slice(0, 15).map((u, i) => (
            <li key={i} className="spread">
              <span className={u.undone ? 'undone' : ''}>
                {u.millilitres > 0 ? `${Math.round(u.millilitres)} mL of ` : ''}
                {u.name}, {WORDS.slotKinds[u.slot]}
                {u.minutes ? `, ${Math.round(u.minutes)} min` : ''}
              </span>
              <span className="soft small">{format.moment(u.at)}</span>
            </li>
          ))}
        </ul>
      </section>
      <Leave page={page} />
    </div>
  );
}

/** Takes the page along, or away. */
function Leave({ page }: { page: Page }) {
  const { person } = page;
  const [asked, setAsked] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const remove = useMutation({
    mutationFn: () =>
      ask(
        api.DELETE('/api/people/{id}', {
          params: { path: { id: person.id }, query: { version: person.version } },
        }),
      ),
    onSuccess: async () => {
      await navigate('/use/people');
      client.removeQueries({ queryKey: keys.person(person.id) });
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: tell,
  });
  return (
    <section className="stack" aria-labelledby="leave">
      <h2 id="leave">This page</h2>
      <p className="soft">
        What stands here stays in this household. Taken away, all that is personal is gone; how much
        was used of the bottles stays, without a name.
      </p>
      <div className="row">
        <Button component="a" href={`/api/people/${person.id}/export`} variant="outline" download>
          Take it along as a file
        </Button>
        <Button variant="subtle" color="madder" onClick={() => setAsked(!asked)}>
          Take {person.name} away
        </Button>
      </div>
      {asked && (
        <div className="sheet stack">
          <p>
            {person.name}’s hair, routine, tests, reactions and wash days are deleted. That cannot
            be taken back.
          </p>
          <div className="row">
            <Button color="madder" onClick={() => remove.mutate()} loading={remove.isPending}>
              Delete all of it
            </Button>
            <Button variant="outline" onClick={() => setAsked(false)}>
              Leave it
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
