import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { ProblemError } from '../api/client';

/** Shown while the first answer is on its way. */
export function Waiting() {
  return (
    <div className="page" aria-busy="true">
      <p className="soft">One moment …</p>
    </div>
  );
}

/** Shown when a screen cannot be filled; offers another try. */
export function Failed({ error, again }: { error: unknown; again?: () => void }) {
  const gone = error instanceof ProblemError && error.problem.status === 404;
  return (
    <div className="trouble stack" role="alert">
      <h2>{gone ? 'This is not here' : 'That did not come'}</h2>
      <p>{error instanceof Error ? error.message : 'Something went wrong.'}</p>
      {again && !gone && (
        <div>
          <Button variant="outline" onClick={again}>
            Try again
          </Button>
        </div>
      )}
    </div>
  );
}

/** Shown where a list has nothing yet, with what to do next. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="empty stack">
      <h2>{title}</h2>
      {children}
    </div>
  );
}

// Notes come with the first of them: no screen needs them to be drawn.
const notes = () => import('./notes');

/** What the server said of a request, told once at the edge of the screen. */
export function tell(error: unknown) {
  void notes().then((n) => n.showProblem(error));
}

/** Something done that can be taken back. */
export function done(message: string, undo: () => void) {
  void notes().then((n) => n.showDone(message, undo));
}
