import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { Task } from '../../api/client';
import { useHousehold } from '../../api/queries';
import { useServerClock } from '../../kit/clock';
import { formatFor } from '../../kit/format';
import './shelf.css';

const GO: Record<Task['kind'], string> = {
  POT_NOW: 'To the pot',
  POT_LATER: 'To the pot',
  BEGIN: 'To the plan',
  THROW_AWAY: 'See it off',
  USE_TODAY: 'Take some',
  USE_FIRST: 'Take some',
  COMPOST: 'See to it',
  USE_LEFTOVER: 'See to it',
  WASH: 'To the sheet',
  BREW: 'Brew it',
};

/** The next things are named; what is further down the list is on the shelf anyway. */
const MOST = 4;

const PATHS: Record<Task['thing'], (id: string) => string> = {
  POT: (id) => `/brew/${id}`,
  BOTTLE: (id) => `/keep/${id}`,
  BOWL: () => '#left-over',
  HEADS: (day) => `/use/sheet?day=${day}`,
  EVENING: (day) => `/use/brew-day/${day}`,
};

/** The first line of the home screen: what to do now, and what comes after it. */
export function ToDo({ tasks }: { tasks: Task[] }) {
  const household = useHousehold();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  const format = formatFor(household.data);
  const [first, ...more] = tasks;
  const said = ({ words, at }: Task) =>
    at ? `${words} (${format.soon(at, now).replace(/^(?=\d)/, 'at ')})` : words;
  if (!first) return <h1>The shelf</h1>;
  return (
    <div className="to-do">
      <div className="row spread">
        <h1>
          <Door task={first}>{said(first)}</Door>
        </h1>
        {first.thing === 'BOWL' ? (
          <Button component="a" href="#left-over">
            {GO[first.kind]}
          </Button>
        ) : (
          <Button component={Link} to={PATHS[first.thing](first.id)}>
            {GO[first.kind]}
          </Button>
        )}
      </div>
      {more.length > 0 && (
        <ol className="then" aria-label="After that">
          {more.slice(0, MOST).map((task) => (
            <li key={task.kind + task.id} data-kind={task.kind}>
              <Door task={task}>{said(task)}</Door>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

function Door({ task, children }: { task: Task; children: string }) {
  const path = PATHS[task.thing](task.id);
  return task.thing === 'BOWL' ? <a href={path}>{children}</a> : <Link to={path}>{children}</Link>;
}
