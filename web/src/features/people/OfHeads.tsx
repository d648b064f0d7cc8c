import type { ReactNode } from 'react';
import type { PersonLine } from '../../api/client';
import { usePeople } from '../../api/queries';
import { Choice } from '../../kit/Choice';
import { Loaded } from '../../kit/Loaded';
import { NoHeads } from './NoHeads';

/** What is shown of heads; where there is none yet, the way to a first one. */
export function OfHeads({
  title,
  children,
}: {
  title: string;
  children: (heads: PersonLine[]) => ReactNode;
}) {
  const people = usePeople();
  return (
    <Loaded part of={people}>
      {({ people: heads }) => (heads.length === 0 ? <NoHeads title={title} /> : children(heads))}
    </Loaded>
  );
}

/** One of the heads. */
export function WhoseHead({
  heads,
  value,
  onChange,
}: {
  heads: { id: string; name: string }[];
  value: string;
  onChange: (id: string) => void;
}) {
  return (
    <Choice
      label="On whose head"
      data={heads.map((h) => ({ value: h.id, label: h.name }))}
      value={value}
      onChange={onChange}
    />
  );
}
