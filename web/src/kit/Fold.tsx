import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import './look.css';

interface Props {
  id: string;
  title: string;
  /** What stands in it, in a few words, while it is closed. */
  says?: ReactNode;
  /** Something in it went wrong: it opens of itself. */
  wrong?: boolean;
  /** What it holds is asked for only when it is first opened. */
  later?: boolean;
  children: ReactNode;
}

/** A part of a page that is one line until it is touched, or until its address names it. */
export function Fold({ id, title, says, wrong, later, children }: Props) {
  const { hash, key } = useLocation();
  const ref = useRef<HTMLDetailsElement>(null);
  const asked = hash === `#${id}`;
  const [opened, setOpened] = useState(asked || !later);
  useEffect(() => {
    if (asked && ref.current) {
      ref.current.open = true;
      ref.current.scrollIntoView?.({ block: 'start' });
    }
  }, [asked, key]);
  useEffect(() => {
    if (wrong && ref.current) ref.current.open = true;
  }, [wrong]);
  return (
    <details
      className="fold"
      id={id}
      ref={ref}
      onToggle={(e) => {
        if (e.currentTarget.open) setOpened(true);
      }}
    >
      <summary>
        <h2>{title}</h2>
        {says && <span className="soft">{says}</span>}
      </summary>
      <div className="stack">{opened && children}</div>
    </details>
  );
}
