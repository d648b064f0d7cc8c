import { Link } from 'react-router';
import type { RunLine } from '../../api/client';
import type { Format } from '../../kit/format';
import { inFront, nextOf } from './calls';
import './bench.css';

interface Props {
  runs: RunLine[];
  now: number;
  format: Format;
  /** The run that is looked at. */
  selected?: string;
}

/** Every pot in a line of its own, what is overdue first: how long, which, and what for. */
export function Pots({ runs, now, format, selected }: Props) {
  return (
    <ul className="pots">
      {inFront(runs, now).map((run) => {
        const next = nextOf(run, now, format);
        return (
          <li key={run.id} data-state={next.state}>
            <Link to={`/brew/${run.id}`} aria-current={run.id === selected ? 'true' : undefined}>
              <b>{next.time}</b>
              <span>
                {run.name}: {next.words}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
