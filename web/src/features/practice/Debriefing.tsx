import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { api, ask, keys, type Debrief, type Practice } from '../../api/client';
import type { Format } from '../../kit/format';
import { tell } from '../../kit/states';
import { TwoLines } from '../../signature/TwoLines';

/** What came of a practice: what was asked, both lines, and what each difference cost. */
export function Debriefing({
  practice,
  debrief,
  format,
}: {
  practice: Practice;
  debrief: Debrief;
  format: Format;
}) {
  const missed = debrief.reached.filter((r) => !r.ok).length;
  return (
    <div className="stack wide">
      <div className="stack">
        <p className="soft small">
          <Link to="/learn/practice">Practice</Link> · {practice.title}
        </p>
        <h1>{missed === 0 ? 'All that was asked is there' : 'What it came to'}</h1>
        {debrief.lesson && <p>{debrief.lesson}</p>}
      </div>
      <table className="reached">
        <thead>
          <tr>
            <th>Asked</th>
            <th>Wanted</th>
            <th>Came to</th>
          </tr>
        </thead>
        <tbody>
          {debrief.reached.map((r) => (
            <tr key={r.words + r.wanted}>
              <td>{r.words}</td>
              <td>{r.wanted}</td>
              <td className={r.ok ? '' : 'missed'}>
                <b>{r.value}</b> {r.ok ? '✓' : 'not reached'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <TwoLines yours={debrief.yours} good={debrief.good} format={format} />
      <section aria-label="What each difference cost">
        <h2>What each difference cost</h2>
        {debrief.differences.length === 0 ? (
          <p>Nothing worth a line: it went as a good one goes.</p>
        ) : (
          <ol className="lines">
            {debrief.differences.map((d) => (
              <li key={d.step}>
                <b>{d.words}</b>
                <br />
                <span className={d.lost ? 'missed' : 'soft'}>{d.cost}</span>
              </li>
            ))}
          </ol>
        )}
      </section>
      <Again practice={practice} />
    </div>
  );
}

function Again({ practice }: { practice: Practice }) {
  const client = useQueryClient();
  const go = useNavigate();
  const again = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/practices', {
          body: {
            exercise: practice.exercise,
            ...(practice.person && { person: practice.person }),
          },
        }),
      ),
    onSuccess: (made) => {
      client.setQueryData(keys.practice(made.id), made);
      void go(`/learn/practice/${made.id}`);
    },
    onError: tell,
  });
  return (
    <div className="row">
      {practice.exercise !== 'free' && (
        <Button className="touch" loading={again.isPending} onClick={() => again.mutate()}>
          Once more
        </Button>
      )}
      <Button className="touch" variant="outline" component={Link} to="/learn/practice">
        Another exercise
      </Button>
    </div>
  );
}
