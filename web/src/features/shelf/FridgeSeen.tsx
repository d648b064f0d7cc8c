import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { FridgeOutcome } from '../../api/client';
import type { useFridge } from '../../api/queries';
import type { Format } from '../../kit/format';

/** What a warm fridge does, or did, to every bottle in it. */
export function Seen({ outcome: seen, format }: { outcome: FridgeOutcome; format: Format }) {
  const touched = seen.bottles.filter((b) => b.before !== b.after);
  return (
    <section aria-live="polite">
      <h2>
        {seen.words}
        {seen.id ? ': noted' : ''}
      </h2>
      <p className="soft">
        {format.moment(seen.from)} to {format.moment(seen.to)}
        {seen.warmest != null &&
          `, ${format.celsius(seen.coldest ?? 0)} to ${format.celsius(seen.warmest)}`}
      </p>
      {seen.gaps.map((g) => (
        <p key={g.from} className="caution">
          Nothing was written from {format.moment(g.from)} to {format.moment(g.to)}: that time is
          not billed.
        </p>
      ))}
      {seen.left.length > 0 && (
        <p className="caution">
          Not taken:{' '}
          {seen.left
            .slice(0, 6)
            .map((l) => `line ${l.line} (${l.why})`)
            .join(', ')}
          {seen.left.length > 6 ? ' and more' : ''}.
        </p>
      )}
      {touched.length === 0 ? (
        <p>No last day changes.</p>
      ) : (
        <ul className="lines">
          {touched.map((b) => (
            <li key={b.id} className="figure-line">
              <Link to={`/keep/${b.id}`}>
                {b.name} {b.number}
              </Link>
              <span>
                {format.day(b.before)} → <b>{format.day(b.after)}</b>
              </span>
              <span className="soft small">{b.useNow ? 'use it now' : ''}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

type FridgeEvents = NonNullable<ReturnType<typeof useFridge>['data']>;

/** What happened to the fridge before; each can be taken back. */
export function Before({
  events,
  format,
  onTakeBack,
}: {
  events: FridgeEvents;
  format: Format;
  onTakeBack: (id: string) => void;
}) {
  return (
    <section>
      <h2>Before</h2>
      <ul className="lines">
        {events.map((e) => (
          <li key={e.id} className="row apart">
            <span>
              {e.words} <span className="soft small">{format.moment(e.from)}</span>
            </span>
            <Button
              variant="subtle"
              size="compact-md"
              onClick={() => onTakeBack(e.id)}
              aria-label={`Take back: ${e.words}`}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
