import type { ReactNode } from 'react';
import { Failed, Waiting } from './states';

interface Question<T> {
  data: T | undefined;
  error: unknown;
  isPending: boolean;
  refetch: () => unknown;
}

/** A page of one question: waits for its answer, offers another try, or shows it. */
export function Loaded<T>({ of, children }: { of: Question<T>; children: (data: T) => ReactNode }) {
  if (of.isPending) return <Waiting />;
  if (of.data === undefined) {
    return (
      <main className="page" id="main">
        <Failed error={of.error} again={() => void of.refetch()} />
      </main>
    );
  }
  return children(of.data);
}
