import type { Limit } from '../../api/client';
import './people.css';

/** What is to be minded, each with why and what instead on demand. */
export function LimitLines({ limits }: { limits: Limit[] }) {
  if (limits.length === 0) return null;
  return (
    <ul className="limits">
      {limits.map((l) => (
        <li key={l.kind + l.what} className={l.weight}>
          <details>
            <summary>
              <b>{l.title}</b> {l.what}
            </summary>
            <p>
              {l.why} {l.instead}
            </p>
            <p className="soft small">{l.own ? 'Your own figure' : l.source && `By ${l.source}`}</p>
          </details>
        </li>
      ))}
    </ul>
  );
}
