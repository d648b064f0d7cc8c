import { Link } from 'react-router';
import type { RunLine } from '../api/client';
import { useHousehold, useRunning, useShelf } from '../api/queries';
import { inFront } from '../features/bench/calls';
import { useServerClock } from '../kit/clock';
import { countdown } from '../kit/format';
import './app.css';

/** The dark strip: what is on the hob or steeping now, each with its next word. */
export function Worktop() {
  const running = useRunning();
  const household = useHousehold();
  const shelf = useShelf();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  const empty = running.data?.length === 0;
  return (
    <footer className="worktop" aria-label="On the worktop">
      {inFront(running.data ?? []).map((run) => (
        <Link key={run.id} to={`/brew/${run.id}`}>
          <b>{nextWord(run, now)}</b>
          <span>
            {nextWhat(run, now)} – {run.name}
          </span>
        </Link>
      ))}
      {empty && (
        <Link to="/choose">
          <b>Nothing on the worktop</b>
          <span>
            {shelf.data?.bottles.length === 0
              ? 'and nothing in the fridge: choose a brew'
              : 'choose what to brew next'}
          </span>
        </Link>
      )}
    </footer>
  );
}

/** How long until hands are wanted; "now" when they are. */
function nextWord(run: RunLine, now: number): string {
  const at = Date.parse(run.hands?.at ?? run.usualAt ?? run.startedAt);
  if (run.window && now > Date.parse(run.window.lateFrom)) return 'late';
  return at > now ? countdown(at - now) : 'now';
}

function nextWhat(run: RunLine, now: number): string {
  const what = run.hands?.words ?? run.headline;
  const at = Date.parse(run.hands?.at ?? run.startedAt);
  return at > now && !run.needsHands ? `until “${what.toLowerCase()}”` : what.toLowerCase();
}
