import { Button } from '@mantine/core';
import type { ProblemError } from '../../api/client';

/** Asked once before a step is ended too early, with what that does to the batch. */
export function TooEarly({
  asked,
  busy,
  onEnd,
  onStay,
}: {
  asked: ProblemError;
  busy: boolean;
  onEnd: () => void;
  onStay: () => void;
}) {
  return (
    <>
      <div className="sheet" role="alertdialog" aria-labelledby="too-early">
        <h2 id="too-early">{asked.problem.detail}</h2>
        {(asked.problem.errors ?? []).length > 0 && <p>Ended now, that is what it does:</p>}
        <ul className="plain">
          {asked.problem.errors?.map((e) => (
            <li key={e.message}>{e.message}</li>
          ))}
        </ul>
      </div>
      <div className="actions">
        <Button onClick={onStay} autoFocus>
          Let it go on
        </Button>
        <Button variant="outline" color="madder" onClick={onEnd} loading={busy}>
          End it all the same
        </Button>
      </div>
    </>
  );
}
