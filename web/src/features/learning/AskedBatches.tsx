import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { ForetoldBatch } from '../../api/client';
import type { Format } from '../../kit/format';
import { useLearningChoice } from './useLearningChoice';

/** Batches that are plainly wrong count only once somebody says so; what was left out comes back. */
export function AskedBatches({ batches, format }: { batches: ForetoldBatch[]; format: Format }) {
  const { count } = useLearningChoice();
  const asked = batches.filter((b) => b.standing !== 'COUNTS');
  if (asked.length === 0) return null;
  return (
    <section aria-labelledby="asked" className="sheet stack">
      <h2 id="asked">Do these count?</h2>
      <ul className="lines">
        {asked.map((b) => (
          <li key={b.id} className="spread">
            <span>
              <Link to={`/brew/${b.id}`}>
                {b.code}, {b.name}
              </Link>
              , {format.day(format.dateOf(b.at))}: {format.ml(b.real)} where about{' '}
              {format.ml(b.predicted)}
              were foretold.{' '}
              {b.standing === 'ASKED'
                ? 'No kitchen explains that: was it mistyped?'
                : 'It is left out.'}
            </span>
            <span className="row">
              {b.standing === 'ASKED' && (
                <Button
                  variant="outline"
                  loading={count.isPending}
                  onClick={() => count.mutate({ id: b.id, counts: false })}
                >
                  Leave it out
                </Button>
              )}
              <Button
                variant="outline"
                loading={count.isPending}
                onClick={() => count.mutate({ id: b.id, counts: true })}
              >
                It is right: count it
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
