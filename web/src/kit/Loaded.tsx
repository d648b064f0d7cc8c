import type { ReactNode } from 'react';
import { Failed, Waiting } from './states';

interface Question<T> {
  data: T | undefined;
  error: unknown;
  isPending: boolean;
  refetch: () => unknown;
}

interface Props<T> {
  of: Question<T>;
  /** It is a part of a page, which has its own main. */
  part?: boolean;
  children: (data: T) => ReactNode;
}

/** A page, or a part of one, of one question: waits for its answer, offers another try, or shows it. */
export function Loaded<T>({ of, part, children }: Props<T>) {
  if (of.isPending) return <Waiting />;
  if (of.data === undefined) {
    const failed = <Failed error={of.error} again={() => void of.refetch()} />;
    return part ? (
      failed
    ) : (
      <main className="page" id="main">
        {failed}
      </main>
    );
  }
  return children(of.data);
}
