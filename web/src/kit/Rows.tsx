import { Button } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props<T> {
  of: readonly T[];
  /** The row's key and its name, as the button that leaves it out says it. */
  known: (item: T) => { key: string; name: string };
  /** What one more is called: "One more hob". */
  more: string;
  onMore: () => void;
  onLeaveOut: (index: number) => void;
  /** The fields of one row. */
  children: (item: T, index: number) => ReactNode;
}

/** Rows of fields that can be left out and added to. */
export function Rows<T>({ of, known, more, onMore, onLeaveOut, children }: Props<T>) {
  return (
    <>
      {of.map((item, i) => (
        <div className="row end" key={known(item).key}>
          {children(item, i)}
          <Button
            variant="subtle"
            aria-label={`Leave ${known(item).name} out`}
            onClick={() => onLeaveOut(i)}
          >
            ✕
          </Button>
        </div>
      ))}
      <div>
        <Button variant="subtle" onClick={onMore}>
          {more}
        </Button>
      </div>
    </>
  );
}
