import { Link } from 'react-router';
import type { RunLine } from '../api/client';
import { useHousehold, useRunning, useShelf } from '../api/queries';
import { useServerClock } from './clock';
import { countdown } from './format';

/** The dark strip: what is on the hob or steeping now, each with its next word. */
export function Worktop() {
  const running = useRunning();
  const household = useHousehold();
  const shelf = useShelf();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  const empty = running.data?.length === 0;
  return (
    <footer className="worktop" aria-label="On the worktop">
      {running.data?.map((run) => (
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

function nextWord(run: RunLine, now: number): string {
  if (!run.window) return `step ${run.step + 1}`;
  const right = new Date(run.window.rightFrom).getTime();
  const usual = new Date(run.window.usualAt).getTime();
  const late = new Date(run.window.lateFrom).getTime();
  if (now < right) return countdown(right - now);
  if (now < usual) return countdown(usual - now);
  return now <= late ? 'now' : 'late';
}

function nextWhat(run: RunLine, now: number): string {
  if (!run.window) return run.headline.toLowerCase();
  const right = new Date(run.window.rightFrom).getTime();
  const usual = new Date(run.window.usualAt).getTime();
  if (now < right) return 'until it may be strained';
  return now < usual ? 'until the usual time' : 'look at it';
}
