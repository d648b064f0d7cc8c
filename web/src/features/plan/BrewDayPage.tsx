import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, keys, type BrewDay, type PlannedBrew } from '../../api/client';
import { useBrewDay, usePlan } from '../../api/queries';

import { figure, useFormat, type Format } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { tell } from '../../kit/states';
import { UseLinks } from '../people/UseLinks';
import { DayLanes } from './DayLanes';
import { minutes } from './words';
import './plan.css';

/** More than so many are counted in the headline and named below it. */
const NAMED = 2;

/** The evening itself: what is done when, what is to be fetched, and the runs laid out. */
export function BrewDayPage() {
  const { id: day = '' } = useParams();
  const evening = useBrewDay(day);
  const plan = usePlan();
  const format = useFormat();
  return (
    <main className="page" id="main">
      <UseLinks />
      <Loaded part of={evening}>
        {(view) => (
          <Evening
            view={view}
            today={plan.data?.today}
            frozen={plan.data?.agreed?.brews.filter((b) => b.day === day && b.frozenMl > 0) ?? []}
            format={format}
          />
        )}
      </Loaded>
    </main>
  );
}

interface Props {
  view: BrewDay;
  today?: string;
  /** Brews of which something goes into the freezer. */
  frozen: PlannedBrew[];
  format: Format;
}

function Evening({ view, today, frozen, format }: Props) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const begin = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/plan/days/{day}', { params: { path: { day: view.day } } })),
    onSuccess: async (taken) => {
      await client.invalidateQueries({ queryKey: keys.all });
      void navigate(`/brew/${taken.batches[0]}`);
    },
    onError: tell,
  });
  const time = (at: string) => format.moment(at).slice(-5);
  const several = view.brews.length > 1;
  const list = view.brews
    .map((b) => `${figure(Math.round(b.millilitres))} mL ${b.name}`)
    .join(', ');
  return (
    <>
      <div className="stack tight">
        <div className="row spread">
          <h1>
            {view.day === today ? 'This evening' : format.dayLong(view.day)}:{' '}
            {view.brews.length <= NAMED ? list : `${view.brews.length} brews`}
          </h1>
          {view.day === today ? (
            <Button loading={begin.isPending} onClick={() => begin.mutate()}>
              Lay it on the bench
            </Button>
          ) : (
            <span className="soft">It is laid on the bench on its day.</span>
          )}
        </div>
        <p>
          <b>
            {minutes(view.hands)} of hands in {view.onFeet.length}{' '}
            {view.onFeet.length === 1 ? 'stretch' : 'stretches'}
          </b>
          , from {time(view.from)} to {time(view.end)}, and about {minutes(view.tidying)} for laying
          out and washing up.{' '}
          {view.brews
            .filter((b) => b.standsOn)
            .map((b) => `${b.name} stands on overnight: ${b.standsOn.toLowerCase()}.`)
            .join(' ')}
        </p>
        {view.troubles.map((t) => (
          <p key={t} className="goes-without">
            {t}
          </p>
        ))}
        {view.brews.length > NAMED && <p>{list}.</p>}
        {frozen.length > 0 && (
          <p>
            When {frozen.length === 1 ? 'it is' : 'they are'} bottled,{' '}
            {frozen.map((b) => `${Math.round(b.frozenMl)} mL of ${b.name}`).join(', ')}{' '}
            {frozen.length === 1 ? 'goes' : 'go'} into the freezer, in portions.
          </p>
        )}
      </div>
      <DayLanes view={view} time={time} />
      <div className="two-even above-l">
        <section aria-labelledby="in-order">
          <h2 id="in-order">In this order</h2>
          <ol className="lines evening">
            {view.lines.map((line, i) => (
              <li key={i}>
                <b className="wash-at">{time(line.at)}</b>{' '}
                <span>
                  {line.words}
                  {several && <>: {view.brews[line.brew]!.name}</>}{' '}
                  <span className="soft small">{minutes(line.minutes)}</span>
                </span>
              </li>
            ))}
          </ol>
        </section>
        <section aria-labelledby="to-fetch">
          <h2 id="to-fetch">To fetch</h2>
          <ul className="lines">
            {view.picking.map((p) => (
              <li key={p.material} className="spread">
                <span>
                  {p.name}
                  {several && <span className="soft small"> for {p.brews.join(', ')}</span>}
                </span>
                <b>{figure(p.grams)}&nbsp;g</b>
              </li>
            ))}
          </ul>
          <p className="soft small above">
            What is not there stands on the <Link to="/choose/stores#shopping">shopping list</Link>.
          </p>
        </section>
      </div>
    </>
  );
}
