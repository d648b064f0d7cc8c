/** A state with what came before and after it, for undo and redo. */
export interface Line<T> {
  past: T[];
  present: T;
  future: T[];
  /** What the last change was about; changes of one kind in a row are one step back. */
  about: string;
}

const MOST = 200;

export const begin = <T>(present: T): Line<T> => ({ past: [], present, future: [], about: '' });

/**
 * The line after a change.
 *
 * @param about changes with the same words, one after another, are taken back together
 */
export function change<T>(line: Line<T>, next: T, about: string): Line<T> {
  const joined = about !== '' && about === line.about;
  return {
    past: joined ? line.past : [...line.past, line.present].slice(-MOST),
    present: next,
    future: [],
    about,
  };
}

export function undo<T>(line: Line<T>): Line<T> {
  const before = line.past.at(-1);
  if (before === undefined) return line;
  return {
    past: line.past.slice(0, -1),
    present: before,
    future: [line.present, ...line.future],
    about: '',
  };
}

export function redo<T>(line: Line<T>): Line<T> {
  const [after, ...rest] = line.future;
  if (after === undefined) return line;
  return { past: [...line.past, line.present], present: after, future: rest, about: '' };
}
