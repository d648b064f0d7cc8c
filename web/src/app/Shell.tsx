import { NavLink, Link, Outlet, useLocation, useMatch } from 'react-router';
import { Suspense, useState } from 'react';
import { useChanges, useHousehold } from '../api/queries';
import { useCalls } from '../features/bench/useCalls';
import { usePendingSender } from '../features/bench/useTaps';
import { formatFor } from '../kit/format';
import { useServerClock } from '../kit/clock';
import { useRole } from '../kit/role';
import { Mishap } from '../kit/Mishap';
import { Waiting } from '../kit/states';
import { Worktop } from './Worktop';
import './app.css';

const VERBS = [
  { to: '/choose', word: 'Choose' },
  { to: '/brew', word: 'Brew' },
  { to: '/keep', word: 'Keep' },
  { to: '/use', word: 'Use' },
  { to: '/learn', word: 'Learn' },
];

/** The frame of every screen: the job's verbs above, the worktop below. */
export function Shell() {
  const household = useHousehold();
  const open = useChanges();
  usePendingSender(open);
  const unread = useCalls();
  const guest = useRole() === 'GUEST';
  const inRun = useMatch('/brew/:id') !== null;
  const { pathname } = useLocation();
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
          {VERBS.filter((v) => !guest || v.to === '/brew').map((v) => (
            <NavLink key={v.to} to={v.to} onClick={() => setVerbsShown(false)}>
              {v.word}
            </NavLink>
          ))}
          {!guest && (
            <NavLink className="tray-door" to="/tray" onClick={() => setVerbsShown(false)}>
              Tray{unread > 0 && <b>{unread > 99 ? '99+' : unread}</b>}
              <span className="sr">{unread > 0 ? ' not seen' : ''}</span>
            </NavLink>
          )}
        </nav>
        {household.data && (
          <Link className="where" to={guest ? '/you' : '/kitchen'}>
            {format.day(format.dateOf(now))} · {household.data.name}
          </Link>
        )}
      </header>
      {!open && (
        <div className="offline" role="status">
          No line to Dremsa just now. Timers run on from what was last known.
        </div>
      )}
      <Mishap place={pathname}>
        <Suspense fallback={<Waiting />}>
          <Outlet context={{ showVerbs: () => setVerbsShown((shown) => !shown) }} />
        </Suspense>
      </Mishap>
      <Worktop />
    </div>
  );
}
