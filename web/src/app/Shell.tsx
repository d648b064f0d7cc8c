import { NavLink, Link, Outlet, useMatch } from 'react-router';
import { useState } from 'react';
import { useChanges, useHousehold } from '../api/queries';
import { formatFor } from './format';
import { useServerClock } from './clock';
import { Worktop } from './Worktop';

const VERBS = [
  { to: '/choose', word: 'Choose' },
  { to: '/brew', word: 'Brew' },
  { to: '/keep', word: 'Keep' },
  { to: '/learn', word: 'Learn' },
];

/** The frame of every screen: the job's verbs above, the worktop below. */
export function Shell() {
  const household = useHousehold();
  const open = useChanges();
  const inRun = useMatch('/brew/:id') !== null;
  const [verbsShown, setVerbsShown] = useState(false);
  const now = useServerClock(household.data?.now, household.dataUpdatedAt, 30_000);
  const format = formatFor(household.data);
  return (
    <div className={inRun && !verbsShown ? 'in-run' : ''}>
      <a className="sr" href="#main">
        To the work
      </a>
      <header className="top">
        <Link className="mark" to="/keep">
          Dremsa
        </Link>
        <nav aria-label="The job">
          {VERBS.map((v) => (
            <NavLink key={v.to} to={v.to} onClick={() => setVerbsShown(false)}>
              {v.word}
            </NavLink>
          ))}
        </nav>
        {household.data && (
          <Link className="where" to="/kitchen">
            {format.day(format.dateOf(now))} · {household.data.name}
          </Link>
        )}
      </header>
      {!open && (
        <div className="offline" role="status">
          No line to Dremsa just now. Timers run on from what was last known.
        </div>
      )}
      <Outlet context={{ showVerbs: () => setVerbsShown((shown) => !shown) }} />
      <Worktop />
    </div>
  );
}
