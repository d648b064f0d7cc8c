import { Button } from '@mantine/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { usePeople, useSheet, useWashRuns, useWeeks } from '../../api/queries';
import type { OccasionLine, Weeks } from '../../api/client';
import { useFormat } from '../../kit/format';
import { Loaded } from '../../kit/Loaded';
import { Empty, Failed, Waiting } from '../../kit/states';
import { NoHeads } from '../people/NoHeads';
import { UseLinks } from '../people/UseLinks';
import { RunView } from './RunView';
import { SheetView } from './SheetView';
import { isOpen, names, type Asked } from './words';
import './washdays.css';

/** Use: the sheet of a wash day, for one or several heads; under way with its timers. */
export function SheetPage() {
  const runs = useWashRuns();
  const weeks = useWeeks(28);
  const [planning, setPlanning] = useState(false);
  const run = planning ? undefined : runs.data?.[0];
  if (run) {
    return <RunView key={run.id} run={run} onPlan={() => setPlanning(true)} />;
  }
  return (
    <main className="page" id="main">
      <UseLinks />
      {planning && (
        <Button variant="subtle" onClick={() => setPlanning(false)}>
          Back to the wash day under way
        </Button>
      )}
      <Loaded part of={weeks}>
        {(view) => <Choose view={view} />}
      </Loaded>
    </main>
  );
}

const of = (o: OccasionLine) => `${o.person}/${o.occasion}/${o.planned}`;

/** Which day, whose heads. */
function Choose({ view }: { view: Weeks }) {
  const format = useFormat();
  const people = usePeople();
  const [params, setParams] = useSearchParams();
  const open = view.occasions.filter(isOpen);
  const days = [...new Set(open.map((o) => o.day))];
  const asked = params.get('day');
  const day = asked && days.includes(asked) ? asked : days[0];
  const there = open.filter((o) => o.day === day);
  const [left, setLeft] = useState<string[]>([]);
  const chosen = there.filter((o) => !left.includes(of(o)));
  if (people.data?.people.length === 0) {
    return <NoHeads title="Whose wash day?" />;
  }
  if (!day) {
    return (
      <Empty title="Nothing is due in these weeks">
        <p>Give somebody a routine, and its days come up here.</p>
      </Empty>
    );
  }
  return (
    <>
      <h1>
        {day === view.today ? 'Today' : format.dayLong(day)}:{' '}
        {names([...new Set(chosen.map((o) => o.name))]) || 'nobody'}
      </h1>
      <div className="row which-day no-print" role="group" aria-label="Which day">
        {days.slice(0, 6).map((d) => (
          <Button
            key={d}
            className="touch"
            variant={d === day ? 'filled' : 'outline'}
            aria-pressed={d === day}
            onClick={() => setParams({ day: d }, { replace: true })}
          >
            {d === view.today ? 'Today' : format.day(d)}
          </Button>
        ))}
      </div>
      {there.length > 1 && (
        <div className="row no-print above" role="group" aria-label="Whose heads">
          {there.map((o) => (
            <Button
              key={of(o)}
              className="touch"
              variant={left.includes(of(o)) ? 'outline' : 'light'}
              aria-pressed={!left.includes(of(o))}
              onClick={() =>
                setLeft(left.includes(of(o)) ? left.filter((l) => l !== of(o)) : [...left, of(o)])
              }
            >
              {left.includes(of(o)) ? '+ ' : '✓ '}
              {o.name}: {o.occasionName.toLowerCase()}
            </Button>
          ))}
        </div>
      )}
      {chosen.length > 0 && <Plan key={day + chosen.map(of).join()} day={day} chosen={chosen} />}
    </>
  );
}

function Plan({ day, chosen }: { day: string; chosen: OccasionLine[] }) {
  const [asked, setAsked] = useState<Asked[]>(
    chosen.map((o) => ({
      person: o.person,
      occasion: o.occasion,
      planned: o.planned,
      wishes: [],
    })),
  );
  const form = { day, heads: asked };
  const sheet = useSheet(form);
  if (sheet.isPending) return <Waiting />;
  if (!sheet.data) return <Failed error={sheet.error} again={() => void sheet.refetch()} />;
  return <SheetView form={form} sheet={sheet.data} asked={asked} onAsk={setAsked} />;
}
