import { useElementSize } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useHousehold, useRunning, useShelf } from '../api/queries';
import { Pots } from '../features/bench/Pots';
import { useServerClock } from '../kit/clock';
import { formatFor } from '../kit/format';
import './app.css';

/** The dark strip: what is on the hob or steeping now, one sentence a pot, what is overdue first. */
export function Worktop() {
  const running = useRunning();
  const household = useHousehold();
  const shelf = useShelf();
  const now = useServerClock(household.data?.now, household.dataUpdatedAt);
  const [open, setOpen] = useState(false);
  const { ref, height } = useElementSize();
  const runs = running.data ?? [];
  useEffect(() => {
    // Nothing of a page ends below the strip, however many pots stand on it.
    if (height > 0)
      document.documentElement.style.setProperty('--strip-height', `${Math.ceil(height) + 16}px`);
  }, [height]);
  return (
    <footer className="worktop" aria-label="On the worktop" data-open={open || undefined}>
      <div ref={ref} className="worktop-pots">
        <Pots runs={runs} now={now} format={formatFor(household.data)} />
        {runs.length > 1 && (
          <button
            className="worktop-more"
            aria-expanded={open}
            onClick={() => setOpen((shown) => !shown)}
          >
            {open ? 'less' : `+${runs.length - 1}`}
            <span className="sr">{open ? '' : ' more on the worktop'}</span>
          </button>
        )}
        {running.data?.length === 0 && (
          <Link to="/choose">
            <b>Nothing on the worktop.</b>{' '}
            <span>
              {shelf.data?.bottles.length === 0
                ? 'And nothing in the fridge: choose a brew.'
                : 'Choose what to brew next.'}
            </span>
          </Link>
        )}
      </div>
    </footer>
  );
}
