import { Button } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Plans } from '../../api/client';
import type { Format } from '../../kit/format';
import { tell } from '../../kit/states';
import { Trouble } from '../../kit/Trouble';
import { PlannedLine } from './PlannedLine';
import { MoreWanted } from './MoreWanted';
import { WhenToBrew } from './WhenToBrew';
import type { Planning } from './usePlanning';
import { beside, forms } from './words';
import './plan.css';

interface Props {
  plans: Plans;
  planning: Planning;
  format: Format;
}

/** The plan in words below the line: what it comes to, each brew with its reasons, taking it. */
export function PlanPart({ plans, planning, format }: Props) {
  const { shown, agreed, trying } = planning;
  const days = [...new Set(shown.brews.map((b) => b.day))].sort();
  return (
    <section aria-labelledby="plan" className="plan">
      <div className="row spread">
        <h2 id="plan">{trying ? 'What if' : agreed ? 'The plan' : 'A plan is proposed'}</h2>
        <div className="row">
          {(trying || !agreed) && (
            <Button loading={planning.taking} onClick={() => planning.take()}>
              Take it
            </Button>
          )}
          {trying && (
            <Button variant="outline" onClick={planning.back}>
              {agreed ? 'As agreed' : 'As proposed'}
            </Button>
          )}
        </div>
      </div>
      <p aria-live="polite">
        <b>{shown.words}</b>
        {trying && <> {beside(shown, agreed ?? plans.proposal)}</>}
        {!shown.doable && ' It cannot be done like this: there is not enough time or room.'}
      </p>
      {shown.obstacles.map((o) => (
        <p key={o} className="goes-without">
          {o}
        </p>
      ))}
      <Trouble error={planning.error} />
      {agreed && plans.changed && !trying && (
        <p className="row end better">
          <span>
            Something is otherwise now. A plan that changes little: {plans.proposal.words}{' '}
            {beside(plans.proposal, agreed)}
          </span>
          <Button variant="outline" onClick={() => planning.tryOut(forms(plans.proposal))}>
            Look at it
          </Button>
          <Button loading={planning.taking} onClick={() => planning.take(forms(plans.proposal))}>
            Take that
          </Button>
        </p>
      )}
      {shown.bands
        .filter((b) => b.id?.startsWith('brew:') && b.frozenMl > 0)
        .map((b) => (
          <p key={b.id}>
            On the bench: when the {b.name} is bottled, {Math.round(b.frozenMl)} mL of it goes into
            the freezer, in portions.
          </p>
        ))}
      <ul className="lines">
        {days.map((day) => (
          <li key={day} className="stack tight">
            <p className="spread">
              <b>{day === plans.today ? `Today, ${format.day(day)}` : format.dayLong(day)}</b>
              {agreed && !trying && agreed.brews.some((b) => b.day === day) && (
                <Link to={`/use/brew-day/${day}`}>
                  {day === plans.today ? 'Brew it' : 'The evening'}
                </Link>
              )}
            </p>
            {shown.brews.map(
              (brew, i) =>
                brew.day === day && (
                  <PlannedLine
                    key={brew.formula}
                    brew={brew}
                    plans={plans}
                    format={format}
                    onChange={(to) => planning.change(i, to)}
                    onRemove={() => planning.remove(i)}
                  />
                ),
            )}
          </li>
        ))}
      </ul>
      <Better plans={plans} />
      <MoreWanted plans={plans} planning={planning} format={format} />
      <WhenToBrew plans={plans} planning={planning} />
    </section>
  );
}

/** Looking longer for a better plan, while nobody waits. */
function Better({ plans }: { plans: Plans }) {
  const search = useMutation({
    mutationFn: () => ask(api.POST('/api/plan/search')),
    onError: tell,
  });
  const stop = useMutation({
    mutationFn: () => ask(api.DELETE('/api/plan/search')),
    onError: tell,
  });
  const state = plans.search?.state;
  const working = state === 'ASKED' || state === 'RUNNING';
  return (
    <p className="row end above">
      {working ? (
        <>
          <progress aria-label="Looking for a better plan" />
          <span>{state === 'ASKED' ? 'Waits for its turn' : 'Looking for a better plan'}</span>
          <Button variant="outline" onClick={() => stop.mutate()}>
            That will do
          </Button>
        </>
      ) : (
        <>
          <Button variant="subtle" loading={search.isPending} onClick={() => search.mutate()}>
            Look longer for a better one
          </Button>
          {state === 'DONE' && (
            <span className="soft">
              {plans.search?.gap != null
                ? `Looked. No plan can be better than the best found by more than ${Math.round(plans.search.gap * 100)} %.`
                : 'Looked.'}
            </span>
          )}
          {state === 'FAILED' && <span className="soft">It did not come to an end.</span>}
        </>
      )}
    </p>
  );
}
