import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  api,
  ask,
  keys,
  type BrewPlan,
  type OccasionLine,
  type PersonLine,
  type Plans,
  type Weeks,
} from '../../api/client';
import { usePeople, usePlan, useWeeks } from '../../api/queries';
import { useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { done, Empty, tell } from '../../kit/states';
import { capital, WORDS } from '../../kit/words';
import { PlanPart } from '../plan/PlanPart';
import { Pots } from '../plan/Pots';
import { usePlanning } from '../plan/usePlanning';
import { bandsOf } from '../plan/words';
import { UseLinks } from '../people/UseLinks';
import { WeeksLine } from './WeeksLine';
import { addDays, isOpen } from './words';
import './washdays.css';

const DAYS = 21;

/** Use: the wash days to come, what feeds them, and who would go without. */
export function WeeksPage() {
  const [from, setFrom] = useState<string>();
  const weeks = useWeeks(DAYS, from);
  const people = usePeople();
  const plan = usePlan();
  const format = useFormat();
  return (
    <main className="page" id="main">
      <UseLinks />
      <Loaded part of={weeks}>
        {(view) => (
          <>
            <div className="row spread">
              <h1>{headline(view, format)}</h1>
              <div className="row">
                <Button
                  variant="outline"
                  aria-label="A week earlier"
                  disabled={view.from <= addDays(view.today, -21)}
                  onClick={() => setFrom(addDays(view.from, -7))}
                >
                  ←
                </Button>
                <Button variant="outline" disabled={!from} onClick={() => setFrom(undefined)}>
                  Today
                </Button>
                <Button
                  variant="outline"
                  aria-label="A week later"
                  disabled={view.from >= addDays(view.today, 56)}
                  onClick={() => setFrom(addDays(view.from, 7))}
                >
                  →
                </Button>
              </div>
            </div>
            {people.data?.people.length === 0 ? (
              <Empty title="Whose wash days?">
                <p>With a page for each head, the weeks show what is due and from which bottle.</p>
                <div>
                  <Button component={Link} to="/use/people/new">
                    Make a page for somebody
                  </Button>
                </div>
              </Empty>
            ) : (
              <Line
                view={view}
                people={people.data?.people ?? []}
                plans={from ? undefined : plan.data}
                format={format}
              />
            )}
          </>
        )}
      </Loaded>
    </main>
  );
}

interface LineProps {
  view: Weeks;
  people: PersonLine[];
  plans?: Plans;
  format: Format;
}

/** The line with its plan, where it begins today; else as it stands. */
function Line({ view, people, plans, format }: LineProps) {
  const lists = (short: ReactNode) => (
    <div className="two-even weeks-lists above-l">
      <Coming view={view} format={format} />
      {short}
    </div>
  );
  if (!plans) {
    return (
      <>
        <WeeksLine view={view} people={people} format={format} />
        {lists(<Short view={view} format={format} />)}
      </>
    );
  }
  return <Planned view={view} people={people} plans={plans} format={format} lists={lists} />;
}

function Planned({
  view,
  people,
  plans,
  format,
  lists,
}: LineProps & { plans: Plans; lists: (short: ReactNode) => ReactNode }) {
  const planning = usePlanning(plans);
  const { shown } = planning;
  return (
    <>
      <WeeksLine
        view={view}
        people={people}
        format={format}
        bands={bandsOf(shown)}
        short={(person, day) => shown.without.some((w) => w.person === person && w.day === day)}
        below={(dates, wide) => (
          <Pots
            plan={shown}
            evenings={plans.evenings}
            dates={dates}
            wide={wide}
            format={format}
            onMove={(brew, day) => planning.change(brew, { day })}
          />
        )}
      />
      {lists(
        <div>
          <PlanPart plans={plans} planning={planning} format={format} />
          <Short view={view} plan={shown} format={format} />
        </div>,
      )}
    </>
  );
}

/** What comes next, in a line. */
function headline(view: Weeks, format: Format): string {
  const next = view.occasions.find(isOpen);
  if (!next) return 'The weeks to come';
  const who = [
    ...new Set(view.occasions.filter((o) => isOpen(o) && o.day === next.day).map((o) => o.name)),
  ];
  const when = next.day === view.today ? 'Today' : format.dayLong(next.day);
  return `${when}: ${who.join(', ')}`;
}

/** The occasions as a list, each with what can be done with it. */
function Coming({ view, format }: { view: Weeks; format: Format }) {
  const client = useQueryClient();
  const [moving, setMoving] = useState('');
  const [to, setTo] = useState('');
  const path = (o: OccasionLine) => `${o.person}/${o.occasion}/${o.planned}`;
  const move = useMutation({
    mutationFn: (body: {
      person: string;
      occasion: string;
      planned: string;
      to?: string;
      back?: boolean;
    }) => ask(api.POST('/api/wash-days/move', { body })),
    onSuccess: async (_, body) => {
      setMoving('');
      if (!body.back) {
        done(body.to ? `Put on ${format.day(body.to)}` : 'Left out', () =>
          move.mutate({ ...body, to: undefined, back: true }),
        );
      }
      await client.invalidateQueries({ queryKey: keys.all });
    },
    onError: tell,
  });
  const undo = useMutation({
    mutationFn: (id: string) =>
      ask(api.POST('/api/wash-days/{id}/undo', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.all }),
    onError: tell,
  });
  const days = [...new Set(view.occasions.map((o) => o.day))];
  return (
    <section aria-labelledby="coming">
      <h2 id="coming">Day by day</h2>
      {days.length === 0 && <p className="soft">Nothing is due in these weeks.</p>}
      <ul className="lines">
        {days.map((day) => {
          const there = view.occasions.filter((o) => o.day === day);
          const open = there.filter(isOpen);
          return (
            <li key={day} className="stack tight">
              <p className="spread">
                <b>{day === view.today ? `Today, ${format.day(day)}` : format.dayLong(day)}</b>
                {open.length > 0 && <Link to={`/use/sheet?day=${day}`}>The sheet</Link>}
              </p>
              {there.map((o) => (
                <div key={path(o)}>
                  <p className="spread">
                    <span className={o.state === 'MISSED' || o.state === 'SKIPPED' ? 'undone' : ''}>
                      {o.name}: {o.occasionName.toLowerCase()}
                      {o.state !== 'COMING' && (
                        <span className="soft small"> · {WORDS.dueStates[o.state]}</span>
                      )}
                    </span>
                    {isOpen(o) && (
                      <Button
                        variant="subtle"
                        aria-expanded={moving === path(o)}
                        onClick={() => {
                          setMoving(moving === path(o) ? '' : path(o));
                          setTo(addDays(o.day < view.today ? view.today : o.day, 1));
                        }}
                      >
                        Another day
                      </Button>
                    )}
                    {o.state === 'SKIPPED' && (
                      <Button
                        variant="subtle"
                        onClick={() =>
                          move.mutate({
                            person: o.person,
                            occasion: o.occasion,
                            planned: o.planned,
                            back: true,
                          })
                        }
                      >
                        Put it back
                      </Button>
                    )}
                    {o.done && (
                      <Button variant="subtle" onClick={() => undo.mutate(o.done!)}>
                        Take it back
                      </Button>
                    )}
                  </p>
                  {moving === path(o) && (
                    <div className="row end sheet">
                      <label className="day-field">
                        On
                        <input
                          type="date"
                          value={to}
                          min={view.today}
                          onChange={(e) => setTo(e.currentTarget.value)}
                        />
                      </label>
                      <Button
                        disabled={!to}
                        loading={move.isPending}
                        onClick={() =>
                          move.mutate({
                            person: o.person,
                            occasion: o.occasion,
                            planned: o.planned,
                            to,
                          })
                        }
                      >
                        Put it there
                      </Button>
                      <Button
                        variant="outline"
                        onClick={() =>
                          move.mutate({
                            person: o.person,
                            occasion: o.occasion,
                            planned: o.planned,
                          })
                        }
                      >
                        Leave it out
                      </Button>
                      {o.state === 'MOVED' && (
                        <Button
                          variant="subtle"
                          onClick={() =>
                            move.mutate({
                              person: o.person,
                              occasion: o.occasion,
                              planned: o.planned,
                              back: true,
                            })
                          }
                        >
                          As the routine says
                        </Button>
                      )}
                    </div>
                  )}
                </div>
              ))}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Who goes without, and what is to be thawed. */
function Short({ view, plan, format }: { view: Weeks; plan?: BrewPlan; format: Format }) {
  const short = plan
    ? plan.without.map((w) => ({
        day: w.day,
        who: w.words,
        missing: w.millilitres - w.there,
        words: w.there > 0 ? `Only ${Math.round(w.there)} mL would be there.` : '',
      }))
    : view.without.map((w) => ({
        day: w.day,
        who: `${w.name}: ${WORDS.slotKinds[w.slot]}`,
        missing: w.missingMl,
        words: w.words,
      }));
  return (
    <section aria-labelledby="short" className={plan && 'above-l'}>
      <h2 id="short">What will be short</h2>
      {short.length === 0 && (
        <p className="soft">
          {plan
            ? 'Nothing: with this plan every use has its bottle.'
            : 'Nothing: every wash day has its bottles.'}
        </p>
      )}
      <ul className="lines">
        {short.map((w, i) => (
          <li key={i}>
            <p>
              <b>
                {format.day(w.day)}, {w.who}
              </b>
              {w.missing > 0 && <>, {Math.round(w.missing)} mL</>}
            </p>
            {w.words && <p className="soft small">{w.words}</p>}
          </li>
        ))}
      </ul>
      {view.before.length > 0 && (
        <>
          <h2 className="above-l">To thaw</h2>
          <ul className="lines">
            {view.before.map((b) => (
              <li key={b.bottle + b.at}>
                <p>
                  <b>{format.moment(b.at)}</b>{' '}
                  <Link to={`/keep/${b.bottle}`}>{capital(b.name)}</Link>
                </p>
                <p className="soft small">{b.words}</p>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
